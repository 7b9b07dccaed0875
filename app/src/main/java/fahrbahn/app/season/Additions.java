package fahrbahn.app.season;

import fahrbahn.core.knowledge.Basis;
import fahrbahn.core.knowledge.Fact;
import fahrbahn.core.mat.MatSheet;
import fahrbahn.core.mat.PackedPicture;
import fahrbahn.core.season.Listing;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.Draft;
import fahrbahn.store.document.Kind;
import fahrbahn.store.document.Kinds;
import fahrbahn.store.document.Put;
import fahrbahn.store.season.Ledger;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;

/** New robots and tables: begun, from a file, or as a copy of another. Each is taken in hand. */
public final class Additions {
    private final Season season;
    private final Ledger ledger;
    private final Club club;
    private final ClubList list;

    Additions(Season season, Ledger ledger, Club club, ClubList list) {
        this.season = season;
        this.ledger = ledger;
        this.club = club;
        this.list = list;
    }

    static String newId() {
        return UUID.randomUUID().toString();
    }

    /** A new robot of the team in hand, taken in hand. Its numbers count as guesses. */
    public String addRobot(Setup begunAs) {
        String team = list.listing(Sort.ROBOT, season.hand().robot()).team();
        String id = untouched() ? season.hand().robot() : newId();
        ledger.change(
                "the robot " + begunAs.robot().name() + " added",
                List.of(
                        Put.of(Kinds.ROBOT, id, Listing.PLAIN.withTeam(team)),
                        Put.of(Kinds.SETUP, id, begunAs),
                        Put.of(Kinds.BEGUN, id, begunAs)));
        club.take(Sort.ROBOT, id);
        return id;
    }

    /** A season nobody has typed a robot into yet begins with the first that is added. */
    private boolean untouched() {
        return season.selection().robots().isEmpty();
    }

    /** A robot described by a setup from elsewhere, kept with all its fields, taken in hand. Nothing of it counts as a guess. */
    public void importRobot(Setup setup, String text) {
        String id = untouched() ? season.hand().robot() : newId();
        ledger.change(
                "the robot " + setup.robot().name() + " from a file",
                List.of(Put.of(Kinds.SETUP, id, setup).writtenAs(text), Put.of(Kinds.ROBOT, id, Listing.PLAIN)));
        club.take(Sort.ROBOT, id);
    }

    /** A copy of a robot, taken in hand. @param measured with its measured constants, captures and chosen gains */
    public void copyRobot(String from, boolean measured) {
        String id = newId();
        Setup setup = list.setup(from);
        Setup copy = setup.withRobot(
                setup.robot().withName(unusedName(Sort.ROBOT, setup.robot().name())));
        List<Put<?>> puts = new ArrayList<>();
        puts.add(Put.of(Kinds.ROBOT, id, list.listing(Sort.ROBOT, from).withRetired(false)));
        puts.add(Put.of(Kinds.SETUP, id, copy));
        // Without its measurements what was measured on the other one is a guess on this one.
        puts.add(
                Put.of(Kinds.BEGUN, id, measured ? ledger.get(Kinds.BEGUN, from).orElse(copy) : copy));
        copy(Kinds.CONDITIONS, from, id, puts);
        copy(Kinds.COLUMNS, from, id, puts);
        if (measured) {
            copy(Kinds.ENTRIES, from, id, puts);
            copy(Kinds.DIRECTION_SEEN, from, id, puts);
            for (Map.Entry<String, Fact> fact : ledger.all(Kinds.FACT, from).entrySet()) {
                puts.add(Put.of(Kinds.FACT, id, fact.getKey(), fact.getValue()));
            }
            Map<String, String> captures = new HashMap<>();
            ledger.all(Kinds.CAPTURE, from).values().forEach(c -> {
                String other = newId();
                captures.put(c.id(), other);
                puts.add(Put.of(Kinds.CAPTURE, id, other, c.withId(other)));
            });
            copy(Kinds.CHOSEN, from, id, puts);
            ledger.get(Kinds.LEVELS, from)
                    .ifPresent(basis -> puts.add(Put.of(Kinds.LEVELS, id, copied(basis, captures))));
        }
        ledger.change(copy.robot().name() + ", a copy of " + setup.robot().name(), puts);
        club.take(Sort.ROBOT, id);
    }

    /** The same about the copies of its captures. */
    private static Basis copied(Basis basis, Map<String, String> copies) {
        return basis.withCaptures(
                basis.captures().stream().map(id -> copies.getOrDefault(id, id)).toList());
    }

    private <T> void copy(Kind<T> kind, String from, String to, List<Put<?>> puts) {
        ledger.all(kind, from).forEach((id, value) -> puts.add(Put.of(kind, to, id, value)));
    }

    private String unusedName(Sort sort, String name) {
        Set<String> used = new LinkedHashSet<>();
        list.entries(sort).forEach(e -> used.add(e.name()));
        int number = 2;
        while (used.contains(name + " " + number)) {
            number++;
        }
        return name + " " + number;
    }

    /** A table with a course of its own, taken in hand. */
    public void addTable(Draft draft) {
        Draft named = season.selection().tables().stream()
                        .anyMatch(id -> list.name(Sort.TABLE, id).equals(draft.name()))
                ? draft.withName(unusedName(Sort.TABLE, draft.name()))
                : draft;
        // The practice loop that nobody has touched makes way for the first.
        String id = season.selection().tables().isEmpty() ? season.hand().table() : newId();
        ledger.change("the table " + named.name() + " added", List.of(Put.of(Kinds.COURSE, id, named)));
        club.take(Sort.TABLE, id);
    }

    /** A table that is a mat, taken in hand, with its picture. */
    public void addMat(MatSheet mat, PackedPicture picture) {
        String id = newId();
        ledger.change(
                "the mat " + mat.name() + " added",
                List.of(Put.of(Kinds.PICTURE, "", mat.picture(), picture), Put.of(Kinds.MAT, id, mat)));
        club.take(Sort.TABLE, id);
    }

    public void copyTable(String from) {
        String id = newId();
        String name = unusedName(Sort.TABLE, list.name(Sort.TABLE, from));
        List<Put<?>> puts = new ArrayList<>();
        ledger.get(Kinds.MAT, from)
                .ifPresentOrElse(
                        mat -> puts.add(Put.of(Kinds.MAT, id, mat.withName(name))),
                        () -> puts.add(Put.of(
                                Kinds.COURSE,
                                id,
                                ledger.get(Kinds.COURSE, from)
                                        .orElseGet(() -> season.laidCourse().draft())
                                        .withName(name))));
        ledger.change("the table " + name + " added", puts);
        club.take(Sort.TABLE, id);
    }
}
