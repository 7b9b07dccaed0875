package fahrbahn.app.gains;

import fahrbahn.app.words.Words;
import fahrbahn.core.setup.Law;
import fahrbahn.core.tuning.PointResponse;

/** A point's answers in a sentence. */
final class ResponseWords {
    static final String ASKED = "The twin is set down beside its path, and sent into the tightest bend.";

    private ResponseWords() {}

    static String of(ResponseModel.Answer answer) {
        Law law = answer.setup().law();
        PointResponse r = answer.response();
        return "Kp " + Words.number(law.kp(), 3) + ", Kd " + Words.number(law.kd(), 3) + ": from "
                + Words.number(r.stepMm(), 2) + " mm off its path " + step(r) + " Into the "
                + Words.millimetres(answer.setup().line().tightestRadiusMm()) + " bend it "
                + (r.round()
                        ? "strays " + Words.number(r.strayMm(), 2) + " mm at most."
                        : "goes and does not come round.")
                + " The map's point is shown where one was chosen.";
    }

    private static String step(PointResponse r) {
        if (!r.stays()) {
            return "it is lost on a straight.";
        }
        String beyond = ", swinging " + Words.percent(r.overshootShare()) + " of that beyond.";
        return Double.isNaN(r.settlesS())
                ? "it does not come to rest within 1.2 m" + beyond
                : "it is back within a tenth after " + Words.number(r.settlesS(), 2) + " s" + beyond;
    }
}
