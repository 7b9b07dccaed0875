package fahrbahn.core.mat;

import fahrbahn.core.path.Pose;
import java.util.List;

/**
 * A line that has been followed.
 *
 * @param points along its middle, a few mm apart, with its direction
 * @param closed it came back to where it began
 * @param widthMm mean width of the line
 * @param tightestRadiusMm of its tightest bend, corners aside; infinite when it is straight
 * @param tightestAt where that bend is; null when it is straight
 * @param corners where it turns too sharply for a bend
 * @param gapsMm length of each gap that was bridged
 * @param crossings how many lines it crosses
 * @param lengthMm along it, gaps included
 */
public record Traced(
        List<Pose> points,
        boolean closed,
        double widthMm,
        double tightestRadiusMm,
        Pose tightestAt,
        List<Pose> corners,
        List<Double> gapsMm,
        int crossings,
        double lengthMm) {
    public Traced {
        points = List.copyOf(points);
        corners = List.copyOf(corners);
        gapsMm = List.copyOf(gapsMm);
    }
}
