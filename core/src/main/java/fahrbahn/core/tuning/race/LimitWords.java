package fahrbahn.core.tuning.race;

import fahrbahn.core.check.Text;
import fahrbahn.core.path.Part;

/** What limits a setting, in words that commands and the window share. */
public final class LimitWords {
    private LimitWords() {}

    /** In a sentence without its stop. */
    public static String of(CourseAdvice.Limits limits) {
        String lag = Text.of("lag: %.0f ms, of which the loop is %.0f", 1000 * limits.lagS(), 1000 * limits.loopS());
        if (limits.part().isPresent()) {
            return Text.of(
                    "%s at %.1f m, driven a fifth faster; %s",
                    part(limits.part().get()), limits.sMm() / 1000, lag);
        }
        return limits.full()
                ? "the drive: it has no more speed to give"
                : "nothing on this course, up to a fifth faster; " + lag;
    }

    private static String part(Part part) {
        if (part instanceof Part.Bend bend) {
            return Text.of("the %.0f mm bend", bend.radiusMm());
        }
        if (part instanceof Part.SwingOver swing) {
            return Text.of("the S of %.0f mm", swing.radiusMm());
        }
        if (part instanceof Part.RightAngle) {
            return "the corner";
        }
        if (part instanceof Part.Gap gap) {
            return Text.of("the gap of %.0f mm", gap.lengthMm());
        }
        if (part instanceof Part.Crossing) {
            return "the crossing";
        }
        if (part instanceof Part.Obstacle) {
            return "the straight with the obstacle";
        }
        return part instanceof Part.Bump
                ? "the bump"
                : part instanceof Part.Ramp
                        ? "the ramp"
                        : part instanceof Part.Crease
                                ? "the crease"
                                : part instanceof Part.EntryStrip
                                        ? "the shiny strip"
                                        : part instanceof Part.StopStrip ? "the stop strip" : "the straight";
    }
}
