package fahrbahn.app.handover.lists;

import fahrbahn.app.errand.Errand;
import fahrbahn.app.errand.Errands;
import fahrbahn.app.freshness.Freshness;
import fahrbahn.app.freshness.Station;
import fahrbahn.app.season.Season;
import fahrbahn.app.state.Derived;
import fahrbahn.app.state.Documents;
import fahrbahn.app.state.Snapshot;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.hall.Checklist;
import fahrbahn.core.hall.Checklist.Occasion;
import fahrbahn.core.hall.Lapses;
import fahrbahn.core.readings.Capture;
import fahrbahn.core.setup.Robot;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.trials.Run;
import fahrbahn.store.document.Kinds;
import fahrbahn.words.Refusals;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/** Lists to tick off: one for each occasion, edited by the club, which learn what was forgotten. */
public final class ListModel {
    private final Season season;
    private final Documents<Checklist> lists;
    private final Function<Station, Freshness> freshness;
    private final Consumer<String> tell;
    private final Errand<String> save;
    private final ReadOnlyObjectWrapper<Occasion> occasion = new ReadOnlyObjectWrapper<>(Occasion.PACK);
    private final ReadOnlyObjectWrapper<Integer> row = new ReadOnlyObjectWrapper<>(0);

    private final Derived<Learned> learned;

    /** What lists learn from. */
    private record LearnedFrom(Snapshot<Run> runs, List<Capture> captures, Robot robot) {
        Learned learn() {
            List<String> sensors = robot.sensors().stream().map(Sensor::name).toList();
            Lapses lapses = Lapses.of(runs.values(), captures, sensors);
            return new Learned(lapses, new HashMap<>(), ListWords.season(lapses, robot.name()));
        }
    }

    /** @param freshness of a station, for what went stale */
    public ListModel(Season season, Function<Station, Freshness> freshness, Errands errands) {
        this.season = season;
        this.lists = season.state().documents(Kinds.CHECKLIST);
        this.freshness = freshness;
        this.tell = errands.tell();
        this.save = errands.errand("Saving the list");
        this.learned = season.state()
                .derive(
                        "Checking the log book",
                        () -> new LearnedFrom(
                                season.runsNow(),
                                List.copyOf(season.captures()),
                                season.setupOrGuess().robot()),
                        (from, job) -> from.learn());
    }

    public ReadOnlyObjectProperty<Occasion> occasionProperty() {
        return occasion.getReadOnlyProperty();
    }

    ReadOnlyObjectProperty<Integer> rowProperty() {
        return row.getReadOnlyProperty();
    }

    /** The list of the occasion; as proposed as long as nobody changed it. */
    public Checklist list() {
        return list(occasion.get());
    }

    /** What is left on the list of an occasion. */
    List<String> left(Occasion when) {
        return list(when).items().stream()
                .filter(item -> !item.done())
                .map(Checklist.Item::words)
                .toList();
    }

    private static String id(Occasion occasion) {
        return occasion.name().toLowerCase(Locale.ROOT);
    }

    private Checklist list(Occasion when) {
        return lists.get(id(when))
                .orElseGet(() -> Checklist.of(ListWords.proposed(when)))
                .learned(words -> stale(words).runs());
    }

    /** At how many runs of the robot in hand a thing on a list was not so, as far as the log book tells. */
    Lapses.Share stale(String words) {
        return learned().of(words);
    }

    /** What went stale over the season of the robot in hand. */
    public List<String> staleThisSeason() {
        return learned().lines();
    }

    /** What the log book tells of the robot selected. */
    private record Learned(Lapses lapses, Map<String, Lapses.Share> shares, List<String> lines) {
        static final Learned NOTHING = new Learned(Lapses.NONE, new HashMap<>(), List.of());

        Lapses.Share of(String words) {
            return shares.computeIfAbsent(words, w -> lapses.of(ListWords.told(w)));
        }
    }

    /** What was known before stands until the newer is there. */
    private Learned learned() {
        learned.show();
        return learned.lastProperty().get().orElse(Learned.NOTHING);
    }

    /** What does not hold any more and is to be made fresh before a run, in words. */
    public List<String> stale() {
        List<String> stale = new ArrayList<>();
        for (Station station : Station.values()) {
            Freshness now = freshness.apply(station);
            if (now.mark() == Freshness.Mark.STALE) {
                stale.add(station.title() + ": " + now.reason());
            }
        }
        return stale;
    }

    public void turn(int by) {
        Occasion[] all = Occasion.values();
        occasion.set(all[Math.floorMod(occasion.get().ordinal() + by, all.length)]);
        row.set(0);
    }

    public void move(int by) {
        row.set(Math.max(0, Math.min(list().items().size() - 1, row.get() + by)));
    }

    /** Done, or not done after all; the next one that is not is in hand then. */
    public void tick() {
        change("", list -> list.tick(row.get()));
        move(1);
    }

    public void forgot() {
        change("forgotten", list -> list.forgot(row.get()));
    }

    public void add(String words) {
        change("added to", list -> list.add(words));
    }

    public void remove() {
        change("taken off", list -> list.remove(row.get()));
        move(0);
    }

    public void anew() {
        change("cleared:", Checklist::anew);
        row.set(0);
    }

    private void change(String what, UnaryOperator<Checklist> change) {
        Checklist before = list();
        boolean none = before.items().isEmpty();
        try {
            if (!none || what.equals("added to")) {
                Checklist changed = change.apply(before);
                if (what.isEmpty()) {
                    lists.note(id(occasion.get()), changed); // what is ticked is unticked by the same key
                } else {
                    lists.set(what + " the list " + ListWords.title(occasion.get()), id(occasion.get()), changed);
                }
            }
        } catch (BadValueException refused) {
            tell.accept(Refusals.sentence(refused));
        }
    }

    /** For the wall or the box. */
    public void print(Path file) {
        Occasion when = occasion.get();
        Checklist list = list();
        save.run(
                job -> {
                    ListSheet.write(ListWords.title(when), list, ListWords.caution(when), file);
                    return "Saved as " + file.getFileName() + ".";
                },
                tell);
    }
}
