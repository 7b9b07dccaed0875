package fahrbahn.app.gains.response;

import fahrbahn.core.setup.Law;
import fahrbahn.core.tuning.IntegralTrade;
import fahrbahn.core.tuning.PointResponse;
import fahrbahn.words.Words;
import java.util.List;

/** A point's answers in a sentence. */
final class ResponseWords {
    static final String ASKED = "The twin is set down beside its path, and sent into the tightest bend.";

    /** Nearer to its path than this nobody sees. */
    private static final double LITTLE_MM = 1;

    private static final double SAME = 0.98;

    static final String INTEGRAL = "How far beside its path it rides in the bend and with a wheel "
            + Words.percent(IntegralTrade.UNEVEN_SHARE)
            + " quicker than the other, how far it swings beyond it after the bend, and at how many times its gains it wiggles."
            + " Steering needs an error to live on; the sum of the errors takes that over, and goes on for a while when the bend ends.";

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

    /** What the first Ki buys and costs that halves how far beside its path the robot rides in the bend. */
    static String integral(ResponseModel.Answer answer) {
        List<IntegralTrade.Row> rows = answer.integral();
        double periodS = answer.setup().robot().loop().periodS();
        IntegralTrade.Row none = rows.get(0);
        if (Double.isNaN(none.bendMm())) {
            return "Without Ki it does not come round the bend: Kp first.";
        }
        if (none.bendMm() < LITTLE_MM) {
            return "Without Ki it rides within " + Words.number(none.bendMm(), 2)
                    + " mm of its path in the bend: leave it at 0.";
        }
        return rows.stream()
                .filter(row -> row.bendMm() <= none.bendMm() / 2 && row.margin() > 1)
                .findFirst()
                .map(row -> "Ki " + Words.number(row.ki()) + " per loop, " + Words.number(row.ki() / periodS)
                        + " per second, buys " + Words.number(none.bendMm() - row.bendMm(), 2) + " of "
                        + Words.number(none.bendMm(), 2) + " mm beside its path in the bend. It costs a swing of "
                        + mm(row.swingMm()) + " mm beyond its path where the bend ends, against " + mm(none.swingMm())
                        + ", and " + room(none, row) + ".")
                .orElse("No Ki halves the " + Words.number(none.bendMm(), 2)
                        + " mm beside its path in the bend before it wiggles.");
    }

    private static String room(IntegralTrade.Row none, IntegralTrade.Row row) {
        return row.margin() > SAME * none.margin()
                ? "next to nothing of the room before it wiggles"
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
                ? "it does not come to rest within 1.2 m" + beyond
                : "it is back within a tenth after " + Words.number(r.settlesS(), 2) + " s" + beyond;
    }
}
