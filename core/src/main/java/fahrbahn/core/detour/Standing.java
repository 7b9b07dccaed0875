package fahrbahn.core.detour;

import fahrbahn.core.table.Course;
import fahrbahn.core.table.Ground;
import fahrbahn.core.table.Part;
import java.util.ArrayList;
import java.util.List;

/**
 * An obstacle that stands on a table.
 *
 * @param atMm of its middle along the line
 */
public record Standing(double radiusMm, double atMm) {
    /** Those of a course, in the order of the line; a mat shows none. */
    public static List<Standing> on(Ground ground) {
        List<Standing> standing = new ArrayList<>();
        if (ground instanceof Course course) {
            double beforeMm = 0;
            for (Part part : course.parts()) {
                if (part instanceof Part.Obstacle obstacle) {
                    standing.add(new Standing(obstacle.radiusMm(), beforeMm + obstacle.lengthMm() / 2));
                }
                beforeMm += part.lengthMm();
            }
        }
        return List.copyOf(standing);
    }
}
