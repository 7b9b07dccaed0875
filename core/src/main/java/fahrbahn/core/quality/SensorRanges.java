package fahrbahn.core.quality;

import fahrbahn.core.readings.Capture;
import fahrbahn.core.readings.Median;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** What each sensor ever showed: its least and largest reading, the smallest step between two, and how far its surfaces lie apart. */
public record SensorRanges(Map<String, Range> ranges) {
    /**
     * Of one sensor.
     *
     * @param step smallest change it was seen to make; 0 when it never changed
     * @param lowSpot of the medians of its spots the least, so that no outlier counts; infinite while there is none
     * @param highSpot the largest
     */
    public record Range(double least, double most, double step, double lowSpot, double highSpot) {
        /** Of a sensor that never saw a surface. */
        private static final Range NONE = new Range(
                Double.POSITIVE_INFINITY,
                Double.NEGATIVE_INFINITY,
                0,
                Double.POSITIVE_INFINITY,
                Double.NEGATIVE_INFINITY);

        /** Of one capture. */
        private static Range of(double[] readings, boolean spot) {
            double[] sorted = readings.clone();
            Arrays.sort(sorted);
            double step = Double.POSITIVE_INFINITY;
            for (int i = 1; i < sorted.length; i++) {
                double gap = sorted[i] - sorted[i - 1];
                step = gap > 0 ? Math.min(step, gap) : step;
            }
            double median = Median.ofSorted(sorted);
            return new Range(
                    sorted[0],
                    sorted[sorted.length - 1],
                    step == Double.POSITIVE_INFINITY ? 0 : step,
                    spot ? median : Double.POSITIVE_INFINITY,
                    spot ? median : Double.NEGATIVE_INFINITY);
        }

        private Range and(Range other) {
            boolean both = step > 0 && other.step > 0;
            return new Range(
                    Math.min(least, other.least),
                    Math.max(most, other.most),
                    both ? Math.min(step, other.step) : Math.max(step, other.step),
                    Math.min(lowSpot, other.lowSpot),
                    Math.max(highSpot, other.highSpot));
        }

        double contrast() {
            return Math.max(0, highSpot - lowSpot);
        }
    }

    static SensorRanges of(List<Capture> captures) {
        Map<String, Range> ranges = new HashMap<>();
        for (Capture capture : captures) {
            for (int i = 0; i < capture.sensors().size(); i++) {
                double[] values = capture.values(i);
                if (values.length > 0) {
                    ranges.merge(capture.sensors().get(i), Range.of(values, capture.spot()), Range::and);
                }
            }
        }
        return new SensorRanges(ranges);
    }

    List<Range> ofSensors(List<String> sensors) {
        return sensors.stream().map(this::range).toList();
    }

    private Range range(String sensor) {
        return ranges.getOrDefault(sensor, Range.NONE);
    }

    double least(String sensor) {
        return range(sensor).least();
    }

    double most(String sensor) {
        return range(sensor).most();
    }

    double contrast(String sensor) {
        return range(sensor).contrast();
    }

    double step(String sensor) {
        return range(sensor).step();
    }
}
