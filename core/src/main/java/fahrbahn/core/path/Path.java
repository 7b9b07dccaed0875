package fahrbahn.core.path;

import fahrbahn.core.check.Check;
import java.util.ArrayList;
import java.util.List;

/** The line's centre by arc length s, mm from the start. On a closed course s runs on over the laps. */
public final class Path {
    /** Of a followed line's steps; at a radius of 40 mm, tighter than robots are asked to ride, the arc is 0.2 mm beside. */
    private static final double STEP_MM = 8;

    /** A followed line is called bent by what it does over so many steps to each side: some five line widths in all. */
    private static final int AROUND = 6;

    /** A wider bend than this reads as a straight. */
    private static final double STRAIGHT_MM = 900;

    private final List<Stretch> stretches;
    private final double lengthMm;
    private final boolean closed;
    private final Pose end;

    public Path(Pose start, List<Part> parts, boolean closed) {
        List<Stretch> laid = new ArrayList<>();
        Pose at = start;
        double s = 0;
        double cornerBefore = 0;
        for (Part part : parts) {
            int legOfPart = 0;
            for (Leg leg : part.legs()) {
                Stretch stretch = new Stretch(at, s, part, legOfPart++, leg, cornerBefore);
                laid.add(stretch);
                cornerBefore = leg.cornerRad();
                at = stretch.at(leg.lengthMm()).turned(cornerBefore);
                s += leg.lengthMm();
            }
        }
        this.stretches = List.copyOf(laid);
        this.lengthMm = s;
        this.closed = closed;
        this.end = at;
    }

    private Path(List<Stretch> stretches, boolean closed, Pose end) {
        Stretch last = stretches.get(stretches.size() - 1);
        this.stretches = List.copyOf(stretches);
        this.lengthMm = last.startMm() + last.lengthMm();
        this.closed = closed;
        this.end = end;
    }

    /**
     * Along points of a line that has been followed, in straight steps of {@link #STEP_MM}.
     */
    public static Path through(List<Pose> points, boolean closed) {
        List<Pose> joints = new ArrayList<>(List.of(points.get(0)));
        for (Pose point : points) {
            if (away(joints.get(joints.size() - 1), point) >= STEP_MM) {
                joints.add(point);
            }
        }
        if (closed && away(joints.get(joints.size() - 1), points.get(0)) < STEP_MM) {
            joints.remove(joints.size() - 1);
        }
        int steps = closed ? joints.size() : joints.size() - 1;
        Check.require(steps >= 2, "points", joints.size(), "of a line longer than " + 2 * STEP_MM + " mm");
        double[] heading = new double[steps];
        double[] length = new double[steps];
        for (int i = 0; i < steps; i++) {
            Pose from = joints.get(i);
            Pose to = joints.get((i + 1) % joints.size());
            length[i] = away(from, to);
            heading[i] = Math.atan2(to.yMm() - from.yMm(), to.xMm() - from.xMm());
        }
        List<Stretch> laid = new ArrayList<>();
        double s = 0;
        for (int i = 0; i < steps; i++) {
            Pose from = joints.get(i);
            boolean more = closed || i + 1 < steps;
            double turn = more ? turn(heading[i], heading[(i + 1) % steps]) : 0;
            double before = closed || i > 0 ? turn(heading[Math.floorMod(i - 1, steps)], heading[i]) : 0;
            Pose start = new Pose(from.xMm(), from.yMm(), heading[i]);
            laid.add(new Stretch(
                    start, s, bentAs(heading, length, i, closed), 0, new Leg(length[i], 0, turn, true), before));
            s += length[i];
        }
        Stretch last = laid.get(steps - 1);
        return new Path(laid, closed, last.at(last.lengthMm()));
    }

    /** What a coach would call the line there: a bend of its radius over the steps around, or a straight. */
    private static Part bentAs(double[] heading, double[] length, int step, boolean closed) {
        int from = closed ? step - AROUND : Math.max(0, step - AROUND);
        int to = closed ? step + AROUND : Math.min(heading.length - 1, step + AROUND);
        double turned = 0;
        double lengthMm = 0;
        for (int i = from; i < to; i++) {
            lengthMm += length[Math.floorMod(i, length.length)];
            turned += turn(heading[Math.floorMod(i, heading.length)], heading[Math.floorMod(i + 1, heading.length)]);
        }
        double radius = lengthMm / Math.abs(turned);
        return radius < STRAIGHT_MM
                ? new Part.Bend(Math.max(1, Math.rint(radius / 10) * 10), lengthMm / radius * Math.signum(turned))
                : new Part.Straight(Math.max(1, lengthMm));
    }

    private static double turn(double from, double to) {
        return Math.IEEEremainder(to - from, 2 * Math.PI);
    }

    private static double away(Pose a, Pose b) {
        return Math.hypot(a.xMm() - b.xMm(), a.yMm() - b.yMm());
    }

    public double lengthMm() {
        return lengthMm;
    }

    public boolean closed() {
        return closed;
    }

    public Pose end() {
        return end;
    }

    public List<Stretch> stretches() {
        return stretches;
    }

    /** Length with line on it, mm: the tape needed along the course, arms of crossings included. */
    public double paintedMm() {
        double along = stretches.stream()
                .filter(s -> s.leg().painted())
                .mapToDouble(Stretch::lengthMm)
                .sum();
        double arms =
                crossings().stream().mapToDouble(c -> c.crossing().armMm() * 2).sum();
        return along + arms;
    }

    /** Radius of the tightest bend, mm; infinite when there is none. Corners have none: they are no bends. */
    public double tightestRadiusMm() {
        return stretches.stream()
                .map(Stretch::leg)
                .filter(leg -> leg.curvaturePerMm() != 0)
                .mapToDouble(leg -> 1 / Math.abs(leg.curvaturePerMm()))
                .min()
                .orElse(Double.POSITIVE_INFINITY);
    }

    /** Arc length at which the first part of a kind begins, or the path's length when it has none. */
    double startOf(Class<? extends Part> kind) {
        return stretches.stream()
                .filter(s -> kind.isInstance(s.part()))
                .mapToDouble(Stretch::startMm)
                .findFirst()
                .orElse(lengthMm);
    }

    /** Its crossings, in the order they are met. */
    public List<CrossingPlace> crossings() {
        return stretches.stream()
                .filter(s -> s.part() instanceof Part.Crossing && s.legOfPart() == 0)
                .map(s -> new CrossingPlace((Part.Crossing) s.part(), s.startMm() + s.lengthMm()))
                .toList();
    }

    /** Whether it ends at a crossing at which the robot has to turn round. */
    public boolean endsRound() {
        return stretches.get(stretches.size() - 1).part() instanceof Part.Crossing last
                && last.way() == Part.Turn.ROUND;
    }

    /** Where an open path's run is over: where a stop strip begins, or else the end of the line. */
    public double finishMm() {
        return Math.min(startOf(Part.StopStrip.class), startOf(Part.End.class));
    }

    /** Place and direction at s; before the start and beyond the end of an open path, straight on. */
    public Pose at(double sMm) {
        double s = closed ? sMm - Math.floor(sMm / lengthMm) * lengthMm : sMm;
        Stretch on = stretchAt(s);
        double along = s - on.startMm();
        if (along < 0) {
            return on.start().ahead(along);
        }
        return along > on.lengthMm() ? end.ahead(along - on.lengthMm()) : on.at(along);
    }

    /** The part at s; on a closed course s may run on over the laps. */
    public Part partAt(double sMm) {
        return stretchAt(closed ? sMm - Math.floor(sMm / lengthMm) * lengthMm : sMm)
                .part();
    }

    /** The turn of the path at s, to the left positive, 1/mm; 0 on a straight and at a corner. */
    public double curvaturePerMm(double sMm) {
        return stretchAt(closed ? sMm - Math.floor(sMm / lengthMm) * lengthMm : sMm)
                .leg()
                .curvaturePerMm();
    }

    public Stretch stretchAt(double sMm) {
        int low = 0;
        int high = stretches.size() - 1;
        while (low < high) {
            int middle = (low + high) >>> 1;
            Stretch stretch = stretches.get(middle);
            if (sMm < stretch.startMm() + stretch.lengthMm()) {
                high = middle;
            } else {
                low = middle + 1;
            }
        }
        return stretches.get(low);
    }

    /** One leg where it lies. @param cornerBeforeRad sharp turn between the leg before and this one */
    public record Stretch(Pose start, double startMm, Part part, int legOfPart, Leg leg, double cornerBeforeRad) {
        public double lengthMm() {
            return leg.lengthMm();
        }

        public double curvaturePerMm() {
            return leg.curvaturePerMm();
        }

        public Pose at(double alongMm) {
            if (curvaturePerMm() == 0) {
                return start.ahead(alongMm);
            }
            double angle = alongMm * curvaturePerMm();
            double radius = 1 / curvaturePerMm();
            return start.offset(radius * Math.sin(angle), radius * (1 - Math.cos(angle)))
                    .turned(angle);
        }
    }
}
