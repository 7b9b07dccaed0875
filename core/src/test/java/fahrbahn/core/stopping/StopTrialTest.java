package fahrbahn.core.stopping;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.Repeated;
import fahrbahn.core.Setups;
import fahrbahn.core.job.Job;
import fahrbahn.core.job.Workers;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.statistics.StoppingRule;
import fahrbahn.core.statistics.StoppingRule.Circumstances;
import fahrbahn.core.twin.Spread;
import java.util.List;
import org.hipparchus.distribution.continuous.NormalDistribution;
import org.junit.jupiter.api.Test;

class StopTrialTest extends Repeated {
    private static final Setup PAIR = Setups.pair();

    /** Batteries by 3 %, grip by 1 %, cut off at 2.5 standard deviations, which takes 2 % off them; nothing else. */
    private static final Spread SPREAD = new Spread(0, 0, 0.03, 0, 0.01, 0, 0, 0);

    private int runs() {
        return times(400, 1500);
    }

    /** Three standard errors of a standard deviation that so many runs tell. */
    private double off() {
        return 3 / Math.sqrt(2.0 * runs());
    }

    private StopTrial trial(Sensing sensing, Spread spread) {
        return StopTrial.of(PAIR, sensing, spread, runs(), 5, Workers.all(), Job.UNWATCHED);
    }

    private static Circumstances circumstances(Sensing sensing) {
        double battery = 0.03;
        double slip = 0.01;
        double rest = PAIR.robot().loop().delayS() + PAIR.robot().drive().lagS();
        return new Circumstances(
                sensing.wayMm(),
                PAIR.speedMmPerS(),
                Math.hypot(battery, slip),
                slip,
                sensing.wheelStepMm(),
                sensing.markNoiseMm(),
                PAIR.robot().loop().periodS(),
                rest);
    }

    /** The twin against the formulas: independent causes add in squares. */
    @Test
    void scattersAreThoseOfTheFormulas() {
        Sensing sensing = new Sensing(800, 0.5, 0.5, 0, 0);
        StopTrial trial = trial(sensing, SPREAD);
        Circumstances c = circumstances(sensing);
        // The cut normals are 2 % narrower.
        assertThat(trial.scatterMm(Rule.TIMER) / StoppingRule.TIMER.scatterMm(c))
                .as("timer")
                .isCloseTo(0.985, within(0.01 + off()));
        assertThat(trial.scatterMm(Rule.WHEEL_TURNS) / StoppingRule.WHEEL_TURNS.scatterMm(c))
                .as("wheel turns")
                .isCloseTo(0.985, within(0.01 + off()));
        assertThat(trial.scatterMm(Rule.MARK) / StoppingRule.MARK.scatterMm(c))
                .as("mark")
                .isCloseTo(0.99, within(0.015 + off()));
        assertThat(trial.places().get(Rule.TIMER).n()).isEqualTo(runs());
    }

    @Test
    void aTimerScattersWithTheWayAMarkDoesNot() {
        StopTrial near = trial(Sensing.TYPICAL.withWayMm(400), SPREAD);
        StopTrial far = trial(Sensing.TYPICAL.withWayMm(1600), SPREAD);
        assertThat(far.scatterMm(Rule.TIMER) / near.scatterMm(Rule.TIMER))
                .as("timer")
                .isCloseTo(3.9, within(5.47 * off()));
        assertThat(far.scatterMm(Rule.MARK) / near.scatterMm(Rule.MARK))
                .as("mark")
                .isCloseTo(1, within(2.19 * off()));
    }

    /** Without any difference between runs only the tick is left: evenly spread over its way. */
    @Test
    void readingsThatMissMakeItLate() {
        Sensing sure = new Sensing(800, 0, 0, 0, 0);
        Sensing half = new Sensing(800, 0, 0, 0, 0.5);
        double tickMm = PAIR.speedMmPerS() * PAIR.robot().loop().periodS();
        double late = trial(half, Spread.NONE).places().get(Rule.DISTANCE).mean()
                - trial(sure, Spread.NONE).places().get(Rule.DISTANCE).mean();
        // A half misses: one tick later in the mean, geometrically spread.
        assertThat(late).as("later, mm").isCloseTo(tickMm, within(2.19 * off() * tickMm));
    }

    @Test
    void bothDarkIsTheLaterOfTwo() {
        Sensing sensing = new Sensing(800, 0, 2, 0, 0);
        StopTrial trial = trial(sensing, Spread.NONE);
        double later = trial.places().get(Rule.BOTH_DARK).mean()
                - trial.places().get(Rule.MARK).mean();
        // The larger of two normals is 1/sqrt(pi) of a standard deviation above their mean.
        assertThat(later).as("later, mm").isCloseTo(2 / Math.sqrt(Math.PI), within(4.56 * off()));
    }

    /** A normal of this scatter lies within a window as often as its distribution says, to four deviations of the count. */
    @Test
    void theChanceToStopInTheWindowIsThatOfTheScatter() {
        StopTrial trial = trial(new Sensing(800, 0, 40, 0, 0), Spread.NONE); // wide against the way of a tick
        double share = trial.within(Rule.MARK, 40).completed() / (double) runs();
        double sd = trial.scatterMm(Rule.MARK);
        double expected = new NormalDistribution(0, sd).probability(-40, 40);
        assertThat(share).isCloseTo(expected, within(4 * Math.sqrt(expected * (1 - expected) / runs())));
        assertThat(trial.within(Rule.MARK, 1e6).completed()).isEqualTo(runs());
    }

    /** Shares in closed form: a timer over 800 mm scatters by battery 3 % and grip 1 % of the way, so by 9 to 1; without the battery grip is left. */
    @Test
    void sharesAreThoseOfTheVariances() {
        StopShares shares =
                StopShares.of(PAIR, new Sensing(800, 0, 0, 0, 0), SPREAD, runs(), 5, Workers.all(), Job.UNWATCHED);
        List<StopShares.Part> timer = shares.of(Rule.TIMER);
        assertThat(timer.get(0).cause()).isEqualTo(Cause.BATTERY);
        // By 1500 runs a standard deviation is known to 2 %, a variance to 4, a share of nine tenths to one hundredth.
        assertThat(timer.get(0).share()).isCloseTo(0.9, within(0.365 * off()));
        assertThat(timer.get(0).withoutMm())
                .isCloseTo(8.5, within(45.6 * off())); // grip alone: 8 mm, left of a difference of squares
        assertThat(shares.of(Rule.WHEEL_TURNS).get(0).cause()).isEqualTo(Cause.GRIP);
        double sum = timer.stream().mapToDouble(StopShares.Part::share).sum();
        assertThat(sum).isLessThanOrEqualTo(1 + 1e-9);
    }

    /** At half the speed a mark is passed half as far: what comes to rest late by the battery halves with it. */
    @Test
    void halfAsFastComesToRestHalfAsLate() {
        StopShares shares =
                StopShares.of(PAIR, new Sensing(800, 0, 0, 0, 0), SPREAD, runs(), 5, Workers.all(), Job.UNWATCHED);
        double ratio = shares.atHalfSpeed().scatterMm(Rule.MARK) / shares.all().scatterMm(Rule.MARK);
        assertThat(ratio).isCloseTo(0.505, within(off()));
    }

    @Test
    void seeingIsAllOfAMarkSeenBadly() {
        StopShares shares =
                StopShares.of(PAIR, new Sensing(800, 0, 8, 0, 0), Spread.TYPICAL, 400, 5, Workers.all(), Job.UNWATCHED);
        assertThat(shares.of(Rule.MARK).get(0).cause()).isEqualTo(Cause.SEEING);
        assertThat(shares.of(Rule.MARK).get(0).share()).isGreaterThan(0.8);
    }
}
