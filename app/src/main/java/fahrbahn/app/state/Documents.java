package fahrbahn.app.state;

import fahrbahn.store.document.Kind;
import fahrbahn.store.document.Put;
import fahrbahn.store.season.Ledger;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;

/** The documents of one kind of which the robot, table or venue selected, or the season, has several, by identifier. */
public final class Documents<T> {
    private final Kind<T> kind;
    private final Ledger ledger;
    private final Selection selection;
    private final List<Runnable> followers = new ArrayList<>();
    private Map<String, T> before;

    Documents(Kind<T> kind, Ledger ledger, Selection selection) {
        this.kind = kind;
        this.ledger = ledger;
        this.selection = selection;
        this.before = Map.copyOf(all());
    }

    private String owner() {
        return selection.owner(kind.scope());
    }

    /** In the order they were first made. A view, not to be kept. */
    public Map<String, T> all() {
        return ledger.all(kind, owner());
    }

    public Optional<T> get(String id) {
        return ledger.get(kind, owner(), id);
    }

    /** Calls when one of them is another than it was. */
    public void follow(Runnable follower) {
        followers.add(follower);
    }

    /** @param step of undo, in words */
    public void set(String step, String id, T value) {
        ledger.change(step, List.of(with(id, value)));
    }

    /** The same without a step of undo. */
    public void note(String id, T value) {
        ledger.note(List.of(with(id, value)));
    }

    public void remove(String step, String id) {
        ledger.change(step, List.of(Put.away(kind, owner(), id)));
    }

    /** The change to one of them, for a step that changes several documents. */
    public Put<T> with(String id, T value) {
        return Put.of(kind, owner(), id, value);
    }

    /** Every state one has been in with its moment, oldest first; handed over later, on this thread. */
    public void history(String id, Consumer<List<Map.Entry<Instant, T>>> reader) {
        ledger.history(kind, owner(), id, reader);
    }

    void refresh() {
        if (!before.equals(all())) {
            before = Map.copyOf(all());
            followers.forEach(Runnable::run);
        }
    }
}
