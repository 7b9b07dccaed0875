package fahrbahn.app.handover.lists;

import fahrbahn.core.difference.Aspect;
import fahrbahn.core.hall.Checklist;
import fahrbahn.core.hall.Checklist.Item;
import fahrbahn.core.hall.Checklist.Occasion;
import fahrbahn.core.hall.Lapses;
import fahrbahn.core.hall.Lapses.Share;
import fahrbahn.words.Words;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;

/** What stands on lists to tick off, and what is said of them. */
final class ListWords {
    private static final String CAPTURED = "light and dark captured here (New venue)";
    private static final String CHARGED = "battery above the voltage of the last good run";
    private static final String SAME_WHEELS = "the wheels of the last good run";

    private ListWords() {}

    /** What has gone stale where that was not done; empty for things that the log book does not tell. */
    static Set<Aspect> told(String item) {
        return switch (item) {
            case CAPTURED -> EnumSet.of(Aspect.VENUE, Aspect.LAMP, Aspect.HEIGHT, Aspect.AGE, Aspect.CAPTURES);
            case CHARGED -> EnumSet.of(Aspect.BATTERY);
            case SAME_WHEELS -> EnumSet.of(Aspect.WHEELS);
            default -> Set.of();
        };
    }

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
                        CAPTURED,
                        "numbers typed and read back",
                        "steering direction checked",
                        "one slow run");
            case BEFORE_RUN ->
                List.of(
                        CHARGED,
                        "wheels cleaned",
                        SAME_WHEELS,
                        "the right program chosen",
                        "placed at the start as practised",
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
                "Carry LiPos in a fireproof bag and charge them where you can see them; never use a swollen pack.";
            case ARRIVE -> "Motors off while you measure. The venue's rules and local codes come first.";
            case BEFORE_RUN ->
                "Fingers, hair and sleeves away from wheels, gears and arms; a hand ready at the table's edge.";
        };
    }

    static String state(Checklist list) {
        int left = list.left();
        return left == 0 ? "All done." : Words.count(left, "thing is", "things are") + " left.";
    }

    /** Why it stands where it does: how often it was forgotten, and at how many runs it was not so. */
    static String learned(Item item, Share stale) {
        List<String> why = new ArrayList<>();
        if (item.forgotten() > 0) {
            why.add("forgotten " + Words.count(item.forgotten(), "time", "times"));
        }
        if (stale.runs() > 0) {
            why.add("not so at " + stale.runs() + " of " + Words.count(stale.runs() + stale.others(), "run", "runs"));
        }
        return String.join(", ", why);
    }

    /** What went stale over the season, and what became of those runs; the most frequent first. */
    static List<String> season(Lapses lapses, String robot) {
        List<String> lines = new ArrayList<>();
        for (Aspect aspect : Aspect.values()) {
            Share share = lapses.of(EnumSet.of(aspect));
            if (share.runs() > 0) {
                String others =
                        share.others() == 0 ? "" : ", " + share.othersLost() + " of the other " + share.others();
                lines.add(stale(aspect) + " at " + share.runs() + " of "
                        + Words.count(share.runs() + share.others(), "run", "runs") + " of " + robot + "; "
                        + share.lost() + " of them lost" + others + ".");
            }
        }
        return lines;
    }

    private static String stale(Aspect aspect) {
        return switch (aspect) {
            case VENUE -> "Dark and light were from another venue";
            case LAMP -> "Dark and light were from other lamps";
            case HEIGHT -> "Dark and light were from another sensor height";
            case AGE -> "Dark and light were half a day old or more";
            case CAPTURES -> "Dark and light had not been captured";
            case BATTERY -> "The battery was lower than in the last good run";
            case WHEELS -> "The wheels were not those of the last good run";
            default -> aspect.word() + " was another";
        };
    }
}
