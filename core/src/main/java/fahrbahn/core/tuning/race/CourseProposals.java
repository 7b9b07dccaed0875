package fahrbahn.core.tuning.race;

import fahrbahn.core.check.Rounding;
import fahrbahn.core.law.UsualLaws;
import fahrbahn.core.loop.GainAdvice;
import fahrbahn.core.loop.GainAdvisor;
import fahrbahn.core.setup.Drive;
import fahrbahn.core.setup.Setup;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.function.BiFunction;

/**
 * Speeds and gains worth driving on a course. Neither rests on the speed or the gains that are set: two coaches with the same robot get the same.
 */
public final class CourseProposals {
    private static final int STEPS_PER_RATIO = 3;

    /** From one speed to the next below it. */
    public static final double SPEED_RATIO = 1.25;

    /** Of full command: slower is no speed to drive a course at. */
    private static final double SLOWEST_SHARE = 0.06;

    /** Over the command at which the wheels begin to turn. */
    private static final double ROLLS = 1.05;

    /**
     * Beside what loop theory proposes: on corners and gaps it knows little of what holds. As shares of the Kp that steers by twice the base
     * command at full error, which stops or turns back the inner wheel.
     */
    private static final double[] WIDE_KP = {0.15, 0.3, 0.6, 1.2, 2.4, 5, 10, 20};

    private static final double[] WIDE_KD_PER_KP = {0, 1, 3, 8, 20};

    /** Where the wide ones leave a course hardly finished, there may be a narrow island of gains between them. */
    private static final double FINE_KP_STEP = 1.4;

    private static final int FINE_KPS = 19;
    private static final double FINE_LEAST_KP = 0.1;
    private static final double[] FINE_KD_PER_KP = {0, 0.5, 1, 2, 4, 8, 15, 30};
    private static final int DIGITS = 3;

    private final Setup setup;
    private final BiFunction<Double, Double, GainAdvice> judging;

    /**
     * Gains for one speed.
     *
     * @param strain how loop theory ranks them
     */
    public record Gains(double kp, double kd, Strain strain) {}

    /** What loop theory says of gains at a speed. It ranks them; what becomes of them on the course decides. */
    public enum Strain {
        /** All margins are kept. */
        NONE,
        /** Stable on a straight line, and shaking by no more than three times what it should. */
        SOME,
        MUCH;

        static Strain of(GainAdvice advice) {
            if (advice.keepsMargins()) {
                return NONE;
            }
            return advice.gainMargin() > 1 && advice.shake() <= MOST_SHAKE ? SOME : MUCH;
        }
    }

    /** Of the full command: one standard deviation of the steering from sensor noise alone. */
    private static final double MOST_SHAKE = 0.15;

    /** Base commands from full down to where the wheels hardly turn. */
    public static List<Double> bases(Setup setup) {
        Drive drive = setup.robot().drive();
        double full = drive.fullCommand();
        double least =
                Math.max(SLOWEST_SHARE * full, ROLLS * drive.traits().curve().startsAboveCommand());
        List<Double> bases = new ArrayList<>();
        for (double base = full; base > least; base /= SPEED_RATIO) {
            bases.add(Rounding.significant(base, DIGITS));
        }
        return bases;
    }

    /** At one speed. */
    static CourseProposals at(Setup setup, double base) {
        return new CourseProposals(setup.withLaw(setup.law().withBaseCommand(base)));
    }

    private CourseProposals(Setup setup) {
        this.setup = setup;
        this.judging = GainAdvisor.judging(setup);
    }

    /** Gains by loop theory, and as many spread wide. */
    List<Gains> all() {
        Set<Gains> all = new LinkedHashSet<>();
        GainAdvisor.proposals(setup, STEPS_PER_RATIO).forEach(p -> all.add(gains(p.kp(), p.kd())));
        double unit = unit();
        for (double times : WIDE_KP) {
            for (double ratio : WIDE_KD_PER_KP) {
                all.add(gains(times * unit, ratio * times * unit));
            }
        }
        return List.copyOf(all);
    }

    /** Many more, close enough to each other that an island a step wide is met. */
    List<Gains> fine() {
        List<Gains> all = new ArrayList<>();
        double kp = FINE_LEAST_KP * unit();
        for (int i = 0; i < FINE_KPS; i++) {
            for (double ratio : FINE_KD_PER_KP) {
                all.add(gains(kp, ratio * kp));
            }
            kp *= FINE_KP_STEP;
        }
        return List.copyOf(all);
    }

    private double unit() {
        return 2 * setup.law().baseCommand() / UsualLaws.top(setup);
    }

    /** As a coach types them. */
    Gains gains(double kp, double kd) {
        GainAdvice judged = judging.apply(kp, kd);
        return new Gains(judged.kp(), judged.kd(), Strain.of(judged));
    }
}
