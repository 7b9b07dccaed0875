package fahrbahn.app.state;

import fahrbahn.app.errand.Errands;
import fahrbahn.app.errand.RefusedException;
import fahrbahn.store.Ledger;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Supplier;

/** What a window's models derive from the season, the selection and their own parameters. Belongs to the interface thread. */
public final class State {
    private final Errands errands;
    private final List<Derived<?>> all = new ArrayList<>();

    private final Supplier<?> selection;

    /** @param selection what robot, table and venue are selected */
    public State(Errands errands, Ledger season, Supplier<?> selection) {
        this.errands = errands;
        this.selection = selection;
        season.listen(kinds -> check());
    }

    /** Where what is done once is done: saving, importing. */
    public Errands errands() {
        return errands;
    }

    /** A choice made on a page. @param initial until it is made */
    public <T> Parameter<T> parameter(T initial) {
        return new Parameter<>(initial, this::check);
    }

    /**
     * A value that follows its inputs.
     *
     * @param what it is about, to read before "could not be done"
     * @param inputs as they are now, on the interface thread: a value that equals another one of the same content, or a {@link RefusedException}
     *     that says what is missing
     */
    public <K, V> Derived<V> derive(String what, Supplier<K> inputs, Derived.Work<K, V> work) {
        return deriveInParts(what, inputs, (of, job, part) -> work.of(of, job));
    }

    /** The same with something to show before it is done. */
    public <K, V> Derived<V> deriveInParts(String what, Supplier<K> inputs, Derived.PartWork<K, V> work) {
        Derived<V> derived = new Derived<>(errands.errand(what), new Derived.Recipe<>(inputs, work), selection);
        all.add(derived);
        return derived;
    }

    /** Something has changed: what is of other inputs is let go at once, whoever may show it. */
    public void check() {
        all.forEach(Derived::check);
    }
}
