package fahrbahn.core.detour;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.Setups;
import fahrbahn.core.job.Job;
import fahrbahn.core.job.Workers;
import fahrbahn.core.sensing.Variation;
import fahrbahn.core.setup.Drive;
import fahrbahn.core.setup.Mixing;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.twin.Spread;
import java.util.Optional;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class DetourTest {
    private static final double FRONT_MM = 70;
    private static final double WIDTH_MM = 130;

    /** Driven step by step round a circle to the right, it keeps clear by what was asked for, and meets the line where it is said to. */
    @ParameterizedTest
    @CsvSource({"40, 20, 90, 90", "60, 10, 120, 70", "30, 30, 200, 55"})
    void theArcKeepsClearAndMeetsTheLineWhereItIsSaidTo(double obstacle, double clear, double off, double degrees) {
        Detour detour = new Detour(obstacle, clear, off, Math.toRadians(degrees));
        double radius = detour.leastRadiusMm(FRONT_MM, WIDTH_MM);
        assertThat(radius).as("radius, mm").isBetween(50.0, 2000.0);
        double lead = 55;
        double lineMm = 24;
        double x = -detour.startMm(FRONT_MM);
        double y = 0;
        double heading = detour.turnRad();
        double nearest = Double.POSITIVE_INFINITY;
        double step = 0.01;
        double sensor = y + lead * Math.sin(heading);
        while (!(heading < 0 && sensor <= lineMm / 2)) {
            x += step * Math.cos(heading - step / radius / 2);
            y += step * Math.sin(heading - step / radius / 2);
            heading -= step / radius;
            sensor = y + lead * Math.sin(heading);
            nearest = Math.min(nearest, Math.hypot(x, y));
        }
        double kept = nearest - obstacle - WIDTH_MM / 2;
        assertThat(kept).as("clear of the obstacle, mm").isGreaterThanOrEqualTo(clear - 0.01);
        double meets = detour.meetsAtRad(radius, lead, lineMm);
        assertThat(meets).as("heading, rad").isCloseTo(heading, within(1e-4));
        assertThat(detour.meetsAtMm(FRONT_MM, radius, lead, meets))
                .as("place, mm")
                .isCloseTo(x + lead * Math.cos(heading), within(0.02));
    }

    /** From a place too near, no arc to the side keeps clear: it has to back off. */
    @Test
    void fromTooNearThereIsNoArc() {
        assertThat(new Detour(40, 20, 0, Math.PI / 2).leastRadiusMm(FRONT_MM, WIDTH_MM))
                .isInfinite();
    }

    @Test
    void commandsAreInTheRatioOfTheirCircles() {
        Setup setup = Setups.pair();
        double[] commands = Detour.commands(setup, 200);
        assertThat(commands[0]).isEqualTo(setup.law().baseCommand());
        assertThat(commands[1] / commands[0]).isCloseTo((200 - 62.0) / (200 + 62), within(1e-12));
    }

    /** R = b/2 (l + r)/(l - r), worked out for wheels uneven by a tenth of a hundredth and more. */
    @Test
    void unevenWheelsDriveAnotherArc() {
        Drive drive = new Drive(120, 500, 0.04, Mixing.DIFFERENCE, 100);
        assertThat(DetourTrial.drivenRadiusMm(drive, 180, 0)).isCloseTo(180, within(1e-9));
        // left 0.99, right 0.5 * 1.01: 60 * 1.495/0.485
        assertThat(DetourTrial.drivenRadiusMm(drive, 180, 0.02)).isCloseTo(60 * 1.495 / 0.485, within(1e-9));
        assertThat(DetourTrial.drivenRadiusMm(drive, 1e5, 0.3))
                .as("turns the other way")
                .isEqualTo(1e6);
    }

    private static Task task(double turnDegrees) {
        return new Task(
                40,
                20,
                FRONT_MM,
                WIDTH_MM,
                new Approach.Touch(120, 0.02),
                new Approach.Distance(160, 4, 0.05),
                Optional.of(Math.toRadians(turnDegrees)));
    }

    private static DetourTrial driven(Task task, Approach approach, Spread spread, int runs) {
        return DetourTrial.of(
                Setups.pair(),
                task,
                approach,
                task.turnRad().orElseThrow(),
                spread,
                runs,
                3,
                Workers.all(),
                Job.UNWATCHED);
    }

    @Test
    void withoutDifferencesEveryRunMeetsTheLineAtTheSamePlace() {
        Task task = task(60);
        DetourTrial same = driven(task, new Approach.Touch(120, 0), Spread.NONE, 20);
        assertThat(same.alongMm().sd()).isCloseTo(0, within(1e-9));
        assertThat(same.alongMm().n()).isEqualTo(20);
        DetourTrial varied = driven(task, task.touch(), Spread.TYPICAL, 400);
        assertThat(varied.alongMm().sd()).as("scatter, mm").isBetween(2.0, 60.0);
        assertThat(varied.runs()).isEqualTo(400);
        assertThat(varied.kept().completed()).isEqualTo(varied.count(DetourTrial.End.KEPT_THE_LINE));
    }

    /** The planned arc keeps clear by what was asked for, or by more where the inner wheel would have to turn backwards. */
    @Test
    void thePlannedArcStaysAsClearAsAsked() {
        for (double degrees : new double[] {50, 65, 80, 90}) {
            Detour detour = new Detour(40, 20, 120, Math.toRadians(degrees));
            double radius = detour.leastRadiusMm(FRONT_MM, WIDTH_MM);
            assertThat(detour.staysClearMm(FRONT_MM, WIDTH_MM, radius))
                    .as("%.0f deg", degrees)
                    .isCloseTo(20, within(1e-6));
            assertThat(detour.staysClearMm(FRONT_MM, WIDTH_MM, 0.9 * radius)).isLessThan(20);
        }
    }

    /** From where the sensor meets the line, driven straight on: the turning point stands on its middle. */
    @Test
    void drivenOnItStandsOnTheMiddleOfTheLine() {
        double lead = 55;
        double line = 24;
        for (double heading : new double[] {-0.3, -0.8, -1.3}) {
            double leftMm = line / 2 - lead * Math.sin(heading);
            double on = Detour.driveOnMm(heading, lead, line);
            assertThat(leftMm + on * Math.sin(heading)).isCloseTo(0, within(1e-9));
        }
    }

    /** A run like the mean one stands along the line when its law takes over, and a good law keeps it. */
    @Test
    void aRunLikeTheMeanOneKeepsTheLine() {
        for (double degrees : new double[] {50, 70, 90}) {
            DetourTrial calm = driven(task(degrees), new Approach.Touch(120, 0), Spread.NONE, 50);
            assertThat(calm.count(DetourTrial.End.KEPT_THE_LINE))
                    .as("turned by %.0f", degrees)
                    .isEqualTo(50);
        }
    }

    /** A bumper that does not close is the only way to run into it by touch: of n runs a share of n p, to three deviations. */
    @Test
    void touchRunsIntoItAsOftenAsTheBumperMisses() {
        int runs = 2000;
        DetourTrial trial = driven(task(60), new Approach.Touch(120, 0.1), Spread.NONE, runs);
        assertThat(trial.count(DetourTrial.End.RAN_INTO_IT))
                .isCloseTo(200, within((int) (3 * Math.sqrt(runs * 0.1 * 0.9))));
    }

    /** With n readings on the way from where it should stop to where it can no more, it runs into it by miss to the power of n. */
    @Test
    void distanceRunsIntoItWhenEveryReadingMisses() {
        Setup setup = Setups.pair();
        double tickMm = setup.speedMmPerS() * setup.robot().loop().periodS();
        double restMm = setup.speedMmPerS()
                * (setup.robot().loop().delayS() + setup.robot().drive().lagS());
        double miss = 0.6;
        SplittableRandom random = new SplittableRandom(8);
        int runs = 40_000;
        // Whole ticks between, so that each run has as many readings: the first falls anywhere in the first of them.
        int readings = 4;
        Approach.Distance approach = new Approach.Distance(restMm + readings * tickMm, 0, miss);
        int ran = 0;
        double sum = 0;
        for (int i = 0; i < runs; i++) {
            double off = approach.standOffMm(setup, Variation.CALM, random);
            ran += Double.isNaN(off) ? 1 : 0;
            sum += Double.isNaN(off) ? 0 : off;
        }
        double expected = Math.pow(miss, readings);
        assertThat((double) ran / runs).isCloseTo(expected, within(4 * Math.sqrt(expected * (1 - expected) / runs)));
        Approach.Distance sure = new Approach.Distance(200, 0, 0);
        double mean = 0;
        for (int i = 0; i < 4000; i++) {
            mean += sure.standOffMm(setup, Variation.CALM, random) / 4000;
        }
        // A tick's way evenly spread: known to tick/sqrt(12 n), four of those.
        assertThat(mean).isCloseTo(sure.usualStandOffMm(setup), within(4 * tickMm / Math.sqrt(12 * 4000)));
        assertThat(sum).isPositive();
    }

    /** A long robot has an arc from 5 mm off, but its corners reach 13.5 mm further than its front when it turns: every run touches. */
    @Test
    void cornersThatDoNotPassTouchIt() {
        Task task = new Task(
                40, 5, 150, 130, new Approach.Touch(5, 0), new Approach.Distance(90, 0, 0), Optional.of(Math.PI / 2));
        DetourTrial near = driven(task, task.touch(), Spread.NONE, 20);
        assertThat(near.count(DetourTrial.End.TOUCHED_IT)).isEqualTo(20);
        DetourTrial far = driven(task, new Approach.Touch(14, 0), Spread.NONE, 20);
        assertThat(far.count(DetourTrial.End.TOUCHED_IT)).isZero();
    }

    @Test
    void fromTooNearForAnyArcThereIsNoChoice() {
        Task near = new Task(
                40,
                20,
                FRONT_MM,
                2 * WIDTH_MM,
                new Approach.Touch(60, 0),
                new Approach.Distance(90, 0, 0),
                Optional.empty());
        assertThat(near.turnsFromMm()).isCloseTo(Math.hypot(FRONT_MM, WIDTH_MM) + 20 - FRONT_MM, within(1e-12));
        DetourChoice none = DetourChoice.of(
                Setups.pair(), near, new Approach.Touch(5, 0), Spread.NONE, 10, 1, Workers.all(), Job.UNWATCHED);
        assertThat(none.best()).isEmpty();
    }

    /** The chosen angle keeps the line at least as often as any other that was tried. */
    @Test
    void theBestAngleIsTheOneThatKeepsTheLineMostOften() {
        Task open = task(60);
        Task any = new Task(
                open.obstacleRadiusMm(),
                open.clearanceMm(),
                FRONT_MM,
                WIDTH_MM,
                open.touch(),
                open.distance(),
                Optional.empty());
        DetourChoice choice = DetourChoice.of(
                Setups.pair(), any, any.distance(), Spread.TYPICAL, 100, 1, Workers.all(), Job.UNWATCHED);
        assertThat(choice.trials()).hasSizeGreaterThan(2);
        int best = choice.best().orElseThrow().kept().completed();
        assertThat(choice.trials()).allMatch(t -> t.kept().completed() <= best);
        DetourChoice again = DetourChoice.of(
                Setups.pair(), any, any.distance(), Spread.TYPICAL, 100, 1, Workers.of(1), Job.UNWATCHED);
        assertThat(again).isEqualTo(choice);
    }
}
