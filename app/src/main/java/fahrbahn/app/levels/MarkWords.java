package fahrbahn.app.levels;

import fahrbahn.app.words.Words;
import fahrbahn.core.levels.ChannelChoice;
import fahrbahn.core.marks.Confusions;
import fahrbahn.core.marks.MarkComparison;
import fahrbahn.core.marks.MarkSchool;
import fahrbahn.core.marks.MarkTiming;
import java.util.List;

/** Coloured marks in sentences. */
final class MarkWords {
    static final String NOTHING =
            "No colour sensor has been captured. In Measure (3) capture dark, light and the edge with it, then each mark: G names a surface.";

    private MarkWords() {}

    static String of(MarkSchool school) {
        return switch (school) {
            case SCALED_CENTRES -> "nearest mean, scaled channels";
            case CYLINDER_CENTRES -> "nearest mean, hue and saturation";
            case CONE_CENTRES -> "nearest mean, hue and chroma";
            case COVARIANCE -> "nearest by its own scatter";
            case BOX -> "a box round each mark";
            case ONE_CHANNEL -> "one channel, by levels";
            case ONE_SHARE -> "one channel's share, by levels";
        };
    }

    static String taken(String surface) {
        return surface.equals("none") ? "no mark" : surface;
    }

    static String recommended(String sensor, MarkComparison comparison) {
        MarkSchool school = comparison.recommended();
        Confusions of = comparison.of(school);
        String left = comparison.byCapture(school).isPresent() ? "whole captures" : "each reading";
        String more = comparison.byCapture(school).isPresent()
                ? ""
                : " One capture of each surface only: capture them again under other light, and it is known how that counts.";
        return "For " + sensor + " take " + of(school) + ": with " + left + " left out it misses or mixes up "
                + of.harmful() + " of " + of.of() + "." + more;
    }

    /** @param markMm over which a reading shows a usual turn mark */
    static String timing(MarkTiming timing, double markMm) {
        double missed = timing.missed(markMm);
        return Words.count(timing.reads(), "read", "reads") + " of " + Words.number(1000 * timing.periodS(), 3)
                + " ms at "
                + Words.number(timing.speedMmPerS()) + " mm/s need " + Words.millimetres(timing.needsMm())
                + " of mark. A usual turn mark shows over " + Words.millimetres(markMm) + ": "
                + (missed > 0
                        ? "missed in " + Words.percent(missed) + " of passes; "
                        : "never missed for want of reads; ")
                + "it fits up to " + Words.number(timing.fastestMmPerS(markMm)) + " mm/s.";
    }

    /** @param channels the best first */
    static String channel(List<ChannelChoice> channels) {
        if (channels.size() < 2) {
            return "";
        }
        ChannelChoice best = channels.get(0);
        ChannelChoice next = channels.get(1);
        return "For the line " + best.channel().word() + " tells best: separation " + Words.number(best.separation(), 2)
                + " \u00b1 "
                + Words.number(best.plusMinus(), 2) + ", " + next.channel().word() + " "
                + Words.number(next.separation(), 2)
                + (best.surelyBetterThan(next) ? "." : ": not surely better yet.");
    }
}
