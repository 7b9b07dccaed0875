package fahrbahn.app.state;

import fahrbahn.app.errand.Errands;
import fahrbahn.app.errand.RefusedException;
import fahrbahn.store.document.Kind;
import fahrbahn.store.season.Ledger;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;

/**
 * What a window's models know: the selection, the season's documents of it, their own parameters, and what is derived from these. When
 * the season changes the selection follows first, then the documents, and at last what is no longer of its inputs is let go. Belongs to
 * the interface thread.
 */
public final class State {
    private final Errands errands;
    private final Ledger ledger;
    private final Selection selection;
    private final List<Derived<?>> derived = new ArrayList<>();
    private final List<Parameter<?>> ofRobot = new ArrayList<>();
    private final List<Follower> followers = new ArrayList<>();
    private final List<Runnable> sayers = new ArrayList<>();
    private boolean checking;
    private boolean unchecked;

    /** Something that is of documents of some kinds. */
    private record Follower(Set<Kind<?>> kinds, Runnable refresh) {}

    public State(Errands errands, Ledger ledger) {
        this.errands = errands;
        this.ledger = ledger;
        this.selection = new Selection(ledger);
        ledger.listen(this::refresh);
    }

    private void refresh(Set<Kind<?>> touched) {
        boolean others = !selection.get().equals(selection.property().get());
        boolean otherRobot =
                !selection.get().robot().equals(selection.property().get().robot());
        selection.refresh();
        if (otherRobot) {
            ofRobot.forEach(Parameter::reset);
        }
        for (Follower follower : List.copyOf(followers)) {
            if (others || !Collections.disjoint(follower.kinds(), touched)) {
                follower.refresh().run();
            }
        }
        check();
    }

    public Selection selection() {
        return selection;
    }

    /** The season itself, for steps of undo and for what is about all robots. */
    public Ledger ledger() {
        return ledger;
    }

    /** Where what is done once is done: saving, importing. */
    public Errands errands() {
        return errands;
    }

    /** The one document of a kind that the selection has. @param usual as long as there is none */
    public <T> Document<T> document(Kind<T> kind, Supplier<T> usual) {
        Document<T> document = new Document<>(kind, ledger, selection, usual);
        follow(Set.of(kind), document::refresh);
        return document;
    }

    /** The same of a kind of which nothing is usual. */
    public <T> Document<T> document(Kind<T> kind) {
        return document(kind, () -> null);
    }

    /** The documents of a kind of which the selection has several. */
    public <T> Documents<T> documents(Kind<T> kind) {
        Documents<T> documents = new Documents<>(kind, ledger, selection);
        follow(Set.of(kind), documents::refresh);
        return documents;
    }

    /** Calls when documents of these kinds, or the selection, may be others; in the order in which it was asked for. */
    public void follow(Set<Kind<?>> kinds, Runnable follower) {
        followers.add(new Follower(kinds, follower));
    }

    /** A choice made on a page. @param initial until it is made */
    public <T> Parameter<T> parameter(T initial) {
        return new Parameter<>(initial, this::check);
    }

    /** The same of a choice about the robot selected: of another one nothing was chosen yet. */
    public <T> Parameter<T> parameterOfRobot(T initial) {
        Parameter<T> parameter = parameter(initial);
        ofRobot.add(parameter);
        return parameter;
    }

    /** What was asked for by a press, about the robot selected; nothing at first. */
    public <T> Parameter<Optional<T>> press() {
        return parameterOfRobot(Optional.empty());
    }

    /** As an input. @throws RefusedException without words, while nothing was asked for */
    public static <T> T asked(Parameter<Optional<T>> press) {
        return press.get().orElseThrow(() -> new RefusedException(""));
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

    /** The same of what takes a few milliseconds at most: there as soon as it is shown. */
    public <K, V> Derived<V> deriveAtOnce(String what, Supplier<K> inputs, Derived.Work<K, V> work) {
        Errands here = new Errands(Runnable::run, Runnable::run, errands.tell());
        return add(here, what, inputs, (of, job, part) -> work.of(of, job));
    }

    /** The same with something to show before it is done. */
    public <K, V> Derived<V> deriveInParts(String what, Supplier<K> inputs, Derived.PartWork<K, V> work) {
        return add(errands, what, inputs, work);
    }

    private <K, V> Derived<V> add(Errands where, String what, Supplier<K> inputs, Derived.PartWork<K, V> work) {
        Derived<V> made = new Derived<>(where.errand(what), new Derived.Recipe<>(inputs, work), this);
        derived.add(made);
        return made;
    }

    /** Calls after each change, when all that is derived is of its inputs again: for what is said of it. */
    public void afterChanges(Runnable sayer) {
        sayers.add(sayer);
    }

    /** Something has changed: what is of other inputs is let go at once, whoever may show it, and begun again where it is eager. */
    public void check() {
        unchecked = true;
        if (checking) {
            return; // a value that is worked out at once has changed meanwhile: another turn
        }
        checking = true;
        try {
            while (unchecked) {
                unchecked = false;
                derived.forEach(Derived::check);
                if (!unchecked) {
                    sayers.forEach(Runnable::run);
                }
            }
        } finally {
            checking = false;
        }
    }
}
