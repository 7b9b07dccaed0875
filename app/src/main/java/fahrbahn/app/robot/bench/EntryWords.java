package fahrbahn.app.robot.bench;

import java.util.Map;

/** What is typed at the bench, a sentence each: what it is and where it is read. */
final class EntryWords {
    private static final Map<String, String> WHAT = Map.ofEntries(
            Map.entry(
                    "command",
                    "The number its program gives both wheels for this entry; the same two or more times, or two different ones."),
            Map.entry(
                    "distance, mm", "How far it rolled while the watch ran, along the ruler, from the first mark on."),
            Map.entry("time, s", "How long it took; the stopwatch above fills it in, tapped with Space."),
            Map.entry("aside, mm", "How far left of straight ahead it ended, by ruler; negative to the right."),
            Map.entry("turns", "How many whole turns it made while the watch ran, counted by a mark on the table."),
            Map.entry("loops", "The count that its program printed."),
            Map.entry("in, s", "How long its program counted, by its own clock or the stopwatch."),
            Map.entry(
                    "wiggles",
                    "How many whole wiggles, there and back, while the watch ran; tapped with Space, the watch counts them."),
            Map.entry("place, mm", "Where on the ruler the sensors' middle is now, along the way it is slid."),
            Map.entry(
                    "readings",
                    "What the display shows at this place, one number for each sensor, from left to right."),
            Map.entry("in steps of", "By how much the command is raised and lowered each time; small steps tell more."),
            Map.entry("starts at", "The first command at which it rolls, coming from nothing."),
            Map.entry("stops at", "The first command at which it stands again, coming from above."));

    private EntryWords() {}

    static String what(BenchCard.Field field) {
        return WHAT.get(field.words());
    }
}
