package fahrbahn.core.tuning.race;

import fahrbahn.core.law.UsualLaws;
import fahrbahn.core.loop.BendFloor;
import fahrbahn.core.loop.GainAdvice;
import fahrbahn.core.loop.GainAdvisor;
import fahrbahn.core.loop.GainRay;
import fahrbahn.core.loop.LoopModel;
import fahrbahn.core.loop.SampledLoop;
import fahrbahn.core.loop.WiggleOnset;
import fahrbahn.core.setup.Setup;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What each school begins with.
 *
 * @param school whose gains
 * @param kp per loop
 * @param kd per loop
 * @param slip what a value far off the lane looks like
 */
public record StartingGains(School school, double kp, double kd, Slip slip) {
    /** Ziegler and Nichols, Trans. ASME 64, 1942: of the gain at the stability limit, with proportional control. */
    private static final double ZIEGLER_NICHOLS = 0.45;

    private static final double TIMES_KP = 2.5;

    /** So many times above the wiggle, or below what the bend needs, a gain has another decimal or another scale. */
    private static final double FAR_OFF = 8;

    /** The ways in which coaches begin. */
    public enum School {
        UNIT("Kp of one"),
        FULL_TURN("full turn for full error"),
        SHARE_OF_WIGGLE("0.45 of the wiggle limit"),
        LANE_MIDDLE("middle of the lane"),
        LANE_MIDDLE_KD_KP("the same, Kd as Kp"),
        LANE_MIDDLE_KD_TIMES("the same, Kd 2.5 times Kp"),
        MODEL("by loop theory");

        private final String word;

        School(String word) {
            this.word = word;
        }

        public String word() {
            return word;
        }
    }

    /** See {@link StartingGains}. */
    public enum Slip {
        NONE,
        /** Times too large: a slipped decimal, or a gain for a smaller scale. */
        TOO_LARGE,
        TOO_SMALL
    }

    /**
     * Those that there are for a setup: where no gain is stable, or the bend is too tight, those that rest on it are missing.
     *
     * @throws fahrbahn.core.check.BadValueException for a law without gains, or one that rides nowhere
     */
    public static List<StartingGains> of(Setup setup) {
        SampledLoop loop = new SampledLoop(LoopModel.of(setup));
        Optional<Double> onset = WiggleOnset.along(loop, GainRay.ratio(0)).map(WiggleOnset::kp);
        double floor = BendFloor.kp(setup);
        List<StartingGains> all = new ArrayList<>();
        all.add(judged(School.UNIT, 1, 0, onset, floor));
        double fullError = UsualLaws.top(setup) / 2;
        all.add(judged(School.FULL_TURN, setup.law().baseCommand() / fullError, 0, onset, floor));
        onset.ifPresent(kp -> all.add(judged(School.SHARE_OF_WIGGLE, ZIEGLER_NICHOLS * kp, 0, onset, floor)));
        if (onset.isPresent() && floor < onset.get()) {
            double middle = (floor + onset.get()) / 2;
            all.add(judged(School.LANE_MIDDLE, middle, 0, onset, floor));
            all.add(judged(School.LANE_MIDDLE_KD_KP, middle, middle, onset, floor));
            all.add(judged(School.LANE_MIDDLE_KD_TIMES, middle, TIMES_KP * middle, onset, floor));
        }
        Optional<GainAdvice> advice = GainAdvisor.advise(setup);
        advice.ifPresent(a -> all.add(judged(School.MODEL, a.kp(), a.kd(), onset, floor)));
        return List.copyOf(all);
    }

    private static StartingGains judged(School school, double kp, double kd, Optional<Double> onset, double floor) {
        boolean large = onset.isPresent() && kp > FAR_OFF * onset.get();
        boolean small = Double.isFinite(floor) && kp < floor / FAR_OFF;
        return new StartingGains(school, kp, kd, large ? Slip.TOO_LARGE : small ? Slip.TOO_SMALL : Slip.NONE);
    }
}
