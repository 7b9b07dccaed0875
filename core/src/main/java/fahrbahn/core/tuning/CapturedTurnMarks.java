package fahrbahn.core.tuning;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.colour.ColourScale;
import fahrbahn.core.marks.CapturedColours;
import fahrbahn.core.marks.MarkCaptures;
import fahrbahn.core.marks.MarkComparison;
import fahrbahn.core.marks.MarkSample;
import fahrbahn.core.readings.Capture;
import fahrbahn.core.setup.TurnMarks;
import java.util.List;
import java.util.Optional;

/** What a program does about turn marks, with its colours as they were captured; all else stays. */
public final class CapturedTurnMarks {
    private CapturedTurnMarks() {}

    /**
     * By the school that is recommended, from what was captured of the sensor that looks on the left, or else of the first that has colours.
     *
     * @throws BadValueException saying what is missing: colours, dark, light, or a mark
     */
    public static TurnMarks of(TurnMarks old, List<Capture> captures) {
        List<String> sensors = MarkCaptures.sensors(captures);
        if (sensors.isEmpty()) {
            throw new BadValueException(
                    "the captures", "no colours", "red, green and blue of a sensor over dark, light and a mark");
        }
        String sensor = sensors.contains(old.left().sensor()) ? old.left().sensor() : sensors.get(0);
        return of(old, MarkComparison.of(MarkCaptures.of(captures, sensor)), captures)
                .orElseThrow(() -> new BadValueException("the captures", "no mark", "one captured under these lamps"));
    }

    /** Empty where no mark is among them. @param comparison of one sensor's captures */
    public static Optional<TurnMarks> of(TurnMarks old, MarkComparison comparison, List<Capture> captures) {
        return surface(old, comparison)
                .map(surface -> new TurnMarks(
                        scaled(old.left(), comparison, captures),
                        scaled(old.right(), comparison, captures),
                        comparison.reader(comparison.recommended()).rule(),
                        surface,
                        old.reads(),
                        old.lookBack(),
                        old.blank(),
                        old.place(),
                        old.turn()));
    }

    /** The one it looks for, the one called mark, or else the first that is no ground. */
    private static Optional<String> surface(TurnMarks old, MarkComparison comparison) {
        List<String> marks = comparison.seen().keySet().stream()
                .filter(s -> !MarkSample.ground(s))
                .toList();
        return List.of(old.mark(), UsualTurnMarks.MARK).stream()
                .filter(marks::contains)
                .findFirst()
                .or(() -> marks.stream().findFirst());
    }

    /** By a sensor's own dark and light where it captured them, else by those of the sensor that was compared. */
    private static TurnMarks.Looker scaled(TurnMarks.Looker looker, MarkComparison comparison, List<Capture> captures) {
        ColourScale scale = comparison.scale();
        try {
            scale = new CapturedColours(MarkCaptures.of(captures, looker.sensor())).scale();
        } catch (BadValueException notCaptured) {
            // The other sensor's will do.
        }
        return new TurnMarks.Looker(looker.sensor(), scale);
    }
}
