package fahrbahn.core.quality;

import fahrbahn.core.readings.Capture;
import fahrbahn.core.readings.SurfaceStats;
import java.util.ArrayList;
import java.util.List;

/**
 * One capture, each sensor judged.
 *
 * @param stats in the order of the capture's sensors
 * @param findings of all its sensors
 * @param judgedBy the ranges of its sensors, over all captures, that it was judged by
 */
public record CaptureReport(
        Capture capture, List<SurfaceStats> stats, List<Finding> findings, List<SensorRanges.Range> judgedBy) {
    public CaptureReport {
        stats = List.copyOf(stats);
        findings = List.copyOf(findings);
        judgedBy = List.copyOf(judgedBy);
    }

    /** True when judging this capture anew would give the same: it is the same, and so is what its sensors ever showed. */
    boolean holds(Capture other, SensorRanges ranges) {
        return capture == other && judgedBy.equals(ranges.ofSensors(capture.sensors()));
    }

    /** @param ranges of every sensor over all captures */
    static CaptureReport of(Capture capture, SensorRanges ranges) {
        List<SurfaceStats> stats = new ArrayList<>();
        List<Finding> findings = new ArrayList<>();
        double[] times = capture.timesS();
        for (int i = 0; i < capture.sensors().size(); i++) {
            String sensor = capture.sensors().get(i);
            double[] values = capture.values(i);
            SurfaceStats its = SurfaceStats.of(values, ranges.step(sensor));
            stats.add(its);
            if (capture.spot() || capture.surface().equals(Capture.AIR)) {
                findings.addAll(CaptureQuality.of(
                        sensor,
                        times,
                        capture.timed(),
                        values,
                        its,
                        ranges.most(sensor) - ranges.least(sensor),
                        ranges.least(sensor),
                        ranges.most(sensor)));
            }
        }
        return new CaptureReport(capture, stats, findings, ranges.ofSensors(capture.sensors()));
    }

    /** Stats of the sensor with this name, or null. */
    SurfaceStats stats(String sensor) {
        int index = capture.sensors().indexOf(sensor);
        return index < 0 ? null : stats.get(index);
    }
}
