package fahrbahn.core.path;

/** Parts changed by hand: their end pulled to a place, or a step longer. */
public final class PartShapes {
    private static final double ROUND_MM = 10;
    private static final double ROUND_RAD = Math.toRadians(5);
    private static final double LEAST_MM = 10;

    private PartShapes() {}

    /** The part with its end as near to a place as its shape allows, rounded. @param start where the part begins */
    public static Part pulledTo(Part part, Pose start, double xMm, double yMm) {
        double dx = xMm - start.xMm();
        double dy = yMm - start.yMm();
        double ahead = dx * Math.cos(start.headingRad()) + dy * Math.sin(start.headingRad());
        double left = -dx * Math.sin(start.headingRad()) + dy * Math.cos(start.headingRad());
        if (part instanceof Part.Bend bend) {
            double side = Math.signum(bend.angleRad());
            double turned = Math.atan2(ahead, bend.radiusMm() - side * left);
            double positive = turned < 0 ? turned + 2 * Math.PI : turned;
            double angle = Math.max(ROUND_RAD, Math.rint(positive / ROUND_RAD) * ROUND_RAD);
            return new Part.Bend(bend.radiusMm(), side * Math.min(angle, 2 * Math.PI - ROUND_RAD));
        }
        if (part instanceof Part.RightAngle corner) {
            return new Part.RightAngle(corner.turn(), rounded(ahead));
        }
        if (part instanceof Part.Crossing crossing) {
            boolean straight = crossing.way().sign() == 0;
            return new Part.Crossing(rounded(straight ? ahead / 2 : ahead), crossing.way(), crossing.marks());
        }
        if (part instanceof Part.SwingOver swing) {
            double radius = ahead / (2 * Math.sin(Math.abs(swing.angleRad())));
            return new Part.SwingOver(rounded(radius), swing.angleRad());
        }
        return withLength(part, rounded(ahead));
    }

    private static double rounded(double mm) {
        return Math.max(LEAST_MM, Math.rint(mm / ROUND_MM) * ROUND_MM);
    }

    /** A step longer, or a bend turned on by a step; negative for shorter. */
    public static Part stretched(Part part, double byMm, double byRad, double leastMm) {
        if (part instanceof Part.Bend bend) {
            double angle = Math.abs(bend.angleRad()) + byRad;
            return new Part.Bend(
                    bend.radiusMm(),
                    Math.signum(bend.angleRad()) * Math.max(Math.abs(byRad), Math.min(2 * Math.PI, angle)));
        }
        if (part instanceof Part.SwingOver swing) {
            return new Part.SwingOver(Math.max(leastMm, swing.radiusMm() + byMm), swing.angleRad());
        }
        if (part instanceof Part.RightAngle corner) {
            return new Part.RightAngle(corner.turn(), Math.max(leastMm, corner.armMm() + byMm));
        }
        if (part instanceof Part.Crossing crossing) {
            return new Part.Crossing(Math.max(leastMm, crossing.armMm() + byMm), crossing.way(), crossing.marks());
        }
        return withLength(part, Math.max(leastMm, part.lengthMm() + byMm));
    }

    /** A part that has a length of its own with another one. */
    public static Part withLength(Part part, double lengthMm) {
        if (part instanceof Part.Gap) {
            return new Part.Gap(lengthMm);
        }
        if (part instanceof Part.Bump bump) {
            return new Part.Bump(lengthMm, bump.heightMm());
        }
        if (part instanceof Part.Ramp ramp) {
            return new Part.Ramp(lengthMm, ramp.slopeRad());
        }
        if (part instanceof Part.Crease crease) {
            return new Part.Crease(lengthMm, crease.heightMm());
        }
        if (part instanceof Part.Obstacle obstacle) {
            return new Part.Obstacle(Math.max(2 * obstacle.radiusMm(), lengthMm), obstacle.radiusMm());
        }
        if (part instanceof Part.EntryStrip) {
            return new Part.EntryStrip(lengthMm);
        }
        if (part instanceof Part.StopStrip) {
            return new Part.StopStrip(lengthMm);
        }
        return part instanceof Part.End ? new Part.End(lengthMm) : new Part.Straight(lengthMm);
    }

    /** The part turned to the other side; one without sides as it is. */
    public static Part mirrored(Part part) {
        if (part instanceof Part.Bend bend) {
            return new Part.Bend(bend.radiusMm(), -bend.angleRad());
        }
        if (part instanceof Part.SwingOver swing) {
            return new Part.SwingOver(swing.radiusMm(), -swing.angleRad());
        }
        if (part instanceof Part.RightAngle corner) {
            return new Part.RightAngle(other(corner.turn()), corner.armMm());
        }
        if (part instanceof Part.Crossing crossing) {
            Part.Turn way = next(crossing.way());
            boolean usual = crossing.marks().equals(Part.Marks.usual(crossing.way()));
            return new Part.Crossing(crossing.armMm(), way, usual ? Part.Marks.usual(way) : crossing.marks());
        }
        return part instanceof Part.Ramp ramp ? new Part.Ramp(ramp.lengthMm(), -ramp.slopeRad()) : part;
    }

    private static Part.Turn other(Part.Turn turn) {
        return turn == Part.Turn.LEFT ? Part.Turn.RIGHT : Part.Turn.LEFT;
    }

    private static Part.Turn next(Part.Turn turn) {
        return switch (turn) {
            case LEFT -> Part.Turn.STRAIGHT;
            case STRAIGHT -> Part.Turn.RIGHT;
            case RIGHT -> Part.Turn.ROUND;
            case ROUND -> Part.Turn.LEFT;
        };
    }
}
