package fahrbahn.core.path;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A place along a line as a coach calls it: {@code 3} the third part, {@code bend 2} the second bend, {@code gap} the first gap, {@code 1.25 m} or
 * {@code 1250 mm} from the start.
 */
public final class PlaceOnCourse {
    private static final Map<String, Class<? extends Part>> KINDS = Map.ofEntries(
            Map.entry("straight", Part.Straight.class),
            Map.entry("bend", Part.Bend.class),
            Map.entry("s-bend", Part.SwingOver.class),
            Map.entry("corner", Part.RightAngle.class),
            Map.entry("gap", Part.Gap.class),
            Map.entry("crossing", Part.Crossing.class),
            Map.entry("bump", Part.Bump.class),
            Map.entry("ramp", Part.Ramp.class),
            Map.entry("crease", Part.Crease.class),
            Map.entry("obstacle", Part.Obstacle.class),
            Map.entry("strip", Part.EntryStrip.class),
            Map.entry("stop", Part.StopStrip.class),
            Map.entry("end", Part.End.class));

    /** As near as anybody points. */
    private static final double STEP_MM = 5;

    private static final Pattern LENGTH = Pattern.compile("([0-9]+(?:[.,][0-9]+)?) *(mm|cm|m)");
    private static final Pattern NUMBER = Pattern.compile("[0-9]{1,4}");
    private static final Pattern NAMED = Pattern.compile("([a-z-]+) *([0-9]{1,4})?");

    private PlaceOnCourse() {}

    /**
     * @param parts of the course; none for a mat, on which only lengths are understood
     * @return mm along the line, of a part its middle; empty when there is no such place
     */
    public static OptionalDouble mm(List<Part> parts, String words) {
        String asked = words.strip().toLowerCase(Locale.ROOT);
        Matcher length = LENGTH.matcher(asked);
        if (length.matches()) {
            double value = Double.parseDouble(length.group(1).replace(',', '.'));
            double mm = value
                    * (length.group(2).equals("m") ? 1000 : length.group(2).equals("cm") ? 10 : 1);
            return OptionalDouble.of(mm);
        }
        if (NUMBER.matcher(asked).matches()) {
            return middle(parts, Integer.parseInt(asked) - 1);
        }
        Matcher named = NAMED.matcher(asked);
        if (!named.matches() || !KINDS.containsKey(named.group(1))) {
            return OptionalDouble.empty();
        }
        int wanted = named.group(2) == null ? 1 : Integer.parseInt(named.group(2));
        int seen = 0;
        for (int i = 0; i < parts.size(); i++) {
            if (KINDS.get(named.group(1)).isInstance(parts.get(i)) && ++seen == wanted) {
                return middle(parts, i);
            }
        }
        return OptionalDouble.empty();
    }

    /** The place along a line nearest to a point of the table, mm, to within {@link #STEP_MM}. */
    public static double nearestMm(Path path, double xMm, double yMm) {
        double best = 0;
        double least = Double.POSITIVE_INFINITY;
        for (double s = 0; s <= path.lengthMm(); s += STEP_MM) {
            Pose at = path.at(s);
            double away = Math.hypot(at.xMm() - xMm, at.yMm() - yMm);
            if (away < least) {
                least = away;
                best = s;
            }
        }
        return best;
    }

    private static OptionalDouble middle(List<Part> parts, int index) {
        if (index < 0 || index >= parts.size()) {
            return OptionalDouble.empty();
        }
        double before =
                parts.subList(0, index).stream().mapToDouble(Part::lengthMm).sum();
        return OptionalDouble.of(before + parts.get(index).lengthMm() / 2);
    }
}
