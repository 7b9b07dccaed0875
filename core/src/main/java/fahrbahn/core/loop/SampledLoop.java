package fahrbahn.core.loop;

import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.RealMatrix;

/**
 * The exact one-tick form of a {@link LoopModel}. The plant's state is offset y, heading theta, turn rate omega; a delay of
 * {@code m} whole periods and a rest {@code delta} makes the command of {@code m + 1} ticks ago act for {@code delta}, the one
 * of {@code m} ticks ago for the remaining time (Astrom and Wittenmark, ch. 3.2).
 */
public final class SampledLoop {
    /** A delay this close to a whole number of periods, in periods, counts as whole. */
    private static final double WHOLE = 1e-9;

    private final LoopModel model;
    private final int wholePeriods;
    private final boolean fractional;
    private final PlantStep period;
    private final double[] fromNewer;
    private final double[] fromOlder;

    public SampledLoop(LoopModel model) {
        this.model = model;
        double periodS = model.loop().periodS();
        double periods = model.loop().delayS() / periodS;
        this.wholePeriods = (int) Math.floor(periods + WHOLE);
        double restS = Math.max(0, periods - wholePeriods) * periodS;
        this.fractional = restS > WHOLE * periodS;
        this.period = PlantStep.over(model, periodS);
        PlantStep tail = PlantStep.over(model, fractional ? periodS - restS : periodS);
        this.fromNewer = new double[] {tail.offsetPerCommand(), tail.headingPerCommand(), tail.turnRatePerCommand()};
        this.fromOlder = new double[] {
            period.offsetPerCommand() - fromNewer[0],
            period.headingPerCommand() - fromNewer[1],
            period.turnRatePerCommand() - fromNewer[2]
        };
    }

    public LoopModel model() {
        return model;
    }

    /**
     * Response of the error to steering at one frequency, the feedback's minus sign left out: error over command at
     * {@code z = exp(i*angle)}.
     *
     * @param angle frequency times loop period, rad, above 0, at most pi
     * @param z on the unit circle, at this angle
     * @param less1 the same less one, exact also where z is near one
     */
    Phasor response(double angle, Phasor z, Phasor less1) {
        Phasor back = z.conjugate();
        // The plant's matrix is upper triangular: solve from the turn rate upwards.
        Phasor turnRate = commanded(2, back).over(z.plus(-period.turnRateKept()));
        Phasor heading = commanded(1, back)
                .plus(turnRate.times(period.headingPerTurnRate()))
                .over(less1);
        Phasor offset = commanded(0, back)
                .plus(heading.times(period.offsetPerHeading()))
                .plus(turnRate.times(period.offsetPerTurnRate()))
                .over(less1);
        return offset.plus(heading.times(model.leadMm()))
                .times(model.slopePerMm())
                .times(Phasor.at(-wholePeriods * angle));
    }

    private Phasor commanded(int state, Phasor back) {
        return back.times(fromOlder[state]).plus(fromNewer[state]);
    }

    /** Largest magnitude of the eigenvalues of the closed loop; below 1 it is stable. Gains per loop, 0 or more. */
    public double spectralRadius(double kp, double ki, double kd) {
        return Poles.farthest(closedLoop(kp, ki, kd)).norm();
    }

    /** One-tick matrix over: y, theta, omega, past commands (newest first), previous error if kd > 0, sum if ki > 0. */
    RealMatrix closedLoop(double kp, double ki, double kd) {
        int past = wholePeriods + (fractional ? 1 : 0);
        int previousError = 3 + past;
        int sum = previousError + (kd > 0 ? 1 : 0);
        int size = sum + (ki > 0 ? 1 : 0);

        double[] error = new double[size];
        error[0] = model.slopePerMm();
        error[1] = model.slopePerMm() * model.leadMm();
        double[] command = new double[size];
        for (int i = 0; i < 2; i++) {
            command[i] = -(kp + ki + kd) * error[i];
        }
        if (kd > 0) {
            command[previousError] = kd;
        }
        if (ki > 0) {
            command[sum] = -ki;
        }

        double[][] next = new double[size][size];
        next[0][0] = 1;
        next[0][1] = period.offsetPerHeading();
        next[0][2] = period.offsetPerTurnRate();
        next[1][1] = 1;
        next[1][2] = period.headingPerTurnRate();
        next[2][2] = period.turnRateKept();
        addCommand(next, wholePeriods, fromNewer, command);
        if (fractional) {
            addCommand(next, wholePeriods + 1, fromOlder, command);
        }
        if (past > 0) {
            next[3] = command.clone();
            for (int i = 1; i < past; i++) {
                next[3 + i][2 + i] = 1;
            }
        }
        if (kd > 0) {
            next[previousError] = error.clone();
        }
        if (ki > 0) {
            next[sum] = error.clone();
            next[sum][sum] = 1;
        }
        return new Array2DRowRealMatrix(next, false);
    }

    /** Adds the effect on the plant of the command of this many ticks ago; 0 is the one computed now. */
    private static void addCommand(double[][] next, int ticksAgo, double[] effect, double[] command) {
        for (int row = 0; row < 3; row++) {
            if (ticksAgo == 0) {
                for (int column = 0; column < command.length; column++) {
                    next[row][column] += effect[row] * command[column];
                }
            } else {
                next[row][2 + ticksAgo] += effect[row];
            }
        }
    }
}
