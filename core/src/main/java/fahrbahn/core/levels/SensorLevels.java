package fahrbahn.core.levels;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.check.Rounding;
import fahrbahn.core.readings.Capture;
import fahrbahn.core.readings.RoundedMean;
import fahrbahn.core.readings.SurfaceStats;
import fahrbahn.core.setup.Sensor;
import java.util.List;
import java.util.Optional;

/** The levels of one sensor, the readings they come from, and what of it a program or a setup takes. */
public final class SensorLevels {
    /** More than any mean of a capture is worth. */
    private static final int DIGITS = 4;

    /** With more readings the mean is as good as normal, rounded or not; the likelihood of few is dear. */
    private static final int FEW = 30;

    private final String sensor;
    private final Levels levels;
    private final double[] dark;
    private final double[] light;
    private final double step;

    private SensorLevels(String sensor, Levels levels, double[] dark, double[] light, double step) {
        this.sensor = sensor;
        this.levels = levels;
        this.dark = dark.clone();
        this.light = light.clone();
        this.step = step;
    }

    /**
     * @param step smallest change the sensor can report, 0 or more
     * @throws BadValueException when there are fewer than 2 readings of either, or their means are alike
     */
    public static SensorLevels of(String sensor, double[] dark, double[] light, double step) {
        Levels levels = new Levels(SurfaceStats.of(dark, step), SurfaceStats.of(light, step));
        return new SensorLevels(sensor, levels, dark, light, step);
    }

    /** The same with the step that the readings themselves show: their last digit where all of a surface are alike. */
    public static SensorLevels of(String sensor, double[] dark, double[] light) {
        double seen = SurfaceStats.smallestStep(dark, light);
        double step = seen > 0 ? seen : Math.min(RoundedMean.displayStep(dark), RoundedMean.displayStep(light));
        return of(sensor, dark, light, step);
    }

    /** From the captures of dark and light that have this sensor; empty when one is missing, or they read alike. */
    public static Optional<SensorLevels> of(List<Capture> captures, String sensor) {
        Optional<Capture> dark = with(captures, Capture.DARK, sensor);
        Optional<Capture> light = with(captures, Capture.LIGHT, sensor);
        if (dark.isEmpty() || light.isEmpty()) {
            return Optional.empty();
        }
        try {
            return Optional.of(of(sensor, dark.get().values(sensor), light.get().values(sensor)));
        } catch (BadValueException noContrast) {
            return Optional.empty(); // Survey names the sensor whose surfaces are alike
        }
    }

    private static Optional<Capture> with(List<Capture> captures, String surface, String sensor) {
        return captures.stream()
                .filter(c -> c.surface().equals(surface) && c.sensors().contains(sensor))
                .reduce((older, newer) -> newer);
    }

    /** Half the width of the 95 % interval of the midpoint, from how well dark and light are known by their readings. */
    public double plusMinus() {
        return Math.hypot(meanPlusMinus(dark, levels.dark()), meanPlusMinus(light, levels.light())) / 2;
    }

    private double meanPlusMinus(double[] readings, SurfaceStats stats) {
        if (readings.length > FEW) {
            return 1.96
                    * stats.sd()
                    / Math.sqrt(readings.length - stats.leftOut().size());
        }
        return RoundedMean.of(readings, step > 0 ? step : RoundedMean.displayStep(readings))
                .plusMinus();
    }

    public String sensor() {
        return sensor;
    }

    public Levels levels() {
        return levels;
    }

    public double step() {
        return step;
    }

    /** Bins over the readings of both surfaces. */
    public Histogram.Bins bins() {
        return Histogram.Bins.over(dark, light, step);
    }

    public Histogram onDark(Histogram.Bins bins) {
        return Histogram.of(dark, bins);
    }

    public Histogram onLight(Histogram.Bins bins) {
        return Histogram.of(light, bins);
    }

    /** How often readings of these captures are misread at a level, those left out of the means among them. */
    public Misreads misreads(double level) {
        return Misreads.count(
                dark, light, level, levels.light().mean() > levels.dark().mean());
    }

    /**
     * Chance of a misread that can be claimed for a level: what the readings leave open, or what the scatter of the surfaces says where that is
     * more.
     */
    public double claim(double level) {
        return Math.max(misreads(level).chance(), levels.misread(level));
    }

    /** A sensor with dark and light as they were measured, and the noise of both together. */
    public Sensor on(Sensor before) {
        double noise = Math.hypot(levels.dark().sd(), levels.light().sd()) / Math.sqrt(2);
        return before.withSurfaces(
                Rounding.significant(levels.dark().mean(), DIGITS),
                Rounding.significant(levels.light().mean(), DIGITS),
                Rounding.significant(noise, DIGITS));
    }

    /** Whether a sensor's dark or light is further from what was measured than one reading scatters. */
    public boolean differsFrom(Sensor other) {
        return Math.abs(other.dark() - levels.dark().mean()) > levels.dark().sd()
                || Math.abs(other.light() - levels.light().mean())
                        > levels.light().sd();
    }
}
