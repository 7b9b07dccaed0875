package fahrbahn.app.season;

import fahrbahn.core.mat.MatSheet;
import fahrbahn.core.season.Hand;
import fahrbahn.core.season.Listing;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.Draft;
import fahrbahn.store.document.Kinds;
import fahrbahn.store.document.Put;
import fahrbahn.store.season.Ledger;
import fahrbahn.words.Names;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Teams with their robots, tables, venues: taking one of each in hand, and every change to the list. */
public final class Club {
    private final Season season;
    private final Ledger ledger;
    private final ClubList list;
    private final Additions additions;

    Club(Season season, Ledger ledger) {
        this.season = season;
        this.ledger = ledger;
        this.list = new ClubList(ledger, season.selection());
        this.additions = new Additions(season, ledger, this, list);
    }

    /** New robots and tables. */
    public Additions additions() {
        return additions;
    }

    /** In the order they were first listed; those in use before the retired ones. */
    public List<Entry> entries(Sort sort) {
        return list.entries(sort);
    }

    /** What a robot is set to; empty for one that nothing was typed for. */
    public Optional<Setup> setupOf(String robot) {
        return ledger.get(Kinds.SETUP, robot);
    }

    /** What is selected of a sort. */
    public Entry inHand(Sort sort) {
        return list.inHand(sort);
    }

    /** What robots and venues are called now. */
    public Names names() {
        return new Names(named(Sort.ROBOT), named(Sort.VENUE));
    }

    private Map<String, String> named(Sort sort) {
        Map<String, String> names = new LinkedHashMap<>();
        entries(sort).forEach(entry -> names.put(entry.id(), entry.name()));
        return names;
    }

    /** Team and venue of the robot in hand with its table, as far as they are known. */
    public String whose(String table) {
        return Stream.of(inHand(Sort.ROBOT).team(), table, inHand(Sort.VENUE).name())
                .filter(word -> !word.isEmpty())
                .collect(Collectors.joining(", "));
    }

    /** What a venue is called. */
    public String venueName(String id) {
        return list.venueName(id);
    }

    /** The courses of all tables, by table; retired ones left out. */
    public Map<String, Draft> courses() {
        Map<String, Draft> all = new LinkedHashMap<>();
        entries(Sort.TABLE).stream()
                .filter(e -> !e.retired())
                .forEach(e -> ledger.get(Kinds.COURSE, e.id()).ifPresent(draft -> all.put(e.id(), draft)));
        return all;
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
                        .filter(r -> list.listing(Sort.ROBOT, r.id()).team().equals(id) && !r.retired())
                        .findFirst()
                        .map(r -> hand.withRobot(r.id()))
                        .orElse(hand);
        };
        season.selection().select(next);
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

    /** A new team or venue; a venue is taken in hand. */
    public void add(Sort sort, String name) {
        String id = Additions.newId();
        ledger.change(
                "the " + sort.word() + " " + name + " added", List.of(sort.put(id, Listing.PLAIN.withName(name))));
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
                Setup setup = list.setup(id);
                yield Put.of(Kinds.SETUP, id, setup.withRobot(setup.robot().withName(newName)));
            }
            case TABLE -> renamedTable(id, newName);
            case VENUE, TEAM ->
                entry.sort().put(id, list.listing(entry.sort(), id).withName(newName));
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
                                .orElseGet(() -> season.laidCourse().draft())
                                .withName(newName));
    }

    /** Hides one, or shows it again; nothing of it is deleted. */
    public void retire(Entry entry, boolean retired) {
        Listing listing = list.listing(entry.sort(), entry.id()).withRetired(retired);
        boolean nameless = entry.sort().namedByListing() && listing.name().isEmpty();
        ledger.change(
                entry.name() + (retired ? " archived" : " restored"),
                List.of(entry.sort().put(entry.id(), nameless ? listing.withName(entry.name()) : listing)));
    }

    /** Puts a robot into the next team, and after the last into none. */
    public void nextTeam(Entry robot) {
        List<Entry> teams =
                entries(Sort.TEAM).stream().filter(t -> !t.retired()).toList();
        String now = list.listing(Sort.ROBOT, robot.id()).team();
        int place = -1;
        for (int i = 0; i < teams.size(); i++) {
            place = teams.get(i).id().equals(now) ? i : place;
        }
        String next = place + 1 < teams.size() ? teams.get(place + 1).id() : "";
        String of = next.isEmpty() ? "no team" : teams.get(place + 1).name();
        ledger.change(
                robot.name() + " belongs to " + of,
                List.of(Put.of(
                        Kinds.ROBOT,
                        robot.id(),
                        list.listing(Sort.ROBOT, robot.id()).withTeam(next))));
    }
}
