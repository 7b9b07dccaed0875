package fahrbahn.words;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.law.Program;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import java.util.List;

/** Which way a program must turn its robot when it is held over the line by hand, wheels up. */
public final class SignWords {
    private SignWords() {}

    /** @param held how it is held @param turns left, right, or neither way */
    public record Turn(String held, String turns) {}

    /** One for each sensor the law steers by, or light and dark where it steers by one; none for a robot that would ride nowhere. */
    public static List<Turn> turns(Setup setup) {
        try {
            Program program = new Program(setup);
            if (setup.law().signal().tracksEdge()) {
                Sensor sensor = setup.lawSensors().get(0);
                return List.of(
                        new Turn(sensor.name() + " on light", turned(setup, program, sensor, sensor.light())),
                        new Turn(sensor.name() + " on dark", turned(setup, program, sensor, sensor.dark())));
            }
            List<Sensor> row = setup.lawSensors();
            return row.stream()
                    .map(s -> new Turn(
                            s.name() + " alone on the line",
                            turned(setup, program, s, setup.line().polarity().line(s))))
                    .toList();
        } catch (BadValueException ridesNowhere) {
            return List.of();
        }
    }

    /** The same in a sentence, of the outermost sensors; empty for a robot that would ride nowhere. */
    public static String sentence(Setup setup) {
        List<Turn> turns = turns(setup);
        if (turns.isEmpty()) {
            return "";
        }
        Turn first = turns.get(0);
        Turn last = turns.get(turns.size() - 1);
        return "Wheels up: with " + first.held() + " it must turn " + first.turns() + ", with " + last.held() + " "
                + last.turns() + ".";
    }

    /** With all other sensors over ground. */
    private static String turned(Setup setup, Program program, Sensor one, double reading) {
        double[] readings = program.readings(s ->
                s.name().equals(one.name()) ? reading : setup.line().polarity().ground(s));
        program.reset();
        program.tick(readings, setup.robot().loop().periodS());
        double steering = program.steering();
        return steering > 0 ? "left" : steering < 0 ? "right" : "neither way";
    }
}
