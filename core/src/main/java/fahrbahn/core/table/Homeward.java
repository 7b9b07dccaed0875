package fahrbahn.core.table;

import fahrbahn.core.path.Part;
import fahrbahn.core.path.Pose;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Ways from one pose to another by a bend, a straight and a bend of one radius. Beginning and end each turn about a circle to their
 * left or right; the straight is a tangent common to both, outer where they turn the same way, inner where they do not.
 */
final class Homeward {
    private static final double TINY_RAD = 1e-9;

    private Homeward() {}

    /** Shortest first; parts too small to see are in them still. */
    static List<List<Part>> ways(Pose from, Pose to, double radiusMm) {
        List<List<Part>> ways = new ArrayList<>();
        for (int first = -1; first <= 1; first += 2) {
            for (int second = -1; second <= 1; second += 2) {
                List<Part> way = way(from, to, radiusMm, first, second);
                if (!way.isEmpty()) {
                    ways.add(way);
                }
            }
        }
        ways.sort(Comparator.comparingDouble(
                way -> way.stream().mapToDouble(Part::lengthMm).sum()));
        return ways;
    }

    /** @param first +1 to begin with a bend to the left, -1 to the right @param second likewise for the last bend */
    private static List<Part> way(Pose from, Pose to, double radiusMm, int first, int second) {
        Pose centreA = from.offset(0, first * radiusMm);
        Pose centreB = to.offset(0, second * radiusMm);
        double dx = centreB.xMm() - centreA.xMm();
        double dy = centreB.yMm() - centreA.yMm();
        double apart = Math.hypot(dx, dy);
        double direction = Math.atan2(dy, dx);
        double straight = apart;
        double heading = direction;
        if (first != second) {
            if (apart < 2 * radiusMm) {
                return List.of();
            }
            straight = Math.sqrt(apart * apart - 4 * radiusMm * radiusMm);
            heading = direction + first * Math.atan2(2 * radiusMm, straight);
        }
        List<Part> parts = new ArrayList<>();
        addBend(parts, radiusMm, turn(heading - from.headingRad(), first));
        if (straight > 0) {
            parts.add(new Part.Straight(straight));
        }
        addBend(parts, radiusMm, turn(to.headingRad() - heading, second));
        return parts;
    }

    /** The turn, in the sense of the circle, 0 to a whole one. */
    private static double turn(double angle, int sense) {
        double positive = sense * angle;
        double whole = positive - 2 * Math.PI * Math.floor(positive / (2 * Math.PI));
        return sense * (whole > 2 * Math.PI - TINY_RAD ? 0 : whole);
    }

    private static void addBend(List<Part> parts, double radiusMm, double angleRad) {
        if (Math.abs(angleRad) > TINY_RAD) {
            parts.add(new Part.Bend(radiusMm, angleRad));
        }
    }
}
