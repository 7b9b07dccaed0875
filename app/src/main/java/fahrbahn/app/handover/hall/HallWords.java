package fahrbahn.app.handover.hall;

import fahrbahn.app.state.Value;
import fahrbahn.core.hall.HallAdvice;
import fahrbahn.core.hall.HallAdvice.Offer;
import fahrbahn.core.hall.HallStep;
import fahrbahn.core.quality.Finding;
import fahrbahn.core.review.TwoOnOneTable;
import fahrbahn.words.FindingWords;
import fahrbahn.words.Words;
import java.util.Locale;
import java.util.Optional;

/** What is said in a new hall. */
final class HallWords {
    static final String NOT_BEGUN = "Type the minutes you have, then press B.";
    static final String CAPTURE_FIRST = "Capture light and dark here first (L, D).";
    static final String NO_TABLE = "No table to try the numbers on: add one in Table (2).";

    static final String CAUTION =
            "Fingers and hair off the wheels, a hand at the table's edge; motors off while you measure. The venue's rules come first.";

    private HallWords() {}

    static String name(HallStep step) {
        return switch (step) {
            case LIGHT -> "light captured";
            case DARK -> "dark captured";
            case MARKS -> "marks captured";
            case TYPE -> "numbers typed";
            case SIGN -> "steering direction checked";
            case SLOW -> "slow run";
            case REAL -> "full-speed run";
            case SPARE -> "spare run";
        };
    }

    private static String todo(HallStep step) {
        return switch (step) {
            case LIGHT -> "Hold all sensors over light: press L";
            case DARK -> "Hold all sensors over dark: press D";
            case MARKS -> "Hold all sensors over a mark: press M";
            case TYPE -> "Type the numbers below into the robot, then press T";
            case SIGN -> "Wheels up over the line: does it turn the right way? Press G";
            case SLOW -> "One slow run: R finished, X lost";
            case REAL -> "One full-speed run: R finished, X lost";
            case SPARE -> "A spare run: R finished, X lost";
        };
    }

    /** Minutes and seconds, counted down; past the start with a minus. */
    static String clock(double leftS) {
        if (Double.isNaN(leftS)) {
            return "";
        }
        long whole = (long) Math.ceil(Math.abs(leftS));
        return String.format(Locale.ROOT, "%s%d:%02d", leftS < 0 ? "-" : "", whole / 60, whole % 60);
    }

    private static String seconds(double s) {
        return Math.round(s) + " s";
    }

    static final String STILL_OLD = "Old numbers: capture light and dark here first.";

    /** Light and dark that are no two surfaces. */
    static String alike(Finding finding) {
        return "Light and dark are the same here: was the robot moved? Hold it over light, L, then dark, D. "
                + FindingWords.of(finding);
    }

    /** The step that pays most now, and why. */
    static String next(Optional<HallAdvice> advice, double leftS) {
        if (advice.isEmpty()) {
            return "Type the minutes you have, then press B.";
        }
        if (leftS <= 0) {
            return "Time is up: start with what is on the robot.";
        }
        return advice.get()
                .next()
                .map(offer -> todo(offer.step()) + ".")
                .orElse("Nothing else fits: clean the wheels, place the robot, breathe.");
    }

    static String why(Optional<HallAdvice> advice, Value<TwoOnOneTable> worth) {
        if (worth instanceof Value.Ready<TwoOnOneTable> ready) {
            TwoOnOneTable both = ready.value();
            return "With the old numbers it finishes "
                    + Words.percent(both.chance().b()) + " of " + both.chance().pairs() + " runs on " + both.table()
                    + ", with the new ones "
                    + Words.percent(both.chance().a()) + ".";
        }
        if (worth instanceof Value.Computing) {
            return "Simulating both sets of numbers.";
        }
        return advice.flatMap(HallAdvice::next)
                .map(offer -> "It takes " + seconds(offer.takesS())
                        + (offer.takesS() > offer.step().usualS()
                                        && !offer.step().isRun()
                                ? " with what must follow"
                                : "")
                        + " and saves about " + Math.round(100 * offer.worth()) + " starts in 100.")
                .orElse("");
    }

    /** A step in the list. */
    static String line(HallStep step, boolean done, Optional<HallAdvice> advice) {
        if (done) {
            return "done";
        }
        Optional<Offer> offer = advice.stream()
                .flatMap(a -> a.offers().stream())
                .filter(o -> o.step() == step)
                .findFirst();
        return offer.map(o -> o.fits() ? seconds(o.takesS()) : "no time left for it")
                .orElse("");
    }
}
