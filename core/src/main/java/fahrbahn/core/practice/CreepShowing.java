package fahrbahn.core.practice;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.check.Check;
import fahrbahn.core.path.Pose;
import fahrbahn.core.setup.Drive;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.setup.SpeedCurve;
import java.math.BigDecimal;
import java.math.MathContext;
import java.util.ArrayList;
import java.util.List;

/**
 * Raises its command step by step from nothing until it rolls, and lowers it again until it stands; its display shows the command. Within
 * a step its speed follows the command with the lag of the wheels.
 */
public final class CreepShowing implements Showing {
    /** How long each command stands, s: long enough to see whether it rolls. */
    private static final double STEP_S = 0.8;

    /** How many steps it goes on rising once it rolls. */
    private static final int BEYOND = 2;

    private static final int MOST_STEPS = 400;

    private static final MathContext SIX_DIGITS = new MathContext(6);

    private final double lagS;
    private final List<Stage> stages = new ArrayList<>();

    /** One command: where it is and how fast when the command begins, and what speed it goes to. */
    private record Stage(double command, double fromMm, double fromMmPerS, double goalMmPerS) {
        double placeMm(double s, double lagS) {
            double carried = lagS == 0 ? 0 : lagS * (1 - Math.exp(-s / lagS));
            return fromMm + goalMmPerS * s + (fromMmPerS - goalMmPerS) * carried;
        }
    }

    /** @param step of the command, above 0; small enough that it takes no more than some hundred steps to start */
    public CreepShowing(Setup real, double step) {
        Check.positive("in steps of", step);
        Drive drive = real.robot().drive();
        lagS = drive.lagS();
        SpeedCurve curve = drive.traits().curve();
        int up = (int) Math.floor(curve.startsAboveCommand() / step) + 1 + BEYOND;
        if (up > MOST_STEPS) {
            throw new BadValueException("in steps of", step, "at least a hundredth of the max motor value");
        }
        double place = 0;
        double speed = 0;
        for (int k = 1; k <= 2 * up; k++) {
            double command = Math.min(drive.fullCommand(), step * (k <= up ? k : 2 * up - k));
            boolean turns = speed > 0
                    ? command >= curve.holdsDownToCommand() && command > 0
                    : command > curve.startsAboveCommand();
            double goal = turns ? drive.speedMmPerS(command) : 0;
            Stage stage = new Stage(command, place, speed, goal);
            stages.add(stage);
            place = stage.placeMm(STEP_S, lagS);
            speed = goal; // five lags and more: it has settled
        }
    }

    private Stage stage(double tS) {
        return stages.get((int) Math.min(stages.size() - 1, Math.max(0, tS) / STEP_S));
    }

    @Override
    public Pose at(double tS) {
        double within = Math.min(tS, endS()) - STEP_S * stages.indexOf(stage(tS));
        return new Pose(stage(tS).placeMm(within, lagS), 0, 0);
    }

    @Override
    public double endS() {
        return STEP_S * stages.size();
    }

    @Override
    public String reading(double tS) {
        double command = stage(tS).command();
        return "command "
                + new BigDecimal(command).round(SIX_DIGITS).stripTrailingZeros().toPlainString();
    }
}
