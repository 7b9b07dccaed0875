package fahrbahn.core.knowledge;

import fahrbahn.core.readings.Conditions;
import fahrbahn.core.setup.Setup;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What a result rests on: every measured constant, level, chosen gain and run has one, and {@link Since} says what has changed after.
 *
 * @param at when the result came to be
 * @param setting the robot, line and law then; empty when nobody noted them
 * @param conditions venue, lamps, height, battery and wheels then
 * @param known how well each constant was known then: half the width of the interval it was believed to lie in
 * @param captures identifiers of the captures it was computed from
 * @param table the table it is about
 */
public record Basis(
        Instant at,
        Optional<Setting> setting,
        Conditions conditions,
        Map<Constant, Double> known,
        List<String> captures,
        TablePrint table) {
    public Basis {
        known = Map.copyOf(known);
        captures = List.copyOf(captures);
    }

    /** The same about circumstances alone. */
    public static Basis of(Instant at, Conditions conditions) {
        return new Basis(at, Optional.empty(), conditions, Map.of(), List.of(), TablePrint.UNKNOWN);
    }

    public Optional<Setup> setup() {
        return setting.map(Setting::setup);
    }

    public Basis withSetting(Setting newSetting) {
        return new Basis(at, Optional.of(newSetting), conditions, known, captures, table);
    }

    public Basis withConditions(Conditions newConditions) {
        return new Basis(at, setting, newConditions, known, captures, table);
    }

    public Basis withKnown(Map<Constant, Double> newKnown) {
        return new Basis(at, setting, conditions, newKnown, captures, table);
    }

    public Basis withCaptures(List<String> newCaptures) {
        return new Basis(at, setting, conditions, known, newCaptures, table);
    }

    public Basis withTable(TablePrint newTable) {
        return new Basis(at, setting, conditions, known, captures, newTable);
    }

    public Basis withAt(Instant newAt) {
        return new Basis(newAt, setting, conditions, known, captures, table);
    }
}
