package fahrbahn.core.hall;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.core.Setups;
import fahrbahn.core.difference.Aspect;
import fahrbahn.core.hall.Lapses.Share;
import fahrbahn.core.knowledge.Basis;
import fahrbahn.core.knowledge.Setting;
import fahrbahn.core.readings.Capture;
import fahrbahn.core.readings.Conditions;
import fahrbahn.core.readings.Lamp;
import fahrbahn.core.readings.Reading;
import fahrbahn.core.trials.Outcome;
import fahrbahn.core.trials.Run;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** What did not hold when a robot ran, told from its log book and its captures alone. */
class LapsesTest {
    private static final Setting SETTING = new Setting("one", Setups.edge());
    private static final List<String> SENSORS =
            Setups.edge().robot().sensors().stream().map(s -> s.name()).toList();
    private static final Conditions WORKSHOP =
            Conditions.UNKNOWN.withVenue("workshop").withBatteryV(8.2);

    private static Instant at(double hours) {
        return Instant.ofEpochSecond((long) (3600 * hours));
    }

    private static Run run(double hours, Conditions conditions, boolean completed) {
        Outcome outcome = Outcome.of(completed, 12.5);
        Basis basis = Basis.of(at(hours), conditions).withSetting(SETTING);
        return new Run("run" + hours, Run.Source.TABLE, "a", basis, outcome, "");
    }

    private static List<Capture> both(double hours, Conditions conditions) {
        return List.of(capture("dark", hours, conditions), capture("light", hours, conditions));
    }

    private static Capture capture(String surface, double hours, Conditions conditions) {
        double[] values = SENSORS.stream().mapToDouble(s -> 300).toArray();
        List<Reading> readings =
                List.of(new Reading(0, surface, Double.NaN, values), new Reading(0.1, surface, Double.NaN, values));
        return new Capture(surface + hours, surface, at(hours), "test", SENSORS, readings, conditions);
    }

    private static Set<Aspect> stale(Lapses lapses, int run) {
        return lapses.runs().get(run).stale();
    }

    @Test
    void whatCapturesMindIsToldOfEachRun() {
        List<Capture> captures = new ArrayList<>(both(1, WORKSHOP));
        captures.addAll(both(40, WORKSHOP.withVenue("hall")));
        List<Run> runs = List.of(
                run(0.5, WORKSHOP, false),
                run(2, WORKSHOP, true),
                run(3, WORKSHOP.withVenue("hall"), false),
                run(4, WORKSHOP.withLamp(Lamp.OFF), false),
                run(14, WORKSHOP, true),
                run(41, WORKSHOP.withVenue("hall"), true));
        Lapses lapses = Lapses.of(runs, captures, SENSORS);
        assertThat(stale(lapses, 0)).as("before any capture").containsExactly(Aspect.CAPTURES);
        assertThat(stale(lapses, 1)).isEmpty();
        assertThat(stale(lapses, 2)).containsExactly(Aspect.VENUE);
        assertThat(stale(lapses, 3)).containsExactly(Aspect.LAMP);
        assertThat(stale(lapses, 4)).as("13 hours later").containsExactly(Aspect.AGE);
        assertThat(stale(lapses, 5)).as("captured anew in the hall").isEmpty();
        assertThat(lapses.of(EnumSet.of(Aspect.VENUE, Aspect.LAMP, Aspect.AGE, Aspect.CAPTURES)))
                .isEqualTo(new Share(4, 3, 2, 0));
        assertThat(lapses.of(EnumSet.of(Aspect.AGE))).isEqualTo(new Share(1, 0, 5, 3));
        assertThat(lapses.of(Set.of())).as("of what nobody can tell").isEqualTo(new Share(0, 0, 6, 3));
    }

    /** Volts and wheels are held against the last run that came round, not against one that was lost. */
    @Test
    void theRobotIsHeldAgainstItsLastGoodRun() {
        Conditions soft = WORKSHOP.withWheels("soft");
        List<Run> runs = List.of(
                run(2, soft, true),
                run(2.1, soft.withBatteryV(7.8), false),
                run(2.2, soft.withBatteryV(7.9), false),
                run(2.3, soft.withBatteryV(8.0), true),
                run(2.4, soft.withBatteryV(7.8), true),
                run(2.5, soft.withBatteryV(8.3).withWheels("hard"), false),
                run(2.6, soft.withBatteryV(Double.NaN).withWheels(""), true));
        Lapses lapses = Lapses.of(runs, both(1, WORKSHOP), SENSORS);
        assertThat(stale(lapses, 1)).containsExactly(Aspect.BATTERY);
        assertThat(stale(lapses, 2)).as("3.7 % below the good one").containsExactly(Aspect.BATTERY);
        assertThat(stale(lapses, 3)).as("2.4 % below").isEmpty();
        assertThat(stale(lapses, 4)).as("2.5 % below the newer good one").isEmpty();
        assertThat(stale(lapses, 5)).as("more volts are no lapse").containsExactly(Aspect.WHEELS);
        assertThat(stale(lapses, 6)).as("what nobody noted is not told").isEmpty();
    }

    /** The order in which runs and captures come does not matter, and the twin's runs are not the robot's. */
    @Test
    void onlyTimeAndTheTableCount() {
        List<Run> runs = new ArrayList<>(
                List.of(run(2, WORKSHOP, true), run(3, WORKSHOP.withVenue("hall"), false), run(20, WORKSHOP, true)));
        Lapses straight = Lapses.of(runs, both(1, WORKSHOP), SENSORS);
        List<Run> back = new ArrayList<>(List.of(runs.get(2), runs.get(1), runs.get(0)));
        Basis twin = Basis.of(at(4), WORKSHOP.withVenue("hall")).withSetting(SETTING);
        back.add(new Run("t", Run.Source.TWIN, "a", twin, Outcome.of(false, 3), ""));
        List<Capture> captures = new ArrayList<>(both(1, WORKSHOP));
        Collections.reverse(captures);
        assertThat(Lapses.of(back, captures, SENSORS)).isEqualTo(straight);
        assertThat(Lapses.of(List.of(), List.of(), SENSORS)).isEqualTo(Lapses.NONE);
    }

    /** A thing that went stale more often than another was forgotten stands before it; what is even keeps its place. */
    @Test
    void aListLearnsFromIt() {
        Checklist list = Checklist.of(List.of("a", "b", "c", "d")).forgot(2).forgot(0);
        assertThat(list.learned(words -> words.equals("d") ? 3 : words.equals("b") ? 2 : 0)
                        .items())
                .extracting(Checklist.Item::words)
                .containsExactly("d", "c", "b", "a");
    }
}
