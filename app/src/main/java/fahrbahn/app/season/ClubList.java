package fahrbahn.app.season;

import fahrbahn.app.state.Selection;
import fahrbahn.core.mat.MatSheet;
import fahrbahn.core.season.Hand;
import fahrbahn.core.season.Listing;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.Draft;
import fahrbahn.store.document.Kinds;
import fahrbahn.store.season.Ledger;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/** The club's list as the ledger has it: which entries there are, and what they are called. */
final class ClubList {
    private final Ledger ledger;
    private final Selection selection;

    ClubList(Ledger ledger, Selection selection) {
        this.ledger = ledger;
        this.selection = selection;
    }

    /** In the order they were first listed; those in use before the retired ones. */
    List<Entry> entries(Sort sort) {
        List<Entry> all = new ArrayList<>();
        ids(sort).forEach(id -> all.add(entry(sort, id)));
        all.sort((a, b) -> Boolean.compare(a.retired(), b.retired()));
        return List.copyOf(all);
    }

    private Set<String> ids(Sort sort) {
        Hand now = selection.get();
        Set<String> ids = new LinkedHashSet<>();
        switch (sort) {
            case ROBOT -> {
                ids.addAll(selection.robots());
                ids.add(now.robot());
            }
            case TABLE -> {
                ids.addAll(selection.tables());
                ids.add(now.table());
            }
            case VENUE -> {
                ids.addAll(ledger.owners(Kinds.VENUE));
                if (!now.venue().isEmpty()) {
                    ids.add(now.venue());
                }
            }
            case TEAM -> ids.addAll(ledger.all(Kinds.TEAM, "").keySet());
        }
        return ids;
    }

    Listing listing(Sort sort, String id) {
        return sort.listing(ledger, id).orElse(Listing.PLAIN);
    }

    private Entry entry(Sort sort, String id) {
        Hand now = selection.get();
        Listing listing = listing(sort, id);
        String team = listing.team().isEmpty()
                ? ""
                : listing(Sort.TEAM, listing.team()).name();
        boolean inHand = switch (sort) {
            case ROBOT -> now.robot().equals(id);
            case TABLE -> now.table().equals(id);
            case VENUE -> now.venue().equals(id);
            case TEAM -> listing(Sort.ROBOT, now.robot()).team().equals(id);
        };
        return new Entry(sort, id, name(sort, id), team, listing.retired(), inHand);
    }

    String name(Sort sort, String id) {
        return switch (sort) {
            case ROBOT -> setup(id).robot().name();
            case TABLE ->
                ledger.get(Kinds.MAT, id)
                        .map(MatSheet::name)
                        .or(() -> ledger.get(Kinds.COURSE, id).map(Draft::name))
                        .orElse("Practice loop");
            case VENUE, TEAM -> {
                String said = listing(sort, id).name();
                // Older seasons called a venue by its name.
                yield said.isEmpty() ? id : said;
            }
        };
    }

    Setup setup(String robot) {
        return ledger.get(Kinds.SETUP, robot).orElseGet(StartingSetup::guess);
    }

    /** What a venue is called. */
    String venueName(String id) {
        return id.isEmpty() ? "" : name(Sort.VENUE, id);
    }

    /** What is in hand. */
    Entry inHand(Sort sort) {
        Hand now = selection.get();
        return switch (sort) {
            case ROBOT -> entry(sort, now.robot());
            case TABLE -> entry(sort, now.table());
            case VENUE -> entry(sort, now.venue());
            case TEAM -> entry(sort, listing(Sort.ROBOT, now.robot()).team());
        };
    }
}
