package fahrbahn.app.season;

import fahrbahn.core.season.Listing;
import fahrbahn.store.document.Kind;
import fahrbahn.store.document.Kinds;
import fahrbahn.store.document.Put;
import fahrbahn.store.season.Ledger;
import java.util.Optional;

/** What a club has several of. */
public enum Sort {
    ROBOT("robot", Kinds.ROBOT),
    TABLE("table", Kinds.TABLE),
    VENUE("venue", Kinds.VENUE),
    TEAM("team", Kinds.TEAM);

    private final String word;
    private final Kind<Listing> kind;

    Sort(String word, Kind<Listing> kind) {
        this.word = word;
        this.kind = kind;
    }

    public String word() {
        return word;
    }

    /** Teams are documents of the season; the listing of anything else is its own. */
    private boolean ofSeason() {
        return this == TEAM;
    }

    /** The listing of one, as it is kept. */
    Put<Listing> put(String id, Listing listing) {
        return ofSeason() ? Put.of(kind, "", id, listing) : Put.of(kind, id, listing);
    }

    /** The listing of one, as it was kept; empty when it never was. */
    Optional<Listing> listing(Ledger ledger, String id) {
        return ofSeason() ? ledger.get(kind, "", id) : ledger.get(kind, id);
    }

    /** True for those whose name is in their listing, and nowhere else. */
    boolean namedByListing() {
        return this == TEAM || this == VENUE;
    }
}
