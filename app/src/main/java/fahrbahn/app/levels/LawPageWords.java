package fahrbahn.app.levels;

import fahrbahn.app.words.Words;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.law.Program;
import fahrbahn.core.setup.Law;
import fahrbahn.core.setup.Options.LostLine;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.tuning.LawTrial;
import fahrbahn.core.twin.RunResult;
import java.util.List;

/** Laws and what they do in sentences. */
final class LawPageWords {
    private LawPageWords() {}

    static String lost(LostLine.Action action) {
        return switch (action) {
            case NONE -> "goes on with its law";
            case STRAIGHT -> "goes straight on";
            case LAST_SIDE -> "turns to where it was";
            case BY_LOSS -> "goes by how it was lost";
        };
    }

    /** What the ends of the table are. */
    static String code(String bits) {
        return bits.indexOf('0') < 0 ? ", crossing" : bits.indexOf('1') < 0 ? ", gap or end" : "";
    }

    static String trial(LawModel.Picture picture) {
        if (picture.trial().isEmpty()) {
            return picture.problem();
        }
        LawTrial trial = picture.trial().get();
        String radius = Words.millimetres(picture.setup().line().tightestRadiusMm());
        String bend = trial.comesRound()
                ? "Comes round its " + radius + " bend both ways, "
                        + Words.number(
                                Math.max(trial.left().rmsMm(), trial.right().rmsMm()), 2) + " mm RMS."
                : "Does not come round its " + radius + " bend: " + way("left", trial.left()) + ", "
                        + way("right", trial.right()) + ".";
        String gap = trial.longestGapMm() == 0
                ? " It crosses no gap of 20 mm."
                : " It crosses gaps up to " + Words.millimetres(trial.longestGapMm())
                        + (trial.longestGapMm() >= LawTrial.mostGapMm() ? " and more." : ".");
        return bend + gap;
    }

    private static String way(String side, RunResult result) {
        return side + " "
                + (result.completed() ? "held" : result.end().word() + " after " + Words.millimetres(result.sMm()));
    }

    /** What to look for when it is held over the line by hand. */
    static String sign(Setup setup) {
        try {
            Program program = new Program(setup);
            double period = setup.robot().loop().periodS();
            if (setup.law().kind() == Law.Kind.EDGE) {
                Sensor sensor = setup.lawSensors().get(0);
                return "By hand, wheels up: on light it must turn "
                        + turned(program, ground(setup, program, sensor.name(), sensor.light()), period) + ", on dark "
                        + turned(program, ground(setup, program, sensor.name(), sensor.dark()), period) + ".";
            }
            List<Sensor> row = setup.lawSensors();
            Sensor left = row.get(0);
            Sensor right = row.get(row.size() - 1);
            return "By hand, wheels up: with " + left.name() + " alone on the line it must turn "
                    + turned(
                            program,
                            ground(
                                    setup,
                                    program,
                                    left.name(),
                                    setup.line().polarity().line(left)),
                            period)
                    + ", with " + right.name() + " alone "
                    + turned(
                            program,
                            ground(
                                    setup,
                                    program,
                                    right.name(),
                                    setup.line().polarity().line(right)),
                            period)
                    + ".";
        } catch (BadValueException ridesNowhere) {
            return "";
        }
    }

    /** All sensors over ground but for one. */
    private static double[] ground(Setup setup, Program program, String one, double reading) {
        return program.readings(
                s -> s.name().equals(one) ? reading : setup.line().polarity().ground(s));
    }

    private static String turned(Program program, double[] readings, double periodS) {
        program.reset();
        program.tick(readings, periodS);
        double steering = program.steering();
        return steering > 0 ? "left" : steering < 0 ? "right" : "neither way";
    }
}
