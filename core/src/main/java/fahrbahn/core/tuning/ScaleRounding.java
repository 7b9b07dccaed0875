package fahrbahn.core.tuning;

import fahrbahn.core.job.Job;
import fahrbahn.core.job.Workers;
import fahrbahn.core.response.ErrorCurve;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.twin.Ensemble;
import fahrbahn.core.twin.RunResult;
import fahrbahn.core.twin.Spread;
import fahrbahn.core.twin.Track;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * What it costs a program to keep scaled readings as whole numbers: 0 to 10 in whole numbers is eleven shades.
 *
 * @param stepReadings so much of the sensor with the least contrast is one whole number
 * @param stepMm so far beside its path the error changes by one; not a number for patterns
 * @param noiseTimes how many times as much the readings scatter, rounding included (a step over the root of 12)
 * @param rmsMm off the path on a straight, in the mean of many runs, as it is
 * @param roundedRmsMm the same with whole numbers
 */
public record ScaleRounding(double stepReadings, double stepMm, double noiseTimes, double rmsMm, double roundedRmsMm) {
    private static final double STRAIGHT_MM = 1500;
    private static final int RUNS = 60;
    private static final long SEED = 1;

    /** Empty for a law in the sensors' own numbers, which are what they are. */
    public static Optional<ScaleRounding> of(Setup setup, Workers workers, Job job) {
        if (setup.law().scale().isRaw()) {
            return Optional.empty();
        }
        double top = setup.law().scale().top();
        Sensor weakest = setup.lawSensors().stream()
                .min((a, b) -> Double.compare(a.contrast(), b.contrast()))
                .orElseThrow();
        double step = weakest.contrast() / top;
        double now = scatter(weakest, 0);
        double perMm = !setup.law().signal().hasError()
                ? Double.NaN
                : ErrorCurve.of(setup).slopePerMm();
        return Optional.of(new ScaleRounding(
                step,
                1 / perMm,
                scatter(weakest, step) / now,
                rms(setup, workers, job),
                rms(rounded(setup, top), workers, job)));
    }

    private static double scatter(Sensor sensor, double roundedTo) {
        return Math.sqrt(
                sensor.noise() * sensor.noise() + (sensor.step() * sensor.step() + roundedTo * roundedTo) / 12);
    }

    /** Readings in as many steps as the scale has whole numbers. */
    private static Setup rounded(Setup setup, double top) {
        List<Sensor> coarse = setup.robot().sensors().stream()
                .map(s -> s.withStep(Math.max(s.step(), s.contrast() / top)))
                .toList();
        return setup.withRobot(setup.robot().withSensors(coarse));
    }

    private static double rms(Setup setup, Workers workers, Job job) {
        Ensemble runs = Ensemble.drive(Track.straight(STRAIGHT_MM, setup), Spread.NONE, 2, RUNS, SEED, workers, job);
        return Arrays.stream(runs.ofCompleted(RunResult::rmsMm)).average().orElse(Double.NaN);
    }
}
