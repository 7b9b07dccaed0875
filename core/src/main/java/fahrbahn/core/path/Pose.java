package fahrbahn.core.path;

/** A place and a heading in the table frame, mm and rad. */
public record Pose(double xMm, double yMm, double headingRad) {
    /** Straight on by a distance. */
    public Pose ahead(double distanceMm) {
        return offset(distanceMm, 0);
    }

    /** The point this far ahead and this far to the left, heading unchanged. */
    public Pose offset(double forwardMm, double leftMm) {
        double cos = Math.cos(headingRad);
        double sin = Math.sin(headingRad);
        return new Pose(xMm + forwardMm * cos - leftMm * sin, yMm + forwardMm * sin + leftMm * cos, headingRad);
    }

    public Pose turned(double angleRad) {
        return new Pose(xMm, yMm, headingRad + angleRad);
    }
}
