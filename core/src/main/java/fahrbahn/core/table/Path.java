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

    /** Length with line on it, mm: the tape needed along the course, arms of crossings included. */
    public double paintedMm() {
        double along = stretches.stream()
                .filter(s -> s.leg().painted())
                .mapToDouble(Stretch::lengthMm)
                .sum();
        double arms = stretches.stream()
                .filter(s -> s.part() instanceof Part.Crossing && s.legOfPart() == 0)
                .mapToDouble(s -> ((Part.Crossing) s.part()).armMm() * 2)
                .sum();
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

    Stretch stretchAt(double sMm) {
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
    record Stretch(Pose start, double startMm, Part part, int legOfPart, Leg leg, double cornerBeforeRad) {
        double lengthMm() {
            return leg.lengthMm();
        }

        double curvaturePerMm() {
            return leg.curvaturePerMm();
        }

        Pose at(double alongMm) {
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
