package fahrbahn.core.knowledge;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.setup.Setup;
import java.util.List;
import java.util.random.RandomGenerator;

/**
 * A robot as it may truly be when no more than guesses are known: each constant a share off its guess that is usual for such guesses
 * ({@link Constant#guessShare}). For robots that are not there: what a coach measures of them is then something to be found out.
 */
public final class HiddenRobot {
    /** Where the guess is of nothing, as a share of full command. */
    private static final double USUAL_DEAD_ZONE = 0.06;

    /** Standard deviation of how much faster one wheel is than the other. */
    private static final double USUAL_MISMATCH = 0.005;

    private static final List<Constant> HIDDEN = List.of(
            Constant.FREE_SPEED,
            Constant.TRACK_WIDTH,
            Constant.DEAD_ZONE,
            Constant.LAG,
            Constant.LOOP_TIME,
            Constant.SPOT);

    /** Drawn last: whoever is known by a seed stays who it was but for these. */
    private static final List<Constant> OF_THE_CURVE = List.of(Constant.SAG, Constant.BREAKAWAY, Constant.HOLDING);

    /** Where nobody has looked: a wheel starts, and stops, at so many times the command at which its speed would be nothing. */
    private static final double USUAL_BREAKAWAY = 1.4;

    private static final double USUAL_HOLDING = 1.15;

    /** How much those differ from robot to robot, two standard deviations. */
    private static final double THRESHOLDS_DIFFER = 0.1;

    private HiddenRobot() {}

    /** The setup with its constants moved. A guess's share is taken for two standard deviations, and no constant moves further. */
    public static Setup of(Setup guess, RandomGenerator random) {
        Setup hidden = guess;
        for (Constant constant : HIDDEN) {
            double off = constant.guessShare() * usual(random);
            double guessed = constant.of(guess);
            if (constant == Constant.DEAD_ZONE && guessed == 0) {
                guessed = USUAL_DEAD_ZONE * guess.robot().drive().fullCommand();
            }
            hidden = moved(hidden, constant, guessed * (1 + off));
        }
        double mismatch = USUAL_MISMATCH * Math.max(-2, Math.min(2, random.nextGaussian()));
        hidden = hidden.withDrive(hidden.robot()
                .drive()
                .withTraits(hidden.robot().drive().traits().withMismatchShare(mismatch)));
        for (Constant constant : OF_THE_CURVE) {
            hidden = moved(hidden, constant, curved(guess, hidden, constant, usual(random)));
        }
        return hidden;
    }

    private static double usual(RandomGenerator random) {
        return Math.max(-1, Math.min(1, random.nextGaussian() / 2));
    }

    /** @param off from -1 to 1 */
    private static double curved(Setup guess, Setup hidden, Constant constant, double off) {
        double guessed = constant.of(guess);
        double deadZone = Constant.DEAD_ZONE.of(hidden);
        return switch (constant) {
            case BREAKAWAY -> (guessed > 0 ? guessed : USUAL_BREAKAWAY * deadZone) * (1 + THRESHOLDS_DIFFER * off);
            case HOLDING -> (guessed > 0 ? guessed : USUAL_HOLDING * deadZone) * (1 + THRESHOLDS_DIFFER * off);
            default -> guessed + constant.guessedWithin(guess) * off;
        };
    }

    /** A setup whose drive and loop are another's, its program and its sensors its own. */
    public static Setup driveOf(Setup hidden, Setup setup) {
        Setup told = setup;
        for (Constant constant : HIDDEN) {
            if (constant != Constant.SPOT) {
                told = moved(told, constant, constant.of(hidden));
            }
        }
        for (Constant constant : OF_THE_CURVE) {
            told = moved(told, constant, constant.of(hidden));
        }
        return told;
    }

    /** At a limit of what a robot may be it stays as guessed. */
    private static Setup moved(Setup setup, Constant constant, double value) {
        try {
            return constant.with(setup, value);
        } catch (BadValueException limit) {
            return setup;
        }
    }
}
