package fahrbahn.app.season;

import fahrbahn.core.belief.Wish;
import fahrbahn.core.check.Check;
import fahrbahn.core.detour.Task;
import fahrbahn.core.drill.DrillScore;
import fahrbahn.core.hall.Checklist;
import fahrbahn.core.hall.Checklist.Occasion;
import fahrbahn.core.hall.HallDay;
import fahrbahn.core.knowledge.Basis;
import fahrbahn.core.knowledge.Constant;
import fahrbahn.core.program.HandOver;
import fahrbahn.core.program.Style;
import fahrbahn.core.program.Taken;
import fahrbahn.core.readings.Capture;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.stopping.StopPlan;
import fahrbahn.core.tuning.Goal;
import fahrbahn.store.Kind;
import fahrbahn.store.Kinds;
import fahrbahn.store.Ledger;
import fahrbahn.store.Put;
import fahrbahn.store.Shared;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.collections.ObservableMap;

/** What was decided for the robot in hand: gains chosen and levels used, each with what it rests on. */
public final class Choices {
    private final Season season;
    private final Ledger ledger;
    private final InHand in;

    Choices(Season season, Ledger ledger, InHand in) {
        this.season = season;
        this.ledger = ledger;
        this.in = in;
    }

    /** What the gains were last chosen for. */
    public ReadOnlyObjectProperty<Optional<Basis>> chosenProperty() {
        return in.chosen.getReadOnlyProperty();
    }

    /** What the levels on the robot rest on: their captures, and the setting they became part of. */
    public ReadOnlyObjectProperty<Optional<Basis>> levelsProperty() {
        return in.levels.getReadOnlyProperty();
    }

    /**
     * Changes the setup's gains and remembers what they were chosen for, as one step.
     *
     * @param known how well each constant is known
     */
    public void chooseGains(UnaryOperator<Setup> change, Map<Constant, Double> known) {
        Setup before = season.setupOrGuess();
        Setup chosen = change.apply(before);
        Basis basis = season.basisNow().withSetting(Shared.setting(chosen)).withKnown(known);
        String label = chosen.equals(before)
                ? "gains chosen again on " + season.robotName()
                : SeasonWords.setup(before, chosen);
        ledger.change(
                label,
                List.of(
                        Put.of(Kinds.SETUP, season.hand().robot(), chosen),
                        Put.of(Kinds.CHOSEN, season.hand().robot(), basis)));
    }

    /** What trials are for; {@link Wish#USUAL} as long as nobody said. */
    public ReadOnlyObjectProperty<Wish> wishProperty() {
        return in.wish.getReadOnlyProperty();
    }

    /** @param trialsLeft from now on */
    public void wish(Goal goal, int trialsLeft) {
        ledger.change(
                "what the trials of " + season.robotName() + " are for",
                List.of(Put.of(Kinds.WISH, season.hand().robot(), new Wish(goal, trialsLeft, season.now()))));
    }

    /** Where the robot is to stop; empty as long as nobody said. */
    public ReadOnlyObjectProperty<Optional<StopPlan>> stopProperty() {
        return in.stop.getReadOnlyProperty();
    }

    public void planStop(StopPlan plan) {
        ledger.change(
                "where " + season.robotName() + " is to stop",
                List.of(Put.of(Kinds.STOP, season.hand().robot(), plan)));
    }

    /** How the robot is to go round an obstacle; empty as long as nobody said. */
    public ReadOnlyObjectProperty<Optional<Task>> detourProperty() {
        return in.detour.getReadOnlyProperty();
    }

    public void planDetour(Task task) {
        ledger.change(
                "the way of " + season.robotName() + " round an obstacle",
                List.of(Put.of(Kinds.DETOUR, season.hand().robot(), task)));
    }

    /** What was last handed over to the robot's program; empty when nothing was. */
    public ReadOnlyObjectProperty<Optional<HandOver>> handedProperty() {
        return in.handed.getReadOnlyProperty();
    }

    /** Notes that these numbers were typed into the program. */
    public void handOver(Taken taken) {
        ledger.change(
                "numbers handed over to " + season.robotName(),
                List.of(Put.of(Kinds.HANDED, season.hand().robot(), HandOver.of(season.now(), taken))));
    }

    /** The same of some of them, by name. */
    public void handOverSome(Taken taken, Set<String> typed) {
        HandOver some = HandOver.ofSome(season.now(), in.handed.get(), taken, typed);
        ledger.change(
                "some numbers handed over to " + season.robotName(),
                List.of(Put.of(Kinds.HANDED, season.hand().robot(), some)));
    }

    /** The robot's minutes in a new hall; empty when they have not begun. */
    public ReadOnlyObjectProperty<Optional<HallDay>> hallProperty() {
        return in.hall.getReadOnlyProperty();
    }

    /** @param label of the step of undo */
    public void hall(String label, Optional<HallDay> day) {
        String robot = season.hand().robot();
        ledger.change(
                label,
                List.of(day.map(d -> Put.of(Kinds.HALL, robot, d))
                        .orElseGet(() -> Put.away(Kinds.HALL, robot, Kind.ONLY))));
    }

    /** The same for what follows from other documents: no step of undo of its own. */
    public void noteHall(HallDay day) {
        ledger.note(List.of(Put.of(Kinds.HALL, season.hand().robot(), day)));
    }

    /** What was answered in drills, by all. */
    public ReadOnlyObjectProperty<DrillScore> drillsProperty() {
        return in.drills.getReadOnlyProperty();
    }

    /** Notes an answer; no step of undo, for what was said was said. */
    public void answerDrill(DrillScore score) {
        ledger.note(List.of(Put.of(Kinds.DRILLS, "", score)));
    }

    /** The club's list of an occasion; empty as long as nobody changed it. */
    public Optional<Checklist> checklist(Occasion occasion) {
        return ledger.get(Kinds.CHECKLIST, "", id(occasion));
    }

    /** @param label of the step of undo; empty where none is wanted: what is ticked is unticked by the same key */
    public void checklist(String label, Occasion occasion, Checklist list) {
        List<Put<?>> puts = List.of(Put.of(Kinds.CHECKLIST, "", id(occasion), list));
        if (label.isEmpty()) {
            ledger.note(puts);
        } else {
            ledger.change(label, puts);
        }
    }

    private static String id(Occasion occasion) {
        return occasion.name().toLowerCase(Locale.ROOT);
    }

    /** How the robot's team writes its program. */
    public ReadOnlyObjectProperty<Style> styleProperty() {
        return in.style.getReadOnlyProperty();
    }

    public void style(Style style) {
        ledger.change(
                "how the program of " + season.robotName() + " is written",
                List.of(Put.of(Kinds.STYLE, season.hand().robot(), style)));
    }

    /** What stands in the program as level, by sensor, in the sensor's own numbers. */
    public ObservableMap<String, Double> typedLevels() {
        return in.shownTypedLevels;
    }

    /** Notes what stands in the program, or is to be tried there, as one step. */
    public void typeLevel(String sensor, double level) {
        Check.finite("level", level);
        ledger.change(
                "level of " + sensor + " typed on " + season.robotName(),
                List.of(Put.of(Kinds.TYPED_LEVEL, season.hand().robot(), sensor, level)));
    }

    /** Puts levels on the robot and remembers which captures they come from, and what was true when those were made, as one step. */
    public void useLevels(UnaryOperator<Setup> change, List<Capture> from) {
        Setup before = season.setupOrGuess();
        Setup after = change.apply(before);
        Capture oldest = Collections.min(from, Comparator.comparing(Capture::at));
        Basis basis = Basis.of(oldest.at(), oldest.conditions())
                .withSetting(Shared.setting(after))
                .withCaptures(from.stream().map(Capture::id).toList());
        String label =
                after.equals(before) ? "levels used again on " + season.robotName() : SeasonWords.setup(before, after);
        ledger.change(
                label,
                List.of(
                        Put.of(Kinds.SETUP, season.hand().robot(), after),
                        Put.of(Kinds.LEVELS, season.hand().robot(), basis)));
    }
}
