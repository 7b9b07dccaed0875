package fahrbahn.app.season;

import fahrbahn.core.knowledge.Fact;
import fahrbahn.core.mat.MatSheet;
import fahrbahn.core.mat.PackedPicture;
import fahrbahn.core.season.Hand;
import fahrbahn.core.season.Listing;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.Draft;
import fahrbahn.store.Kind;
import fahrbahn.store.Kinds;
import fahrbahn.store.Ledger;
import fahrbahn.store.Put;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;

/** The club's list: teams with their robots, tables, venues; and taking one of each in hand. */
public final class Club {
    private final Season season;
    private final Ledger ledger;

    /** What there is of. */
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
    }

    /**
     * One of the list.
     *
     * @param team what its team is called; empty for none, and for all but robots
     * @param inHand it is what the stations are about
     */
    public record Entry(Sort sort, String id, String name, String team, boolean retired, boolean inHand) {}

    Club(Season season, Ledger ledger) {
        this.season = season;
        this.ledger = ledger;
    }

    /** In the order they were first listed; those in use before the retired ones. */
    public List<Entry> entries(Sort sort) {
        List<Entry> all = new ArrayList<>();
        ids(sort).forEach(id -> all.add(entry(sort, id)));
        all.sort((a, b) -> Boolean.compare(a.retired(), b.retired()));
        return List.copyOf(all);
    }

    private Set<String> ids(Sort sort) {
        Hand hand = season.hand();
        Set<String> ids = new LinkedHashSet<>();
        switch (sort) {
            case ROBOT -> {
                ids.addAll(robots());
                ids.add(hand.robot());
            }
            case TABLE -> {
                ids.addAll(tables());
                ids.add(hand.table());
            }
            case VENUE -> {
                ids.addAll(ledger.all(Kinds.VENUE, "").keySet());
                if (!hand.venue().isEmpty()) {
                    ids.add(hand.venue());
                }
            }
            case TEAM -> ids.addAll(ledger.all(Kinds.TEAM, "").keySet());
        }
        return ids;
    }

    private Set<String> robots() {
        Set<String> ids = new LinkedHashSet<>(ledger.owners(Kinds.SETUP));
        ids.addAll(ledger.owners(Kinds.CAPTURE));
        ids.addAll(ledger.owners(Kinds.RUN));
        return ids;
    }

    private Set<String> tables() {
        Set<String> ids = new LinkedHashSet<>(ledger.owners(Kinds.COURSE));
        ids.addAll(ledger.owners(Kinds.MAT));
        return ids;
    }

    /** The same with what undo has taken away replaced by the latest that is there. */
    Hand settled(Hand hand) {
        Hand settled = hand.withRobot(among(robots(), hand.robot()));
        return settled.withTable(among(tables(), hand.table()));
    }

    private static String among(Set<String> there, String wanted) {
        List<String> all = List.copyOf(there);
        return all.isEmpty() || there.contains(wanted) ? wanted : all.get(all.size() - 1);
    }

    private Listing listing(Sort sort, String id) {
        Optional<Listing> found = listed(sort) ? ledger.get(sort.kind, "", id) : ledger.get(sort.kind, id);
        return found.orElse(Listing.PLAIN);
    }

    /** Teams and venues are documents of the season; a robot's or table's listing is its own. */
    private static boolean listed(Sort sort) {
        return sort == Sort.TEAM || sort == Sort.VENUE;
    }

    private Entry entry(Sort sort, String id) {
        Hand hand = season.hand();
        Listing listing = listing(sort, id);
        String team = listing.team().isEmpty()
                ? ""
                : listing(Sort.TEAM, listing.team()).name();
        boolean inHand = switch (sort) {
            case ROBOT -> hand.robot().equals(id);
            case TABLE -> hand.table().equals(id);
            case VENUE -> hand.venue().equals(id);
            case TEAM -> listing(Sort.ROBOT, hand.robot()).team().equals(id);
        };
        return new Entry(sort, id, name(sort, id), team, listing.retired(), inHand);
    }

    private String name(Sort sort, String id) {
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

    private Setup setup(String robot) {
        return ledger.get(Kinds.SETUP, robot).orElseGet(StartingSetup::guess);
    }

    /** What a venue is called. */
    public String venueName(String id) {
        return id.isEmpty() ? "" : name(Sort.VENUE, id);
    }

    /** What is in hand. */
    public Entry inHand(Sort sort) {
        Hand hand = season.hand();
        return switch (sort) {
            case ROBOT -> entry(sort, hand.robot());
            case TABLE -> entry(sort, hand.table());
            case VENUE -> entry(sort, hand.venue());
            case TEAM -> entry(sort, listing(Sort.ROBOT, hand.robot()).team());
        };
    }

    /** Makes the stations about this one. No step of undo: nothing is changed by looking at another robot. */
    public void take(Sort sort, String id) {
        Hand hand = season.hand();
        Hand next = switch (sort) {
            case ROBOT -> hand.withRobot(id);
            case TABLE -> hand.withTable(id);
            case VENUE -> hand.withVenue(id);
            case TEAM ->
                entries(Sort.ROBOT).stream()
                        .filter(r -> listing(Sort.ROBOT, r.id()).team().equals(id) && !r.retired())
                        .findFirst()
                        .map(r -> hand.withRobot(r.id()))
                        .orElse(hand);
        };
        ledger.note(List.of(Put.of(Kinds.HAND, "", next)));
    }

    /** Takes the next one that is not retired. */
    public void takeNext(Sort sort) {
        List<Entry> offered = entries(sort).stream().filter(e -> !e.retired()).toList();
        int now = 0;
        while (now < offered.size() && !offered.get(now).inHand()) {
            now++;
        }
        if (!offered.isEmpty()) {
            take(sort, offered.get((now + 1) % offered.size()).id());
        }
    }

    private static String newId() {
        return UUID.randomUUID().toString();
    }

    /** A new robot of the team in hand, taken in hand. Its numbers count as guesses. */
    public String addRobot(Setup begunAs) {
        String team = listing(Sort.ROBOT, season.hand().robot()).team();
        String id = untouched() ? season.hand().robot() : newId();
        ledger.change(
                "the robot " + begunAs.robot().name() + " added",
                List.of(
                        Put.of(Kinds.ROBOT, id, Listing.PLAIN.withTeam(team)),
                        Put.of(Kinds.SETUP, id, begunAs),
                        Put.of(Kinds.BEGUN, id, begunAs)));
        take(Sort.ROBOT, id);
        return id;
    }

    /** A season nobody has typed a robot into yet begins with the first that is added. */
    private boolean untouched() {
        return robots().isEmpty();
    }

    /** A robot described by a setup from elsewhere, kept with all its fields, taken in hand. Nothing of it counts as a guess. */
    public void importRobot(Setup setup, String text) {
        String id = untouched() ? season.hand().robot() : newId();
        ledger.change(
                "the robot " + setup.robot().name() + " from a file",
                List.of(Put.of(Kinds.SETUP, id, setup).writtenAs(text), Put.of(Kinds.ROBOT, id, Listing.PLAIN)));
        take(Sort.ROBOT, id);
    }

    /** A copy of a robot, taken in hand. @param measured with its measured constants, captures and chosen gains */
    public void copyRobot(String from, boolean measured) {
        String id = newId();
        Setup setup = setup(from);
        Setup copy = setup.withRobot(
                setup.robot().withName(unusedName(Sort.ROBOT, setup.robot().name())));
        List<Put<?>> puts = new ArrayList<>();
        puts.add(Put.of(Kinds.ROBOT, id, listing(Sort.ROBOT, from).withRetired(false)));
        puts.add(Put.of(Kinds.SETUP, id, copy));
        // Without its measurements what was measured on the other one is a guess on this one.
        puts.add(
                Put.of(Kinds.BEGUN, id, measured ? ledger.get(Kinds.BEGUN, from).orElse(copy) : copy));
        copy(Kinds.CONDITIONS, from, id, puts);
        copy(Kinds.COLUMNS, from, id, puts);
        if (measured) {
            copy(Kinds.ENTRIES, from, id, puts);
            for (Map.Entry<String, Fact> fact : ledger.all(Kinds.FACT, from).entrySet()) {
                puts.add(Put.of(Kinds.FACT, id, fact.getKey(), fact.getValue()));
            }
            ledger.all(Kinds.CAPTURE, from).values().forEach(c -> {
                String other = newId();
                puts.add(Put.of(Kinds.CAPTURE, id, other, c.withId(other)));
            });
            copy(Kinds.CHOSEN, from, id, puts);
        }
        ledger.change(copy.robot().name() + ", a copy of " + setup.robot().name(), puts);
        take(Sort.ROBOT, id);
    }

    private <T> void copy(Kind<T> kind, String from, String to, List<Put<?>> puts) {
        ledger.all(kind, from).forEach((id, value) -> puts.add(Put.of(kind, to, id, value)));
    }

    private String unusedName(Sort sort, String name) {
        Set<String> used = new LinkedHashSet<>();
        entries(sort).forEach(e -> used.add(e.name()));
        int number = 2;
        while (used.contains(name + " " + number)) {
            number++;
        }
        return name + " " + number;
    }

    /** A table with a course of its own, taken in hand. */
    public void addTable(Draft draft) {
        Draft named = tables().stream().anyMatch(id -> name(Sort.TABLE, id).equals(draft.name()))
                ? draft.withName(unusedName(Sort.TABLE, draft.name()))
                : draft;
        // The practice loop that nobody has touched makes way for the first.
        String id = tables().isEmpty() ? season.hand().table() : newId();
        ledger.change("the table " + named.name() + " added", List.of(Put.of(Kinds.COURSE, id, named)));
        take(Sort.TABLE, id);
    }

    /** A table that is a mat, taken in hand, with its picture. */
    public void addMat(MatSheet mat, PackedPicture picture) {
        String id = newId();
        ledger.change(
                "the mat " + mat.name() + " added",
                List.of(Put.of(Kinds.PICTURE, "", mat.picture(), picture), Put.of(Kinds.MAT, id, mat)));
        take(Sort.TABLE, id);
    }

    public void copyTable(String from) {
        String id = newId();
        String name = unusedName(Sort.TABLE, name(Sort.TABLE, from));
        List<Put<?>> puts = new ArrayList<>();
        ledger.get(Kinds.MAT, from)
                .ifPresentOrElse(
                        mat -> puts.add(Put.of(Kinds.MAT, id, mat.withName(name))),
                        () -> puts.add(Put.of(
                                Kinds.COURSE,
                                id,
                                ledger.get(Kinds.COURSE, from)
                                        .orElseGet(season::courseOrLoop)
                                        .withName(name))));
        ledger.change("the table " + name + " added", puts);
        take(Sort.TABLE, id);
    }

    /** A new team or venue; a venue is taken in hand. */
    public void add(Sort sort, String name) {
        String id = newId();
        ledger.change(
                "the " + sort.word + " " + name + " added",
                List.of(Put.of(sort.kind, "", id, Listing.PLAIN.withName(name))));
        if (sort == Sort.VENUE) {
            take(sort, id);
        }
    }

    /** Takes the venue of this name in hand; one of a new name is added. */
    public void goTo(String venueName) {
        String name = venueName.strip();
        if (name.isEmpty()) {
            take(Sort.VENUE, "");
            return;
        }
        entries(Sort.VENUE).stream()
                .filter(e -> e.name().equalsIgnoreCase(name))
                .findFirst()
                .ifPresentOrElse(e -> take(Sort.VENUE, e.id()), () -> add(Sort.VENUE, name));
    }

    public void rename(Entry entry, String newName) {
        String id = entry.id();
        Put<?> put = switch (entry.sort()) {
            case ROBOT -> {
                Setup setup = setup(id);
                yield Put.of(Kinds.SETUP, id, setup.withRobot(setup.robot().withName(newName)));
            }
            case TABLE -> renamedTable(id, newName);
            case VENUE, TEAM ->
                Put.of(entry.sort().kind, "", id, listing(entry.sort(), id).withName(newName));
        };
        ledger.change(entry.name() + " is called " + newName, List.of(put));
    }

    private Put<?> renamedTable(String id, String newName) {
        Optional<MatSheet> mat = ledger.get(Kinds.MAT, id);
        return mat.isPresent()
                ? Put.of(Kinds.MAT, id, mat.get().withName(newName))
                : Put.of(
                        Kinds.COURSE,
                        id,
                        ledger.get(Kinds.COURSE, id)
                                .orElseGet(season::courseOrLoop)
                                .withName(newName));
    }

    /** Hides one, or shows it again; nothing of it is deleted. */
    public void retire(Entry entry, boolean retired) {
        Listing listing = listing(entry.sort(), entry.id()).withRetired(retired);
        Listing named = listed(entry.sort()) && listing.name().isEmpty() ? listing.withName(entry.name()) : listing;
        ledger.change(
                entry.name() + (retired ? " retired" : " back again"),
                List.of(
                        listed(entry.sort())
                                ? Put.of(entry.sort().kind, "", entry.id(), named)
                                : Put.of(entry.sort().kind, entry.id(), named)));
    }

    /** Puts a robot into the next team, and after the last into none. */
    public void nextTeam(Entry robot) {
        List<Entry> teams =
                entries(Sort.TEAM).stream().filter(t -> !t.retired()).toList();
        String now = listing(Sort.ROBOT, robot.id()).team();
        int place = -1;
        for (int i = 0; i < teams.size(); i++) {
            place = teams.get(i).id().equals(now) ? i : place;
        }
        String next = place + 1 < teams.size() ? teams.get(place + 1).id() : "";
        String of = next.isEmpty() ? "no team" : teams.get(place + 1).name();
        ledger.change(
                robot.name() + " belongs to " + of,
                List.of(Put.of(
                        Kinds.ROBOT, robot.id(), listing(Sort.ROBOT, robot.id()).withTeam(next))));
    }
}
