package fahrbahn.core.detour;

import fahrbahn.core.check.Check;
import fahrbahn.core.sensing.Variation;
import fahrbahn.core.setup.Setup;
import java.util.SplittableRandom;

/** How a robot finds that an obstacle is before it, and how far off it stands when it begins to turn. */
public sealed interface Approach {
    /** As files and screens tell it. */
    String word();

    /** How far the robot's front is from the obstacle when it turns, mm, in a run like the mean one. */
    double usualStandOffMm(Setup setup);

    /**
     * The same in one run.
     *
     * @param is what differs in this run
     * @return NaN when the robot ran into the obstacle and pushed on
     */
    double standOffMm(Setup setup, Variation is, SplittableRandom random);

    private static void checkMiss(double missShare) {
        Check.require(missShare >= 0 && missShare < 1, "missShare", missShare, "0 or more and below 1");
    }

    /**
     * It drives until a bumper closes, and then backs off by a time that was set.
     *
     * @param backMm as set, at the usual battery; above 0
     * @param missShare how often the bumper does not close, and it pushes; 0 or more, below 1
     */
    record Touch(double backMm, double missShare) implements Approach {
        public Touch {
            Check.positive("backMm", backMm);
            checkMiss(missShare);
        }

        @Override
        public String word() {
            return "touch";
        }

        @Override
        public double usualStandOffMm(Setup setup) {
            return backMm;
        }

        @Override
        public double standOffMm(Setup setup, Variation is, SplittableRandom random) {
            boolean missed = random.nextDouble() < missShare;
            return missed ? Double.NaN : backMm * is.batteryShare() * (1 - is.slipShare());
        }
    }

    /**
     * It reads a distance once a loop and stops at the first reading that is small enough; delay and lag carry it on by v (d + tau).
     *
     * @param atMm from its front, at which it is to stop; above 0
     * @param noiseMm standard deviation of a reading; 0 or more
     * @param missShare of the readings that see nothing; 0 or more, below 1
     */
    record Distance(double atMm, double noiseMm, double missShare) implements Approach {
        /** Readings farther away than this many deviations never are small enough. */
        private static final double FAR_SIGMAS = 5;

        public Distance {
            Check.positive("atMm", atMm);
            Check.notNegative("noiseMm", noiseMm);
            checkMiss(missShare);
        }

        @Override
        public String word() {
            return "distance";
        }

        /** In the mean it is half a loop late. */
        @Override
        public double usualStandOffMm(Setup setup) {
            double tickMm = setup.speedMmPerS() * setup.robot().loop().periodS();
            return atMm - tickMm / 2 - carriesOnMm(setup, 1);
        }

        private static double carriesOnMm(Setup setup, double batteryShare) {
            return setup.speedMmPerS()
                    * batteryShare
                    * (setup.robot().loop().delayS() + setup.robot().drive().lagS());
        }

        @Override
        public double standOffMm(Setup setup, Variation is, SplittableRandom random) {
            double tickMm = setup.speedMmPerS()
                    * is.batteryShare()
                    * setup.robot().loop().periodS();
            double offMm = atMm + FAR_SIGMAS * noiseMm + tickMm * random.nextDouble();
            while (offMm > 0) {
                offMm -= tickMm;
                boolean seen = random.nextDouble() >= missShare;
                if (seen && offMm + noiseMm * random.nextGaussian() <= atMm) {
                    double left = offMm - carriesOnMm(setup, is.batteryShare());
                    return left > 0 ? left : Double.NaN;
                }
            }
            return Double.NaN;
        }
    }
}
