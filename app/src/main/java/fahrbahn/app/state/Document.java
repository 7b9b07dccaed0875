package fahrbahn.app.state;

import fahrbahn.store.document.Kind;
import fahrbahn.store.document.Put;
import fahrbahn.store.season.Ledger;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/**
 * What the season holds of one kind for the robot, table or venue selected, or for itself: always as it is now. Belongs to the interface
 * thread; made by {@link State#document}.
 */
public final class Document<T> {
    private final Kind<T> kind;
    private final Ledger ledger;
    private final Selection selection;
    private final Supplier<T> usual;
    private final ReadOnlyObjectWrapper<Optional<T>> kept = new ReadOnlyObjectWrapper<>();
    private final ReadOnlyObjectWrapper<T> value = new ReadOnlyObjectWrapper<>();

    Document(Kind<T> kind, Ledger ledger, Selection selection, Supplier<T> usual) {
        this.kind = kind;
        this.ledger = ledger;
        this.selection = selection;
        this.usual = usual;
        refresh();
    }

    private String owner() {
        return selection.owner(kind.scope());
    }

    /** The document; empty until there is one. */
    public Optional<T> kept() {
        return ledger.get(kind, owner());
    }

    /** The document, or what is usual as long as there is none; null for a kind of which nothing is usual. */
    public T get() {
        return kept().orElseGet(usual);
    }

    /** Follows {@link #kept}. */
    public ReadOnlyObjectProperty<Optional<T>> keptProperty() {
        return kept.getReadOnlyProperty();
    }

    /** Follows {@link #get}. */
    public ReadOnlyObjectProperty<T> property() {
        return value.getReadOnlyProperty();
    }

    /** Puts another in its place. @param step of undo, in words */
    public void set(String step, T changed) {
        ledger.change(step, List.of(with(changed)));
    }

    /** Changes it, or what is usual. */
    public void change(String step, UnaryOperator<T> change) {
        set(step, change.apply(get()));
    }

    /** The same for what follows from other documents, or cannot be taken back: no step of undo. */
    public void note(T changed) {
        ledger.note(List.of(with(changed)));
    }

    public void remove(String step) {
        ledger.change(step, List.of(Put.away(kind, owner(), Kind.ONLY)));
    }

    /** The change to it, for a step that changes several documents. */
    public Put<T> with(T changed) {
        return Put.of(kind, owner(), changed);
    }

    /** Every state it has been in with its moment, oldest first; handed over later, on this thread. */
    public void history(Consumer<List<Map.Entry<Instant, T>>> reader) {
        ledger.history(kind, owner(), Kind.ONLY, reader);
    }

    void refresh() {
        Optional<T> now = kept();
        if (!now.equals(kept.get())) {
            kept.set(now);
        }
        T shown = get();
        if (shown != null && !shown.equals(value.get())) {
            value.set(shown);
        }
    }
}
