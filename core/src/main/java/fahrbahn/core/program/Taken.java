package fahrbahn.core.program;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.setup.Law;
import fahrbahn.core.setup.ObstacleMove;
import fahrbahn.core.setup.Options;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * A setup with its program's numbers as the robot takes them.
 *
 * @param set as it was worked out
 * @param taken with every number of the program rounded; the robot itself is the same
 */
public record Taken(Grain grain, Setup set, Setup taken) {
    /** A share of a gain that nobody sees on the table: a fiftieth of the road between floor and onset of most robots. */
    private static final double SMALL_SHARE = 0.02;

    /**
     * A constant that is another once it is rounded.
     *
     * @param set as it was worked out @param taken as it is typed, in the same unit
     */
    public record Change(String name, String words, double set, double taken) {
        /** By which part of itself it is off; infinite for a number that came from 0. */
        public double share() {
            return Math.abs(taken - set) / Math.abs(set);
        }
    }

    /**
     * @throws BadValueException naming the number that nothing is left of: dark and light or two steps that become one, a base command that becomes 0
     */
    public static Taken of(Setup set, Grain grain) {
        return new Taken(grain, set, grain == Grain.ANY ? set : rounded(set, grain));
    }

    private static Setup rounded(Setup set, Grain grain) {
        List<Sensor> sensors =
                set.robot().sensors().stream().map(s -> rounded(s, set, grain)).toList();
        Law law = set.law();
        double base = grain.number(law.baseCommand());
        if (base <= 0) {
            throw lost("the base speed", law.baseCommand(), grain);
        }
        Law taken = law.withGains(grain.gain(law.kp()), grain.gain(law.ki()), grain.gain(law.kd()))
                .withBaseCommand(base)
                .withTarget(grain.number(law.target()))
                .withOptions(rounded(law.options(), grain));
        return set.withRobot(set.robot().withSensors(sensors)).withLaw(taken);
    }

    private static Sensor rounded(Sensor sensor, Setup set, Grain grain) {
        boolean read = set.lawSensors().contains(sensor) || set.outerSensors().contains(sensor);
        if (!read || !ReadListing.hasDarkAndLight(set)) {
            return sensor; // its dark and light do not stand in the program
        }
        double dark = grain.number(sensor.dark());
        double light = grain.number(sensor.light());
        if (dark == light) {
            throw lost("dark and light of " + sensor.name(), sensor.contrast(), grain);
        }
        return sensor.withSurfaces(dark, light, sensor.noise());
    }

    private static Options rounded(Options options, Grain grain) {
        List<Options.Step> steps = options.steps().stream()
                .map(s -> new Options.Step(grain.number(s.aboveError()), grain.number(s.steering())))
                .toList();
        for (int i = 1; i < steps.size(); i++) {
            if (steps.get(i).aboveError() <= steps.get(i - 1).aboveError()) {
                double further = options.steps().get(i).aboveError()
                        - options.steps().get(i - 1).aboveError();
                throw lost("the error from step " + i + " to step " + (i + 1), further, grain);
            }
        }
        return new Options(
                options.weights(),
                steps,
                grain.number(options.hysteresis()),
                options.patterns(),
                options.thresholds().stream().map(grain::number).toList(),
                options.lost(),
                options.outer(),
                options.limits(),
                options.turnMarks().map(marks -> TakenMarks.of(marks, grain)),
                options.obstacle().map(move -> rounded(move, grain)));
    }

    private static ObstacleMove rounded(ObstacleMove move, Grain grain) {
        double turn = grain.number(move.turnCommand());
        double outside = grain.number(move.arc().outside());
        if (!(turn > 0 && outside > 0)) {
            throw lost(
                    "a command round an obstacle",
                    Math.min(move.turnCommand(), move.arc().outside()),
                    grain);
        }
        boolean touch = move.feeler().found() == ObstacleMove.Found.TOUCH;
        return new ObstacleMove(
                move.feeler(),
                touch ? move.at() : grain.number(move.at()), // a bumper is open or closed, whatever the grain
                move.side(),
                TakenMarks.rounded(move.back(), grain),
                TakenMarks.rounded(move.turn(), grain),
                turn,
                new ObstacleMove.Arc(
                        outside,
                        Math.min(outside, grain.number(move.arc().inside())),
                        TakenMarks.rounded(move.arc().most(), grain)),
                TakenMarks.rounded(move.on(), grain),
                TakenMarks.rounded(move.straighten(), grain));
    }

    static BadValueException lost(String what, double value, Grain grain) {
        return new BadValueException(
                what,
                value,
                "more than nothing when rounded to " + grain.words() + "; take a finer one, or another scale");
    }

    /** The constants as they are typed. */
    public List<ProgramConstant> constants() {
        return ProgramConstant.of(taken);
    }

    /** Those that rounding moves; one that the rounded program has no need of any more is 0. */
    public List<Change> changes() {
        Map<String, Double> typed = new HashMap<>();
        constants().forEach(c -> typed.put(c.name(), c.value()));
        return ProgramConstant.of(set).stream()
                .map(c -> new Change(c.name(), c.words(), c.value(), typed.getOrDefault(c.name(), 0.0)))
                .filter(change -> change.set() != change.taken())
                .toList();
    }

    /** Whether any of them is moved by more than nobody sees. */
    public boolean matters() {
        return changes().stream().anyMatch(change -> change.share() > SMALL_SHARE);
    }
}
