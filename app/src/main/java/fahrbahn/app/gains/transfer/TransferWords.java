package fahrbahn.app.gains.transfer;

import fahrbahn.core.loop.GainTransfer;
import fahrbahn.core.setup.Law;
import fahrbahn.core.tuning.Carried;
import fahrbahn.words.ChanceWords;
import fahrbahn.words.Words;

/** Gains carried over, with the sums. */
final class TransferWords {
    static final String TRYING = "The twin tries the gains on the changed robot.";

    private TransferWords() {}

    static String verdict(TransferModel.Answer answer) {
        if (answer.sameRobot()) {
            return "The gains stand on the robot that they were chosen for. Type what is to change, and see here what they become.";
        }
        Carried carried = answer.carried();
        Carried.Way best = carried.best();
        if (best.chance().completed() == 0) {
            return "No way of carrying the gains over finishes a run of the test bend: page Lane looks for others.";
        }
        String how = best.equals(carried.unchanged())
                ? "leave the gains as they are"
                : "take " + gains(best.law()) + ", "
                        + (best.equals(carried.sameSteering())
                                ? "which steers as before for the same mm"
                                : "which stays as far below the wiggle as before");
        return "For the changed robot " + how + ": " + ChanceWords.of(best.chance(), ChanceWords.testBend(answer.to()))
                + ", against " + carried.unchanged().chance().completed()
                + " with the gains unchanged. U puts robot and gains so.";
    }

    private static String gains(Law law) {
        return "Kp " + Words.number(law.kp()) + (law.ki() > 0 ? ", Ki " + Words.number(law.ki()) : "") + ", Kd "
                + Words.number(law.kd());
    }

    /** The sum behind the same steering. */
    static String steering(TransferModel.Answer answer) {
        GainTransfer.Numbers was = answer.carried().transfer().from();
        GainTransfer.Numbers is = answer.carried().transfer().to();
        Law law = answer.from().law();
        Law carried = answer.carried().sameSteering().law();
        return "Same steering: Kp " + Words.number(law.kp()) + " \u00d7 " + ratio(was.slopePerMm(), is.slopePerMm())
                + " (error for each mm) \u00d7 " + ratio(was.turnRatePerCommand(), is.turnRatePerCommand())
                + " (rad/s for each unit of steering) = " + Words.number(carried.kp()) + "."
                + time(law, carried, was, is);
    }

    /** The sum behind the same share of the onset. */
    static String share(TransferModel.Answer answer) {
        GainTransfer.Numbers was = answer.carried().transfer().from();
        GainTransfer.Numbers is = answer.carried().transfer().to();
        Law law = answer.from().law();
        return answer.carried()
                .sameShare()
                .map(way -> "Same share of the wiggle: with this damping in time it wiggles from Kp "
                        + Words.number(is.wiggleKp().orElseThrow()) + " instead of "
                        + Words.number(was.wiggleKp().orElseThrow()) + ", so Kp " + Words.number(law.kp()) + " \u00d7 "
                        + ratio(is.wiggleKp().orElseThrow(), was.wiggleKp().orElseThrow()) + " = "
                        + Words.number(way.law().kp()) + "." + time(law, way.law(), was, is))
                .orElse(
                        "Same share of the wiggle: with this damping one of the two has no Kp at which it begins to wiggle.");
    }

    private static String time(Law law, Law carried, GainTransfer.Numbers was, GainTransfer.Numbers is) {
        if (law.kd() == 0 || carried.kp() == 0) {
            return "";
        }
        return " Kd for each Kp " + Words.number(law.kd() / law.kp()) + " \u00d7 "
                + ratio(1000 * was.periodS(), 1000 * is.periodS())
                + " (ms a loop) = " + Words.number(carried.kd() / carried.kp()) + ", so Kd "
                + Words.number(carried.kd()) + ".";
    }

    private static String ratio(double over, double under) {
        return Words.number(over) + "/" + Words.number(under);
    }
}
