package fahrbahn.core.runlog;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.core.Repeated;
import fahrbahn.core.runlog.PlantedLogs.Planted;
import fahrbahn.core.setup.Loop;
import fahrbahn.core.setup.Setup;
import java.util.List;
import java.util.Optional;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;

/** Robots whose lag, delay, speed and slope are not those of their setup, each from the log of one lap. */
class LogFitTest extends Repeated {
    /** Two in twenty of a normal lie outside 1.96 of its standard deviations. */
    private static final double SURE = 1.96;

    /** @param lag, delay, speed, slope and effect: whether the interval of each holds what was planted */
    private record Held(boolean lag, boolean delay, boolean speed, boolean slope, boolean effect) {
        static Held of(LogFit fit, Setup real, double slope) {
            double lagS = real.robot().drive().lagS();
            double delayS = real.robot().loop().delayS();
            return new Held(
                    inside(fit.lagS(), lagS),
                    inside(fit.delayS(), delayS),
                    inside(fit.speedMmPerS(), real.speedMmPerS()),
                    inside(fit.slopeShare(), slope),
                    inside(fit.effectS(), lagS + delayS));
        }

        private static boolean inside(LogFit.Told told, double truth) {
            assertThat(told.sd()).as("error of %s", told).isPositive();
            return Math.abs(told.value() - truth) < SURE * told.sd();
        }
    }

    @Test
    void intervalsHoldWhatWasPlanted() {
        int logs = times(8, 200);
        SplittableRandom random = new SplittableRandom(2026);
        int told = 0;
        int[] held = new int[5];
        for (int i = 0; i < logs; i++) {
            Setup believed = PlantedLogs.sound(random);
            double slope = share(random, 0.17);
            Setup faster = believed.withDrive(believed.robot()
                            .drive()
                            .withLagS(believed.robot().drive().lagS() * share(random, 0.9))
                            .withFreeSpeedMmPerS(believed.robot().drive().freeSpeedMmPerS() * share(random, 0.25)))
                    .withLoop(new Loop(
                            believed.robot().loop().periodS(),
                            believed.robot().loop().delayS() * share(random, 0.9)));
            Setup real = faster.withRobot(faster.robot()
                    .withSensors(faster.robot().sensors().stream()
                            .map(s -> s.withSpotSigmaMm(s.spotSigmaMm() / slope))
                            .toList()));
            Planted planted = PlantedLogs.drive(real, believed, i, 0.03, 0, 1);
            Optional<LogFit> fit = LogFit.of(planted.log(), believed);
            if (fit.isPresent()) {
                told++;
                Held one = Held.of(fit.get(), real, slope);
                boolean[] each = {one.lag(), one.delay(), one.speed(), one.slope(), one.effect()};
                for (int k = 0; k < each.length; k++) {
                    held[k] += each[k] ? 1 : 0;
                }
            }
        }
        assertThat(told).as("logs that tell something").isGreaterThanOrEqualTo(logs * 9 / 10);
        String[] names = {"lag", "delay", "speed", "slope", "effect"};
        for (int k = 0; k < held.length; k++) {
            double share = (double) held[k] / told;
            if (logs < 100) {
                // Of eight at 95 % two are missed in one of fifteen tests, three in one of two hundred.
                assertThat(held[k]).as(names[k]).isGreaterThanOrEqualTo(told - 2);
            } else {
                assertThat(share).as(names[k]).isBetween(0.93, 0.97);
            }
        }
    }

    /** e to a power within so much of nothing. */
    private static double share(SplittableRandom random, double most) {
        return Math.exp(random.nextDouble(-most, most));
    }

    @Test
    void aLogWithoutSteeringOrTooShortTellsNothing() {
        Setup setup = PlantedLogs.sound(new SplittableRandom(1));
        RunLog whole = PlantedLogs.sound(setup, 1).log();
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
