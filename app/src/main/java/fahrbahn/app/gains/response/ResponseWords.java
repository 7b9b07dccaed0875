package fahrbahn.app.gains.response;

import fahrbahn.core.setup.Law;
import fahrbahn.core.tuning.IntegralTrade;
import fahrbahn.core.tuning.PointResponse;
import fahrbahn.words.Words;
import java.util.List;

/** A point's answers in a sentence. */
final class ResponseWords {
    static final String ASKED = "Simulating a step beside the line and the tightest bend.";

    /** Nearer to its path than this nobody sees. */
    private static final double LITTLE_MM = 1;

    private static final double SAME = 0.98;

    static final String INTEGRAL = "Offset in the bend and with one wheel "
            + Words.percent(IntegralTrade.UNEVEN_SHARE)
            + " faster, overshoot after the bend, and how many times these gains wiggle."
            + " Ki takes away the steady offset, and overshoots when the bend ends.";

    private ResponseWords() {}

    static String of(ResponseModel.Answer answer) {
        Law law = answer.setup().law();
        PointResponse r = answer.response();
        return "Kp " + Words.number(law.kp(), 3) + ", Kd " + Words.number(law.kd(), 3) + ": from "
                + Words.number(r.stepMm(), 2) + " mm off the line " + step(r) + " In the "
                + Words.millimetres(answer.setup().line().tightestRadiusMm()) + " bend it "
                + (r.round() ? "is off by " + Words.number(r.strayMm(), 2) + " mm at most." : "is lost.");
    }

    /** What the first Ki buys and costs that halves how far beside its path the robot rides in the bend. */
    static String integral(ResponseModel.Answer answer) {
        List<IntegralTrade.Row> rows = answer.integral();
        double periodS = answer.setup().robot().loop().periodS();
        IntegralTrade.Row none = rows.get(0);
        if (Double.isNaN(none.bendMm())) {
            return "It does not hold the bend: raise Kp first.";
        }
        if (none.bendMm() < LITTLE_MM) {
            return "Offset in the bend without Ki only " + Words.number(none.bendMm(), 2) + " mm: leave Ki at 0.";
        }
        return rows.stream()
                .filter(row -> row.bendMm() <= none.bendMm() / 2 && row.margin() > 1)
                .findFirst()
                .map(row -> "Ki " + Words.number(row.ki()) + " per loop, " + Words.number(row.ki() / periodS)
                        + " per second, removes " + Words.number(none.bendMm() - row.bendMm(), 2) + " of "
                        + Words.number(none.bendMm(), 2) + " mm of offset in the bend; it overshoots by "
                        + mm(row.swingMm()) + " mm after the bend instead of " + mm(none.swingMm())
                        + ", and " + room(none, row) + ".")
                .orElse("No Ki halves the " + Words.number(none.bendMm(), 2)
                        + " mm of offset in the bend without wiggling.");
    }

    private static String room(IntegralTrade.Row none, IntegralTrade.Row row) {
        return row.margin() > SAME * none.margin()
                ? "hardly affects the wiggle limit"
                : "it wiggles at " + margin(row) + ", not at " + Words.number(none.margin());
    }

    static String mm(double value) {
        return Double.isNaN(value) ? "lost" : Words.number(Math.round(value * 100) / 100.0, 2);
    }

    static String margin(IntegralTrade.Row row) {
        return row.margin() == 0 ? "as it is" : Words.number(row.margin(), 3) + " times these gains";
    }

    private static String step(PointResponse r) {
        if (!r.stays()) {
            return "it is lost on a straight.";
        }
        String beyond = ", swinging " + Words.percent(r.overshootShare()) + " of that beyond.";
        return Double.isNaN(r.settlesS())
                ? "it does not settle within 1.2 m" + beyond
                : "it is back to 10 % after " + Words.number(r.settlesS(), 2) + " s" + beyond;
    }
}
