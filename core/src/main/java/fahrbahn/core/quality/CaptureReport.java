package fahrbahn.core.quality;

import fahrbahn.core.readings.Capture;
import fahrbahn.core.readings.ColourColumns;
import fahrbahn.core.readings.RoundedMean;
import fahrbahn.core.readings.SurfaceStats;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * One capture, each sensor judged.
 *
 * @param stats in the order of the capture's sensors; empty for one that saw no surface
 * @param findings of all its sensors
 * @param judgedBy the ranges of its sensors, over all captures, that it was judged by
 */
public record CaptureReport(
        Capture capture,
        List<Optional<SurfaceStats>> stats,
        List<Finding> findings,
        List<SensorRanges.Range> judgedBy) {
    /** A mean known to a fortieth of the way from dark to light moves a level by no more than a fortieth of the line's edge. */
    private static final double SETTLED_SHARE = 0.025;

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
        List<Optional<SurfaceStats>> stats = new ArrayList<>();
        List<Finding> findings = new ArrayList<>();
        for (int i = 0; i < capture.sensors().size(); i++) {
            String sensor = capture.sensors().get(i);
            double[] values = capture.values(i);
            boolean channel = ColourColumns.channelOf(sensor, capture.sensors());
            if (!channel) {
                addNoSurface(findings, capture, i, values.length);
            }
            if (values.length < 2) {
                stats.add(Optional.empty());
                continue;
            }
            double step = capture.typed() ? RoundedMean.displayStep(values) : ranges.step(sensor);
            SurfaceStats its = SurfaceStats.of(values, step);
            stats.add(Optional.of(its));
            if (channel) {
                continue; // what is odd about it is odd about its sensor
            }
            if (capture.typed()) {
                addUnsettled(findings, sensor, values, step, ranges.contrast(sensor));
            } else if (capture.spot() || capture.surface().equals(Capture.AIR)) {
                findings.addAll(CaptureQuality.of(
                        sensor,
                        capture.timesS(i),
                        capture.timed(),
                        values,
                        its,
                        step,
                        ranges.contrast(sensor),
                        ranges.least(sensor),
                        ranges.most(sensor)));
            }
        }
        return new CaptureReport(capture, stats, findings, ranges.ofSensors(capture.sensors()));
    }

    /** Lifted on purpose it is right to say so. */
    private static void addNoSurface(List<Finding> findings, Capture capture, int sensor, int seen) {
        int all = capture.readings().size();
        if (seen < all && !capture.surface().equals(Capture.AIR)) {
            findings.add(new Finding.NoSurface(
                    capture.sensors().get(sensor), capture.noSurface(sensor).orElseThrow(), all - seen, all));
        }
    }

    private static void addUnsettled(
            List<Finding> findings, String sensor, double[] values, double step, double contrast) {
        RoundedMean mean = RoundedMean.of(values, step);
        double wanted = Math.max(SETTLED_SHARE * contrast, step / 2);
        int more = mean.moreFor(wanted, values.length);
        if (more > 0) {
            findings.add(new Finding.Unsettled(sensor, values.length, more, mean.plusMinus()));
        }
    }

    /** Of the sensor with this name; empty when it is not in the capture, or saw no surface. */
    Optional<SurfaceStats> stats(String sensor) {
        int index = capture.sensors().indexOf(sensor);
        return index < 0 ? Optional.empty() : stats.get(index);
    }
}
