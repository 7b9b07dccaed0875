package fahrbahn.core.quality;

import fahrbahn.core.readings.Capture;
import fahrbahn.core.readings.Median;
import fahrbahn.core.readings.SurfaceStats;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * Whether the odd readings of one sensor, those left out on dark and light and those of the sweep beyond both, are the crease that was captured. Where
 * they are, dark and light are to be fixed numbers from spots: a program that calibrates by its smallest and largest reading takes the crease for one
 * of them.
 *
 * @param odd readings
 * @param ofCrease how many of them the crease reads like
 * @param crease what it reads in the middle
 * @param bareShift how far the level halfway between smallest and largest lies from the spots' one, in readings, with the odd ones among them; 0 where
 *     none lies beyond
 */
public record CreaseCheck(String sensor, int odd, int ofCrease, double crease, double bareShift) {
    /** Name of its captures. */
    public static final String CREASE = "crease";

    /** Fewer odd readings may be anything. */
    private static final int LEAST_ODD = 3;

    private static final double MOST_OF_THEM = 0.8;

    /** As outliers are told: this many standard deviations beyond. */
    private static final double FAR_SIGMAS = 3.5;

    /** Most of them are the crease's, and there are some. */
    public boolean explains() {
        return odd >= LEAST_ODD && ofCrease >= MOST_OF_THEM * odd;
    }

    /** @param captures with one of a crease among them; empty without one that has this sensor */
    static Optional<CreaseCheck> of(List<Capture> captures, SurfacePair pair) {
        String sensor = pair.sensor();
        Optional<Capture> crease = Survey.newest(captures, CREASE, sensor);
        if (crease.isEmpty() || pair.tooAlike()) {
            return Optional.empty();
        }
        double[] its = crease.get().values(sensor);
        double noise = FAR_SIGMAS * Math.max(pair.dark().sd(), pair.light().sd());
        double least = Arrays.stream(its).min().orElseThrow() - noise;
        double most = Arrays.stream(its).max().orElseThrow() + noise;
        double[] odd = odd(captures, pair, noise);
        int ofCrease =
                (int) Arrays.stream(odd).filter(r -> r >= least && r <= most).count();
        return Optional.of(new CreaseCheck(sensor, odd.length, ofCrease, Median.of(its), bareShift(pair, odd)));
    }

    private static double[] odd(List<Capture> captures, SurfacePair pair, double noise) {
        List<Double> odd = new ArrayList<>();
        addLeftOut(odd, Survey.newest(captures, Capture.DARK, pair.sensor()), pair.sensor(), pair.dark());
        addLeftOut(odd, Survey.newest(captures, Capture.LIGHT, pair.sensor()), pair.sensor(), pair.light());
        double low = Math.min(pair.dark().mean(), pair.light().mean()) - noise;
        double high = Math.max(pair.dark().mean(), pair.light().mean()) + noise;
        Survey.newest(captures, Capture.SWEEP, pair.sensor())
                .ifPresent(sweep -> Arrays.stream(sweep.values(pair.sensor()))
                        .filter(r -> r < low || r > high)
                        .forEach(odd::add));
        return odd.stream().mapToDouble(r -> r).toArray();
    }

    private static void addLeftOut(List<Double> odd, Optional<Capture> capture, String sensor, SurfaceStats stats) {
        capture.ifPresent(c -> {
            double[] readings = c.values(sensor);
            stats.leftOut().forEach(i -> odd.add(readings[i]));
        });
    }

    private static double bareShift(SurfacePair pair, double[] odd) {
        double low = Math.min(pair.dark().mean(), pair.light().mean());
        double high = Math.max(pair.dark().mean(), pair.light().mean());
        double least = Arrays.stream(odd).reduce(low, Math::min);
        double most = Arrays.stream(odd).reduce(high, Math::max);
        return (least + most) / 2 - (low + high) / 2;
    }
}
