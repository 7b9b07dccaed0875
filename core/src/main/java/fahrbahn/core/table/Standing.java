package fahrbahn.core.table;

import fahrbahn.core.path.Part;
import fahrbahn.core.path.Pose;
import java.util.ArrayList;
import java.util.List;

/**
 * An obstacle that stands on a table.
 *
 * @param place of its middle, on the line and along it
 * @param atMm of its middle along the line
 */
public record Standing(double radiusMm, double atMm, Pose place) {
    /** Those of a course, in the order of the line; a mat shows none. */
    public static List<Standing> on(Ground ground) {
        List<Standing> standing = new ArrayList<>();
        if (ground instanceof Course course) {
            double beforeMm = 0;
            for (Part part : course.parts()) {
                if (part instanceof Part.Obstacle obstacle) {
                    double atMm = beforeMm + obstacle.lengthMm() / 2;
                    standing.add(new Standing(
                            obstacle.radiusMm(), atMm, course.path().at(atMm)));
                }
                beforeMm += part.lengthMm();
            }
        }
        return List.copyOf(standing);
    }
}
