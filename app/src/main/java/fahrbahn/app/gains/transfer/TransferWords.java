package fahrbahn.app.gains.transfer;

import fahrbahn.core.loop.GainTransfer;
import fahrbahn.core.setup.Law;
import fahrbahn.core.tuning.Carried;
import fahrbahn.words.ChanceWords;
import fahrbahn.words.Words;

/** Gains carried over, with the sums. */
final class TransferWords {
    static final String TRYING = "Simulating the gains on the changed robot.";

    private TransferWords() {}

    static String verdict(TransferModel.Answer answer) {
        if (answer.sameRobot()) {
            return "Type what changes on the robot; the new gains show here.";
        }
        Carried carried = answer.carried();
        Carried.Way best = carried.best();
        if (best.chance().completed() == 0) {
            return "No transferred gains finish the test bend: find new ones on page Lane.";
        }
        String how = best.equals(carried.unchanged())
                ? "leave the gains unchanged"
                : "take " + gains(best.law()) + ", "
                        + (best.equals(carried.sameSteering())
                                ? "same steering per mm"
                                : "same distance to the wiggle limit");
        return "For the changed robot " + how + ": " + ChanceWords.of(best.chance(), ChanceWords.testBend(answer.to()))
                + ", against " + carried.unchanged().chance().completed()
                + " with the gains unchanged. U: use both.";
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
                .map(way -> "Same share of the wiggle limit: with this damping the limit is Kp "
                        + Words.number(is.wiggleKp().orElseThrow()) + " instead of "
                        + Words.number(was.wiggleKp().orElseThrow()) + ", so Kp " + Words.number(law.kp()) + " \u00d7 "
                        + ratio(is.wiggleKp().orElseThrow(), was.wiggleKp().orElseThrow()) + " = "
                        + Words.number(way.law().kp()) + "." + time(law, way.law(), was, is))
                .orElse("Same share of the wiggle limit: one of the two has no wiggle limit with this damping.");
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
