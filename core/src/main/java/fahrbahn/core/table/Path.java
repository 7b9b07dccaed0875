package fahrbahn.core.table;

import java.util.ArrayList;
import java.util.List;

/** The line's centre by arc length s, mm from the start. On a closed course s runs on over the laps. */
public final class Path {
    private final List<Stretch> stretches;
    private final double lengthMm;
    private final boolean closed;
    private final Pose end;

    Path(Pose start, List<Part> parts, boolean closed) {
        List<Stretch> laid = new ArrayList<>();
        Pose at = start;
        double s = 0;
        for (Part part : parts) {
            Stretch stretch = new Stretch(at, s, part.lengthMm(), part.curvaturePerMm(), part.painted());
            laid.add(stretch);
            at = stretch.at(part.lengthMm());
            s += part.lengthMm();
        }
        this.stretches = List.copyOf(laid);
        this.lengthMm = s;
        this.closed = closed;
        this.end = at;
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

    List<Stretch> stretches() {
        return stretches;
    }

    /** Length with line on it, mm: the tape needed. */
    public double paintedMm() {
        return stretches.stream()
                .filter(Stretch::painted)
                .mapToDouble(Stretch::lengthMm)
                .sum();
    }

    /** Radius of the tightest bend, mm; infinite when there is none. */
    public double tightestRadiusMm() {
        return stretches.stream()
                .filter(s -> s.curvaturePerMm() != 0)
                .mapToDouble(s -> 1 / Math.abs(s.curvaturePerMm()))
                .min()
                .orElse(Double.POSITIVE_INFINITY);
    }

    /** Place and direction at s; before the start and beyond the end of an open path, straight on. */
    public Pose at(double sMm) {
        double s = closed ? sMm - Math.floor(sMm / lengthMm) * lengthMm : sMm;
        Stretch last = stretches.get(stretches.size() - 1);
        for (Stretch stretch : stretches) {
            if (s < stretch.startMm() + stretch.lengthMm() || stretch == last) {
                double along = s - stretch.startMm();
                if (along < 0) {
                    return stretch.start().ahead(along);
                }
                return along > stretch.lengthMm() ? end.ahead(along - stretch.lengthMm()) : stretch.at(along);
            }
        }
        throw new IllegalStateException("a path has at least one stretch");
    }

    /** One part where it lies. */
    record Stretch(Pose start, double startMm, double lengthMm, double curvaturePerMm, boolean painted) {
        Pose at(double alongMm) {
            if (curvaturePerMm == 0) {
                return start.ahead(alongMm);
            }
            double angle = alongMm * curvaturePerMm;
            double radius = 1 / curvaturePerMm;
            return start.offset(radius * Math.sin(angle), radius * (1 - Math.cos(angle)))
                    .turned(angle);
        }
    }
}
