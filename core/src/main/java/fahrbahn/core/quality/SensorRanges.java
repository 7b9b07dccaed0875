package fahrbahn.core.quality;

import fahrbahn.core.readings.Capture;
import fahrbahn.core.readings.SurfaceStats;
import java.util.ArrayList;
import java.util.DoubleSummaryStatistics;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.DoubleStream;

/** What each sensor ever showed: its least and largest reading, the smallest step between two, and how far its surfaces lie apart. */
public record SensorRanges(Map<String, Range> ranges) {
    /**
     * Of one sensor.
     *
     * @param step smallest change it was seen to make; 0 when it never changed
     * @param contrast between the spots that read furthest apart, by their medians: no outlier widens it; 0 while there is one spot only
     */
    public record Range(double least, double most, double step, double contrast) {}

    static SensorRanges of(List<Capture> captures) {
        Map<String, List<double[]>> values = new HashMap<>();
        Map<String, DoubleSummaryStatistics> spots = new HashMap<>();
        for (Capture capture : captures) {
            for (int i = 0; i < capture.sensors().size(); i++) {
                String sensor = capture.sensors().get(i);
                double[] its = capture.values(i);
                values.computeIfAbsent(sensor, s -> new ArrayList<>()).add(its);
                DoubleSummaryStatistics medians = spots.computeIfAbsent(sensor, s -> new DoubleSummaryStatistics());
                if (capture.spot()) {
                    medians.accept(Steadiness.median(its));
                }
            }
        }
        Map<String, Range> ranges = new HashMap<>();
        values.forEach((sensor, all) -> {
            double[] flat = all.stream().flatMapToDouble(DoubleStream::of).toArray();
            ranges.put(
                    sensor,
                    new Range(
                            DoubleStream.of(flat).min().orElseThrow(),
                            DoubleStream.of(flat).max().orElseThrow(),
                            SurfaceStats.smallestStep(all.toArray(double[][]::new)),
                            Math.max(
                                    0,
                                    spots.get(sensor).getMax()
                                            - spots.get(sensor).getMin())));
        });
        return new SensorRanges(ranges);
    }

    List<Range> ofSensors(List<String> sensors) {
        return sensors.stream().map(ranges::get).toList();
    }

    double least(String sensor) {
        return ranges.get(sensor).least();
    }

    double most(String sensor) {
        return ranges.get(sensor).most();
    }

    double contrast(String sensor) {
        return ranges.get(sensor).contrast();
    }

    double step(String sensor) {
        return ranges.get(sensor).step();
    }
}
