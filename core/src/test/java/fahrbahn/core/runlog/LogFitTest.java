package fahrbahn.core.runlog;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.core.Repeated;
import fahrbahn.core.Setups;
import fahrbahn.core.setup.Loop;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.DemoCourses;
import fahrbahn.core.twin.Start;
import fahrbahn.core.twin.Trace;
import fahrbahn.core.twin.Track;
import fahrbahn.core.twin.Twin;
import fahrbahn.core.twin.Variation;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class LogFitTest extends Repeated {
    private static Setup believed(boolean pair) {
        Setup base = pair ? Setups.pair() : Setups.edge();
        return base.withLaw(base.law().withGains(pair ? 0.3 : 0.5, 0, pair ? 0.6 : 1));
    }

    private static RunLog log(Setup real, Setup believed, long seed) {
        Trace trace = new Trace();
        Start start = new Start(0, 0, new Variation(1, 1, 0, 0, 1, 1, 1, 0.03), seed);
        Twin.run(Track.of(DemoCourses.workshopLoop(), real), start, trace);
        return Logs.of(trace, believed);
    }

    /** Robots whose lag, delay and speed are not those of their setup, each from the log of one lap. */
    @Test
    void whatARobotIsIsFoundFromOneLap() {
        Random random = new Random(7);
        int robots = times(6, 20);
        int near = 0;
        int[] covered = new int[3];
        for (int i = 0; i < robots; i++) {
            Setup believed = believed(i % 2 == 0);
            double lagS = 0.02 + 0.08 * random.nextDouble();
            double delayS = 0.004 + 0.03 * random.nextDouble();
            double faster = 0.85 + 0.3 * random.nextDouble();
            Setup real = believed.withDrive(believed.robot()
                            .drive()
                            .withLagS(lagS)
                            .withFreeSpeedMmPerS(
                                    faster * believed.robot().drive().freeSpeedMmPerS()))
                    .withLoop(new Loop(0.01, delayS));
            LogFit fit = LogFit.of(log(real, believed, i), believed).orElseThrow();
            near += Math.abs(fit.effectS().value() / (lagS + delayS) - 1) < 0.2 ? 1 : 0;
            covered[0] += inside(fit.effectS(), lagS + delayS);
            covered[1] += inside(fit.speedMmPerS(), real.speedMmPerS());
            covered[2] += inside(fit.slopeShare(), 1);
        }
        assertThat(near)
                .as("times to the effect within a fifth, of %s", robots)
                .isGreaterThanOrEqualTo(robots * 8 / 10);
        // Were the errors normal and true, 99 % would be inside 2.6 of them; the line's bends are not what the model
        // has them.
        assertThat(covered[0]).as("times to the effect inside their errors").isGreaterThanOrEqualTo(robots * 8 / 10);
        assertThat(covered[1]).as("speeds inside their errors").isGreaterThanOrEqualTo(robots * 85 / 100);
        assertThat(covered[2]).as("slopes inside their errors").isGreaterThanOrEqualTo(robots * 85 / 100);
    }

    private static int inside(LogFit.Told told, double truth) {
        assertThat(told.sd()).as("error of %s", told).isPositive();
        return Math.abs(told.value() - truth) <= 2.6 * told.sd() ? 1 : 0;
    }

    @Test
    void aLogWithoutSteeringOrTooShortTellsNothing() {
        Setup setup = believed(true);
        RunLog whole = log(setup, setup, 1);
        double[] tS = new double[40];
        double[] error = new double[40];
        for (int i = 0; i < tS.length; i++) {
            tS[i] = whole.tS(i);
            error[i] = whole.column(RunLog.Column.ERROR).orElseThrow()[i];
        }
        double[][] none = {};
        assertThat(LogFit.of(new RunLog(tS, List.of(), none, new double[][] {error, error, null, null}), setup))
                .isEmpty();
        assertThat(LogFit.of(new RunLog(tS, List.of(), none, new double[][] {error, null, null, null}), setup))
                .isEmpty();
    }
}
