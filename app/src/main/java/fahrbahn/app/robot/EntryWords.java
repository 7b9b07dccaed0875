package fahrbahn.app.robot;

import java.util.Map;

/** What is typed at the bench, a sentence each: what it is and where it is read. */
final class EntryWords {
    private static final Map<String, String> WHAT = Map.of(
            "command",
                    "The number its program gives both wheels for this entry; the same two or more times, or two different ones.",
            "distance, mm", "How far it rolled while the watch ran, along the ruler, from the first mark on.",
            "time, s", "How long it took; the stopwatch above fills it in, tapped with Space.",
            "aside, mm", "How far left of straight ahead it ended, by ruler; negative to the right.",
            "turns", "How many whole turns it made while the watch ran, counted by a mark on the table.",
            "loops", "The count that its program printed.",
            "in, s", "How long its program counted, by its own clock or the stopwatch.",
            "wiggles",
                    "How many whole wiggles, there and back, while the watch ran; tapped with Space, the watch counts them.",
            "place, mm", "Where on the ruler the sensors' middle is now, along the way it is slid.",
            "readings", "What the display shows at this place, one number for each sensor, from left to right.");

    private EntryWords() {}

    static String what(BenchCard.Field field) {
        return WHAT.get(field.words());
    }
}
