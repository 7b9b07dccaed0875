package fahrbahn.core.mat;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.check.Text;
import fahrbahn.core.job.CancelledException;
import fahrbahn.core.job.Job;
import fahrbahn.core.path.Pose;
import fahrbahn.core.raster.Raster;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;

/**
 * Follows a line on a raster from a place on it: step by step it looks across its way for the line's middle and bends towards it.
 * Where the line gets much wider another crosses: straight on. Where it ends: first a look around for a corner, then one ahead for
 * the other side of a gap.
 */
public final class LineFollower {
    /** A gap longer than this many line widths ends the line; robots are not asked to cross longer ones. */
    private static final double LONGEST_GAP_WIDTHS = 8;

    private static final double WIDER_CROSSES = 1.7;
    private static final double SHARPEST_RAD = Math.toRadians(150);
    private static final double CORNER_RAD = Math.toRadians(35);
    private static final int DIRECTIONS = 180;
    private static final int MOST_STEPS = 200_000;

    private final Raster raster;
    private final Job job;
    private final double stepMm;
    private final List<Pose> points = new ArrayList<>();
    private final List<Pose> corners = new ArrayList<>();
    private final List<Integer> breaks = new ArrayList<>();
    private final List<Double> gapsMm = new ArrayList<>();
    private double widthMm;
    private int crossings;
    private boolean crossing;
    private Pose lastNarrow;
    private int lastNarrowPoint;

    private LineFollower(Raster raster, Job job) {
        this.raster = raster;
        this.job = job;
        this.stepMm = Math.max(1, raster.cellMm());
    }

    /**
     * @param xMm a place on the line or near it
     * @throws BadValueException when no line is near
     * @throws CancelledException when the job is cancelled
     */
    public static Traced from(Raster raster, double xMm, double yMm, Job job) {
        return new LineFollower(raster, job).follow(xMm, yMm);
    }

    private Traced follow(double xMm, double yMm) {
        Pose start = begin(xMm, yMm);
        boolean closed = march(start);
        if (!closed) {
            // An open line is followed from its other end, so that it is whole wherever it was pointed at.
            Pose end = lastNarrow;
            reset();
            closed = march(end.turned(Math.PI));
            if (!closed && away(points.get(points.size() - 1), start) < away(points.get(0), start)) {
                reverse();
            }
        }
        Bends bends = Bends.of(points, breaks, widthMm, closed);
        double length = 0;
        for (int i = 1; i < points.size(); i++) {
            length += away(points.get(i), points.get(i - 1));
        }
        return new Traced(points, closed, widthMm, bends.radiusMm(), bends.at(), corners, gapsMm, crossings, length);
    }

    /** A robot is to set out from the end that was pointed at, not from the one where the following happened to begin. */
    private void reverse() {
        int size = points.size();
        List<Pose> back = points.stream().map(p -> p.turned(Math.PI)).toList();
        points.clear();
        points.addAll(back);
        Collections.reverse(points);
        corners.replaceAll(p -> p.turned(Math.PI));
        Collections.reverse(corners);
        breaks.replaceAll(b -> size - b);
        Collections.reverse(breaks);
        Collections.reverse(gapsMm);
    }

    private void reset() {
        points.clear();
        corners.clear();
        breaks.clear();
        gapsMm.clear();
        crossings = 0;
        crossing = false;
    }

    /** The middle of the nearest line, and the direction in which it is narrowest across. */
    private Pose begin(double xMm, double yMm) {
        Pose near = nearestOnLine(xMm, yMm);
        double reach = 60;
        Pose best = near;
        double narrowest = Double.POSITIVE_INFINITY;
        for (int i = 0; i < DIRECTIONS; i++) {
            Pose way = new Pose(near.xMm(), near.yMm(), Math.PI * i / DIRECTIONS);
            Section section = Section.across(raster, way, reach, stepMm / 2);
            if (!section.empty() && section.widthMm() < narrowest) {
                narrowest = section.widthMm();
                best = way.offset(0, section.leftMm());
            }
        }
        widthMm = narrowest;
        return best;
    }

    private Pose nearestOnLine(double xMm, double yMm) {
        for (double radius = 0; radius < 40; radius += stepMm / 2) {
            for (int i = 0; i < DIRECTIONS; i++) {
                Pose at = new Pose(xMm, yMm, 2 * Math.PI * i / DIRECTIONS).ahead(radius);
                if (raster.at(at.xMm(), at.yMm()) > 0.6) {
                    return at;
                }
            }
        }
        throw new BadValueException(
                "start", Text.of("(%.0f, %.0f) mm", xMm, yMm), "on the line, or within 40 mm of it");
    }

    /** @return true when it came back to where it began */
    private boolean march(Pose start) {
        Pose at = start;
        points.add(at);
        lastNarrow = start;
        lastNarrowPoint = 1;
        double wayMm = 0;
        for (int step = 0; step < MOST_STEPS; step++) {
            if (step % 256 == 0 && job.cancelled()) {
                throw new CancelledException();
            }
            Pose ahead = at.ahead(stepMm);
            Section section = Section.across(raster, ahead, 0.9 * widthMm, stepMm / 2);
            if (section.empty()) {
                Pose other = aroundOrBeyond(at);
                if (other == null) {
                    // A wide patch at the end, a strip or a field, is not line any more.
                    points.subList(Math.max(1, lastNarrowPoint), points.size()).clear();
                    return false;
                }
                at = other;
            } else if (section.widthMm() > WIDER_CROSSES * widthMm || crossing && beside(section)) {
                crossing = true;
                at = ahead;
            } else {
                crossings += crossing ? 1 : 0; // it goes on beyond: no corner
                crossing = false;
                lastNarrow = at;
                lastNarrowPoint = points.size();
                widthMm += 0.02 * (section.widthMm() - widthMm);
                at = steered(ahead, section.leftMm());
            }
            wayMm += stepMm;
            points.add(at);
            double home = away(at, start);
            boolean sameWay = Math.cos(at.headingRad() - start.headingRad()) > 0.7;
            if (wayMm > 6 * widthMm && home < Math.max(stepMm, widthMm / 4) && sameWay) {
                return true;
            }
        }
        return false;
    }

    /** Leaving a corner on its outside, the way cuts a sliver of the other leg: not the line going on. */
    private boolean beside(Section section) {
        return Math.abs(section.leftMm()) > 0.3 * widthMm || section.widthMm() < 0.6 * widthMm;
    }

    /** Half of the offset at once and the direction with it: quick enough for any bend a line can make, calm on a ragged edge. */
    private Pose steered(Pose ahead, double leftMm) {
        Pose moved = ahead.offset(0, 0.5 * leftMm);
        double turn = Math.atan2(0.5 * leftMm, Math.max(widthMm / 2, 2 * stepMm));
        return new Pose(moved.xMm(), moved.yMm(), ahead.headingRad() + turn);
    }

    /** Where the line goes on after a corner or a gap; null where it is over. */
    private Pose aroundOrBeyond(Pose at) {
        Pose corner = around(at);
        if (corner != null) {
            corners.add(at);
            crossing = false;
            breaks.add(points.size());
            return corner;
        }
        double longest = LONGEST_GAP_WIDTHS * widthMm;
        for (double gap = stepMm; gap <= longest; gap += stepMm) {
            Pose beyond = at.ahead(gap);
            Section section = Section.across(raster, beyond, 0.9 * widthMm, stepMm / 2);
            if (!section.empty() && section.widthMm() > 0.5 * widthMm) {
                gapsMm.add(gap);
                breaks.add(points.size());
                return beyond.offset(0, section.leftMm());
            }
        }
        return null;
    }

    /** Looks from the corner's middle, half a width back, along every direction but back for the longest run of line. */
    private Pose around(Pose at) {
        Pose middle = at.ahead(-widthMm / 2);
        Pose best = null;
        double longest = 1.2 * widthMm;
        for (int i = 0; i < DIRECTIONS; i++) {
            double turn = -SHARPEST_RAD + 2 * SHARPEST_RAD * i / (DIRECTIONS - 1);
            if (Math.abs(turn) < CORNER_RAD) {
                continue;
            }
            Pose way = middle.turned(turn);
            double run = 0;
            while (run < 3 * widthMm
                    && raster.at(way.ahead(run).xMm(), way.ahead(run).yMm()) > 0.5) {
                run += stepMm / 2;
            }
            if (run > longest) {
                longest = run;
                best = way;
            }
        }
        if (best == null) {
            return null;
        }
        Pose out = best.ahead(widthMm);
        Section section = Section.across(raster, out, 0.9 * widthMm, stepMm / 2);
        // What goes on much wider is a strip or a field that the line runs into, not its other leg.
        boolean asWide = section.widthMm() > 0.5 * widthMm && section.widthMm() < 1.5 * widthMm;
        return asWide ? out.offset(0, section.leftMm()) : null;
    }

    private static double away(Pose a, Pose b) {
        return Math.hypot(a.xMm() - b.xMm(), a.yMm() - b.yMm());
    }
}
