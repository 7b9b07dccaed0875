package fahrbahn.app.robot.bench;

import fahrbahn.core.measuring.Measured;
import fahrbahn.core.measuring.RollFit;
import fahrbahn.words.Words;
import java.util.List;

/** What bench cards say of the numbers typed on them. */
final class BenchWords {
    private BenchWords() {}

    /** Whether it rolls straight, as a sentence after another. */
    static String straight(Measured mismatchShare) {
        return Math.abs(mismatchShare.value()) <= mismatchShare.plusMinus()
                ? " No drift found."
                : " It drifts: the " + (mismatchShare.value() > 0 ? "right" : "left") + " wheel is "
                        + Words.percent(Math.abs(mismatchShare.value())) + " faster.";
    }

    /** What one row of numbers says, in words. */
    static String row(BenchCard card, List<Double> row) {
        StringBuilder words = new StringBuilder();
        for (int k = 0; k < row.size(); k++) {
            String named = k < card.fields().size() ? card.fields().get(k).words() + ' ' : "";
            String number = Double.isNaN(row.get(k)) ? "not measured" : Words.exact(row.get(k));
            words.append(k == 0 ? "" : ",  ").append(named).append(number);
        }
        return words.toString();
    }

    static String sags(RollFit fit) {
        if (fit.sagShare().isEmpty()) {
            return fit.perCommand().size() == 2
                    ? " Speed loss not measurable yet: roll at a third power."
                    : " Speed loss not measurable yet: roll at powers further apart, one at max.";
        }
        Measured sag = fit.sagShare().get();
        boolean straight = Math.abs(sag.value()) <= sag.plusMinus();
        return " Speed loss " + with(sag.through(share -> 100 * share)) + " %: "
                + (straight
                        ? "none found."
                        : "at max power a little more adds so much " + (sag.value() > 0 ? "less" : "more")
                                + " than on average.");
    }

    static String with(Measured measured) {
        return Words.number(measured.value()) + " \u00b1 " + Words.number(measured.plusMinus(), 2);
    }
}
