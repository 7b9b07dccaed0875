package fahrbahn.core.twin;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.response.ErrorCurve;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.Course;
import fahrbahn.core.table.Painter;
import fahrbahn.core.table.Path;
import fahrbahn.core.table.Raster;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * A course as the sensors of one setup see it: painted once, blurred once per distinct spot.
 *
 * @param finishMm arc length at which the law's point has finished
 * @param settledFromMm arc length from which the figures of a run count
 */
public record Track(
        Course course,
        Setup setup,
        Path path,
        List<Raster> seen,
        double rideOffsetMm,
        double finishMm,
        double settledFromMm) {
    /** An open line is left this many spot sigmas before its end, before the sensors see it end. */
    private static final double END_SIGMAS = 4;

    public Track {
        seen = List.copyOf(seen);
    }

    /** A lap of a closed course or the length of an open one; figures count from the start. */
    public static Track of(Course course, Setup setup) {
        Path path = course.path();
        double lead = Math.max(0, setup.leadMm());
        if (course.closed()) {
            return make(course, setup, lead + path.lengthMm(), lead);
        }
        double finish = path.lengthMm() - END_SIGMAS * widestSpot(setup);
        if (!(finish > lead)) {
            throw new BadValueException(
                    "course", path.lengthMm() + " mm long", "longer than the robot's lead of " + lead + " mm");
        }
        return make(course, setup, finish, lead);
    }

    /** A straight line on which the robot drives this far; figures count over the second half, when it has settled. */
    public static Track straight(double driveMm, Setup setup) {
        double lead = Math.max(0, setup.leadMm());
        double spare = END_SIGMAS * widestSpot(setup);
        Course course = Course.straight(driveMm);
        Course longer = Course.straight(driveMm + lead + spare);
        return make(longer, setup, lead + course.path().lengthMm(), lead + driveMm / 2);
    }

    private static Track make(Course course, Setup setup, double finishMm, double settledFromMm) {
        Map<Double, Raster> bySpot = new HashMap<>();
        List<Raster> seen = setup.lawSensors().stream()
                .map(Sensor::spotSigmaMm)
                .map(sigma -> bySpot.computeIfAbsent(
                        sigma, s -> Painter.seen(course, setup.line().widthMm(), s)))
                .toList();
        double ride = ErrorCurve.of(setup).rideOffsetMm();
        return new Track(course, setup, course.path(), seen, ride, finishMm, settledFromMm);
    }

    private static double widestSpot(Setup setup) {
        return setup.lawSensors().stream()
                .mapToDouble(Sensor::spotSigmaMm)
                .max()
                .orElseThrow();
    }
}
