package fahrbahn.core.stopping;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.Setups;
import fahrbahn.core.job.Job;
import fahrbahn.core.job.Workers;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.setup.Side;
import fahrbahn.core.twin.Spread;
import org.junit.jupiter.api.Test;

/** There and back again, against what each cause alone does in closed form. */
class ReturnTrialTest {
    private static final Setup PAIR = Setups.pair();
    private static final Sensing SURE = new Sensing(800, 0, 0, 0, 0);
    private static final int RUNS = 400;

    /** Three standard errors of a standard deviation that so many runs tell, and the 2 % that normals cut at 2.5 are narrower. */
    private static final double OFF = 0.02 + 3 / Math.sqrt(2.0 * RUNS);

    private static final Spread BATTERY = new Spread(0, 0, 0.03, 0, 0, 0, 0, 0);

    private static ReturnTrial trial(Setup setup, Rule rule, Spread spread) {
        return ReturnTrial.of(setup, SURE, rule, spread, RUNS, 7, Workers.all(), Job.UNWATCHED);
    }

    private static double carriesOnMm() {
        return PAIR.speedMmPerS()
                * (PAIR.robot().loop().delayS() + PAIR.robot().drive().lagS());
    }

    /** A faster battery goes too far by as much there as back: v (d + tau) is left of v (T + d + tau), where squares would give 1.4 of it all. */
    @Test
    void aTimerUndoesOnTheWayBackWhatItDidOnTheWayOut() {
        ReturnTrial trial = trial(PAIR, Rule.TIMER, BATTERY);
        double out = StopTrial.of(PAIR, SURE, BATTERY, RUNS, 7, Workers.all(), Job.UNWATCHED)
                .scatterMm(Rule.TIMER);
        double home = trial.homes().get(WayBack.BACKS_BY_TIME).alongMm().sd();
        // Start and stop fall anywhere in a tick: a twelfth of it, squared, each way.
        double ticks = PAIR.speedMmPerS() * PAIR.robot().loop().periodS() / Math.sqrt(12);
        assertThat(home).isBetween(0.03 * carriesOnMm() * (1 - OFF) - ticks, 0.03 * carriesOnMm() * (1 + OFF) + ticks);
        assertThat(home).as("far below the way out").isLessThan(out / 4);
    }

    /** A mark does not scatter, the way back by time does: by that of one timer. */
    @Test
    void aMarkOutLeavesTheTimerOfTheWayBack() {
        double home = trial(PAIR, Rule.MARK, BATTERY)
                .homes()
                .get(WayBack.BACKS_BY_TIME)
                .alongMm()
                .sd();
        assertThat(home / (0.03 * (SURE.wayMm() - carriesOnMm()))).isCloseTo(1, within(OFF));
    }

    /** Uneven wheels, grip 1 % so half of that between the wheels: m D^2 / (2 b) aside after D; the line followed back takes it away. */
    @Test
    void unevenWheelsCarryItAsideBlindAndNotAlongTheLine() {
        ReturnTrial trial = trial(PAIR, Rule.MARK, new Spread(0, 0, 0, 0, 0.01, 0, 0, 0));
        double width = PAIR.robot().drive().effectiveTrackWidthMm();
        double aside = 0.005 * SURE.wayMm() * SURE.wayMm() / (2 * width);
        double blind = trial.homes().get(WayBack.BACKS_BY_TURNS).acrossMm().sd();
        // The heading that it stopped with leans against the uneven wheels, and is carried the whole way back as well.
        assertThat(blind).isBetween(aside * 0.8, aside * 1.5);
        assertThat(trial.homes().get(WayBack.BACKS_BY_TURNS).headingRad().sd()).isGreaterThan(0.01);
        double followed = trial.homes().get(WayBack.TURNS_BY_TURNS).acrossMm().sd();
        assertThat(followed).isLessThan(blind / 5);
    }

    /** Nothing differs: home is one place, and the window holds every run. */
    @Test
    void withoutScatterEveryRunComesHome() {
        for (Setup setup : new Setup[] {PAIR, Setups.edge()}) {
            ReturnTrial trial = trial(setup, Rule.WHEEL_TURNS, Spread.NONE);
            for (WayBack way : WayBack.values()) {
                assertThat(trial.within(way, 20).completed()).as("%s", way).isEqualTo(RUNS);
                assertThat(Math.abs(trial.homes().get(way).acrossMm().mean()))
                        .as("%s", way)
                        .isLessThan(10);
            }
        }
    }

    /** A lone sensor keeps to the same edge both ways, whichever side it is on. */
    @Test
    void eitherEdgeIsFollowedBack() {
        for (Side side : Side.values()) {
            Setup edge = Setups.edge().withLaw(Setups.edge().law().withSide(side));
            ReturnTrial trial = trial(edge, Rule.WHEEL_TURNS, Spread.TYPICAL);
            assertThat(trial.homes().get(WayBack.TURNS_BY_TURNS).alongMm().n())
                    .as("%s", side)
                    .isGreaterThan(RUNS * 9 / 10);
        }
    }

    @Test
    void theSameSeedGivesTheSameHomes() {
        ReturnTrial one = ReturnTrial.of(PAIR, SURE, Rule.TIMER, Spread.TYPICAL, 40, 3, Workers.of(1), Job.UNWATCHED);
        ReturnTrial two = ReturnTrial.of(PAIR, SURE, Rule.TIMER, Spread.TYPICAL, 40, 3, Workers.of(2), Job.UNWATCHED);
        for (WayBack way : WayBack.values()) {
            assertThat(one.homes().get(way).alongMm().values())
                    .isEqualTo(two.homes().get(way).alongMm().values());
        }
    }
}
