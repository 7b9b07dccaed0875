package fahrbahn.core.quality;

import fahrbahn.core.readings.Capture;
import fahrbahn.core.readings.SurfaceStats;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.DoubleStream;

/** What each sensor ever showed: its least and largest reading and the smallest step between two. */
public record SensorRanges(Map<String, Range> ranges) {
    /** Of one sensor. @param step smallest change it was seen to make; 0 when it never changed */
    public record Range(double least, double most, double step) {}

    static SensorRanges of(List<Capture> captures) {
        Map<String, List<double[]>> values = new HashMap<>();
        for (Capture capture : captures) {
            for (int i = 0; i < capture.sensors().size(); i++) {
                values.computeIfAbsent(capture.sensors().get(i), s -> new ArrayList<>())
                        .add(capture.values(i));
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
                            SurfaceStats.smallestStep(all.toArray(double[][]::new))));
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

    double step(String sensor) {
        return ranges.get(sensor).step();
    }
}
