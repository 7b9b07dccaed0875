package fahrbahn.core.next;

import fahrbahn.core.belief.Belief;
import fahrbahn.core.belief.Trial;
import fahrbahn.core.check.Rounding;
import fahrbahn.core.setup.Scale;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.trials.Outcome.Seen;
import java.util.Arrays;
import java.util.List;
import java.util.OptionalDouble;
import org.hipparchus.distribution.continuous.NormalDistribution;

/**
 * What riding beside its edge tells: by how much a robot's readings are lighter than its program has them, as a share of the contrast. A robot on an edge rides where what it
 * believes to read is its target; over the edge of a wide line the share of light is Phi(e/sigma), e mm towards light. That hardly depends on
 * gains, lag or speed, so it is a belief of its own, on a grid.
 */
public final class RideAside {
    /** Levels of another hall: by our own reckoning. */
    private static final double USUAL_SHIFT = 0.12;

    private static final double MOST_SHIFT = 0.45;
    private static final int CELLS = 181;

    /** So far towards light or dark half of all coaches say that it rides there; a mm further or less nearly all do, or none. */
    private static final double SEEN_MM = 2.5;

    private static final double SEEN_SD_MM = 1;

    private static final double EYES_ERR = 0.05;

    /** Beyond these shares of light the edge has ended: the robot rides on one surface, or is lost. */
    private static final double LEAST_SHARE = 0.02;

    /** Rides less far from the middle of its edge than this: nobody would move the target. */
    private static final double WORTH_MM = 1;

    private static final int DIGITS = 3;

    private static final NormalDistribution NORMAL = new NormalDistribution();

    private final Setup setup;
    private final double range;
    private final double[] weights = new double[CELLS];
    private boolean ridesAside;
    private final boolean untold;

    public RideAside(Setup setup, List<Trial> trials) {
        this.setup = setup;
        Sensor sensor = setup.lawSensors().get(0);
        Scale scale = setup.law().scale();
        range = scale.light(sensor) - scale.dark(sensor);
        for (int i = 0; i < CELLS; i++) {
            weights[i] = NORMAL.density(shift(i) / USUAL_SHIFT);
        }
        boolean edge = setup.law().signal().tracksEdge();
        if (edge) {
            trials.forEach(this::see);
        }
        untold = !edge && !trials.isEmpty() && aside(trials.get(trials.size() - 1));
        double sum = Arrays.stream(weights).sum();
        for (int i = 0; i < CELLS; i++) {
            weights[i] /= sum;
        }
    }

    private static boolean aside(Trial trial) {
        return trial.seen() == Seen.RIDES_LIGHT || trial.seen() == Seen.RIDES_DARK;
    }

    /** Seen last to ride beside its path, by a law that has no target. */
    boolean untold() {
        return untold;
    }

    private static double shift(int cell) {
        return MOST_SHIFT * (2.0 * cell / (CELLS - 1) - 1);
    }

    private void see(Trial trial) {
        Seen seen = trial.seen();
        boolean aside = aside(trial);
        ridesAside |= aside;
        if (!aside && seen != Seen.SMOOTH) {
            return; // lost, or swinging: nobody sees where it rides
        }
        for (int i = 0; i < CELLS; i++) {
            double lightMm = lightMm(trial.target().orElse(setup.law().target()), shift(i));
            double light = NORMAL.cumulativeProbability((lightMm - SEEN_MM) / SEEN_SD_MM);
            double dark = NORMAL.cumulativeProbability((-lightMm - SEEN_MM) / SEEN_SD_MM);
            double would = seen == Seen.RIDES_LIGHT ? light : seen == Seen.RIDES_DARK ? dark : 1 - light - dark;
            weights[i] *= EYES_ERR / 3 + (1 - EYES_ERR) * would;
        }
    }

    /** How far towards light of the middle of its edge it rides, mm. */
    double lightMm(double target, double shift) {
        Sensor sensor = setup.lawSensors().get(0);
        double share = (target - setup.law().scale().dark(sensor)) / range - shift;
        double held = Math.max(LEAST_SHARE, Math.min(1 - LEAST_SHARE, share));
        return sensor.spotSigmaMm() * NORMAL.inverseCumulativeProbability(held);
    }

    /** Readings lighter than believed, as a share of the contrast. */
    Belief.Range shift() {
        return new Belief.Range(quantile(0.05), quantile(0.5), quantile(0.95));
    }

    private double quantile(double share) {
        double sum = 0;
        int cell = 0;
        while (cell < CELLS - 1 && sum + weights[cell] < share) {
            sum += weights[cell++];
        }
        return shift(cell);
    }

    /** Where it is likely to ride as it is set, towards light, mm. */
    double lightMm() {
        return lightMm(setup.law().target(), quantile(0.5));
    }

    /** Target with which it rides the middle of its edge; empty where nobody saw it ride beside, or where it is near enough. */
    OptionalDouble target() {
        boolean near = Math.abs(lightMm()) < WORTH_MM;
        if (!ridesAside || near) {
            return OptionalDouble.empty();
        }
        Sensor sensor = setup.lawSensors().get(0);
        double middle = setup.law().scale().dark(sensor) + range / 2;
        return OptionalDouble.of(Rounding.significant(middle + range * quantile(0.5), DIGITS));
    }
}
