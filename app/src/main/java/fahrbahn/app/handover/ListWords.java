package fahrbahn.app.handover;

import fahrbahn.core.hall.Checklist;
import fahrbahn.core.hall.Checklist.Item;
import fahrbahn.core.hall.Checklist.Occasion;
import fahrbahn.words.Words;
import java.util.List;

/** What stands on lists to tick off, and what is said of them. */
final class ListWords {
    private ListWords() {}

    static String title(Occasion occasion) {
        return switch (occasion) {
            case PACK -> "packing";
            case ARRIVE -> "arriving";
            case BEFORE_RUN -> "before a run";
            case AFTER_RUN -> "after a run";
        };
    }

    static List<String> proposed(Occasion occasion) {
        return switch (occasion) {
            case PACK ->
                List.of(
                        "robots, attachments and spare wheels",
                        "batteries charged, one spare a robot, in a fireproof bag",
                        "charger and its cable",
                        "laptop with this season, and its charger",
                        "pit cards on paper",
                        "cloth for wheels, tape, a rule, a pencil");
            case ARRIVE ->
                List.of(
                        "the venue's rules read: where to charge, where to test",
                        "light and dark captured here (New hall)",
                        "numbers typed, and read back from the robot",
                        "sign checked by hand",
                        "one slow run");
            case BEFORE_RUN ->
                List.of(
                        "battery above the volts of the last good run",
                        "wheels cleaned",
                        "the right program chosen",
                        "set down at the start as practised",
                        "hair, sleeves and fingers away from wheels and arms");
            case AFTER_RUN ->
                List.of(
                        "run logged: R or X",
                        "volts noted",
                        "what was seen said",
                        "battery swapped when low, the other charging in sight");
        };
    }

    static String caution(Occasion occasion) {
        return switch (occasion) {
            case PACK, AFTER_RUN ->
                "Lithium packs travel in a fireproof bag and are charged in sight; a swollen one goes nowhere but to the collecting point.";
            case ARRIVE -> "Motors off while you measure. The venue's rules and local codes come first.";
            case BEFORE_RUN ->
                "Fingers, hair and sleeves away from wheels, gears and arms; a hand ready at the table's edge.";
        };
    }

    static String state(Checklist list) {
        int left = list.left();
        return left == 0 ? "All done." : Words.count(left, "thing is", "things are") + " left.";
    }

    static String forgotten(Item item) {
        return item.forgotten() == 0 ? "" : "forgotten " + Words.count(item.forgotten(), "time", "times");
    }
}
