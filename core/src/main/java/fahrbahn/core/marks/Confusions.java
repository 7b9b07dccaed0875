package fahrbahn.core.marks;

import fahrbahn.core.colour.ColourRule;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;

/**
 * What readings were taken for that were not known beforehand.
 *
 * @param of readings judged
 * @param taken how often a surface was taken as another
 */
public record Confusions(int of, Map<Pair, Integer> taken) {
    /** A surface and what it was taken as. */
    public record Pair(String was, String takenAs) {
        /** A program acts on marks: ground taken as other ground, or as nothing it knows, does nothing. */
        boolean harmless() {
            return MarkSample.ground(was) && (MarkSample.ground(takenAs) || takenAs.equals(ColourRule.NONE));
        }
    }

    public Confusions {
        taken = Collections.unmodifiableMap(new LinkedHashMap<>(taken));
    }

    public int misreads() {
        return taken.values().stream().mapToInt(n -> n).sum();
    }

    /** Those that matter to a robot: marks missed or mixed up, and ground taken as a mark. */
    public int harmful() {
        return taken.entrySet().stream()
                .filter(e -> !e.getKey().harmless())
                .mapToInt(Map.Entry::getValue)
                .sum();
    }
}
