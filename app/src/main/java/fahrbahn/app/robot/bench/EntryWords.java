package fahrbahn.app.robot.bench;

import java.util.Map;

/** What is typed at the bench, a sentence each: what it is and where it is read. */
final class EntryWords {
    private static final Map<String, String> WHAT = Map.ofEntries(
            Map.entry("command", "Power of both wheels for this entry."),
            Map.entry("distance, mm", "How far it rolled while the stopwatch ran."),
            Map.entry("time, s", "Time; the stopwatch above fills it in (Space)."),
            Map.entry("drift, mm", "How far left of straight it ended, by ruler; negative to the right."),
            Map.entry("turns", "Whole turns while the stopwatch ran, by a mark on the table."),
            Map.entry("loops", "The count that its program printed."),
            Map.entry("in, s", "How long the program counted, by its own clock or the stopwatch."),
            Map.entry("wiggles", "Whole wiggles, there and back, while the stopwatch ran; Space counts them."),
            Map.entry("place, mm", "Where on the ruler the middle of the sensors is now."),
            Map.entry(
                    "readings",
                    "What the display shows at this place, one number for each sensor, from left to right."),
            Map.entry("in steps of", "Step by which the power is raised and lowered; small steps are more exact."),
            Map.entry("starts at", "First power at which it rolls, from zero up."),
            Map.entry("stops at", "First power at which it stands again, going down."));

    private EntryWords() {}

    static String what(BenchCard.Field field) {
        return WHAT.get(field.words());
    }
}
