package fahrbahn.app.state;

import fahrbahn.core.season.Hand;
import fahrbahn.store.document.Kind.Scope;
import fahrbahn.store.document.Kinds;
import fahrbahn.store.document.Put;
import fahrbahn.store.season.Ledger;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/** The robot, table and venue that everything on screen is about. What undo has taken away is replaced by the latest that is there. */
public final class Selection {
    private final Ledger ledger;
    private final ReadOnlyObjectWrapper<Hand> selected = new ReadOnlyObjectWrapper<>(Hand.FIRST);

    Selection(Ledger ledger) {
        this.ledger = ledger;
        selected.set(get());
    }

    public Hand get() {
        Hand kept = ledger.get(Kinds.HAND, "").orElse(Hand.FIRST);
        return kept.withRobot(among(robots(), kept.robot())).withTable(among(tables(), kept.table()));
    }

    private static String among(Set<String> there, String wanted) {
        List<String> all = List.copyOf(there);
        return all.isEmpty() || there.contains(wanted) ? wanted : all.get(all.size() - 1);
    }

    /** Every robot of the season, in the order they first had something. */
    public Set<String> robots() {
        Set<String> ids = new LinkedHashSet<>(ledger.owners(Kinds.SETUP));
        ids.addAll(ledger.owners(Kinds.CAPTURE));
        ids.addAll(ledger.owners(Kinds.RUN));
        return ids;
    }

    /** Every table of the season. */
    public Set<String> tables() {
        Set<String> ids = new LinkedHashSet<>(ledger.owners(Kinds.COURSE));
        ids.addAll(ledger.owners(Kinds.MAT));
        return ids;
    }

    /** Whose the documents of a scope are that are shown now. */
    String owner(Scope scope) {
        return switch (scope) {
            case SEASON -> "";
            case ROBOT -> get().robot();
            case TABLE -> get().table();
            case VENUE -> get().venue();
        };
    }

    /** Selects others. No step of undo: nothing is changed by looking at another robot. */
    public void select(Hand hand) {
        ledger.note(List.of(Put.of(Kinds.HAND, "", hand)));
    }

    public ReadOnlyObjectProperty<Hand> property() {
        return selected.getReadOnlyProperty();
    }

    void refresh() {
        selected.set(get());
    }
}
