package fahrbahn.core.program;

import static fahrbahn.core.program.ListingBuilder.number;

import fahrbahn.core.colour.ColourSpace;
import fahrbahn.core.law.Program;
import fahrbahn.core.response.ErrorRule;
import fahrbahn.core.setup.Drive;
import fahrbahn.core.setup.Law;
import fahrbahn.core.setup.Mixing;
import fahrbahn.core.setup.Options;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import java.util.ArrayList;
import java.util.List;

/** Writes down what {@link Program} does in a tick: scale, decide, limit, mix, clamp. */
public final class LawListing {
    private final Setup setup;
    private final Law law;
    private final Options options;
    private final List<Sensor> following;
    private final ListingBuilder to = new ListingBuilder();
    private final ReadListing read;
    private final double sign;

    private LawListing(Setup setup) {
        this.setup = setup;
        law = setup.law();
        options = law.options();
        following = setup.lawSensors();
        read = new ReadListing(setup, to);
        sign = Program.steerSign(setup);
    }

    /** @throws fahrbahn.core.check.BadValueException when the setup's robot would ride nowhere */
    public static Listing of(Setup setup) {
        return new LawListing(setup).write();
    }

    private Listing write() {
        Drive drive = setup.robot().drive();
        List<String> inputs = new ArrayList<>(
                setup.robot().sensors().stream().map(Sensor::name).toList());
        to.state("steering", 0);
        String base = to.constant("BASE", law.baseCommand(), "command of both wheels straight on");
        read.write();
        options.obstacle()
                .ifPresentOrElse(
                        move -> {
                            int place =
                                    inputs.size() + (options.turnMarks().isPresent() ? 2 * ColourSpace.CHANNELS : 0);
                            new ObstacleListing(setup, move, to, read, place).write();
                            to.when(
                                    "o_phase != 0",
                                    () -> {
                                        to.note("At an obstacle: the law rests");
                                        to.set("steering", "o_steering");
                                        to.set("base", "o_base");
                                    },
                                    () -> follow(inputs, base));
                            inputs.add(move.feeler().found().input());
                        },
                        () -> follow(inputs, base));
        mix(drive);
        return new Listing(setup.robot().name(), inputs, to.constants, to.states, to.steps());
    }

    private void follow(List<String> inputs, String base) {
        options.turnMarks()
                .ifPresentOrElse(
                        marks -> {
                            new MarkListing(setup, marks, to, inputs).write();
                            to.when(
                                    "phase != 0 and phase != 5",
                                    () -> {
                                        to.note("At a crossing: the law rests");
                                        to.set("steering", "turn_steering");
                                        to.set("base", "turn_base");
                                    },
                                    () -> decide(base));
                        },
                        () -> decide(base));
    }

    private void decide(String base) {
        switch (law.steering()) {
            case GAINS -> {
                error();
                graded();
            }
            case STEPS -> {
                error();
                staircase();
            }
            case TABLE -> pattern();
        }
        new ReflexListing(setup, to, read).write();
        double limit = Math.min(
                options.limits().steering(),
                setup.robot().drive().mixing().steeringLimit(setup.robot().drive()));
        String most =
                Double.isInfinite(limit) ? "" : to.constant("STEERING_LIMIT", limit, "largest steering, either side");
        to.set("steering", most.isEmpty() ? "wanted" : "max(-" + most + ", min(" + most + ", wanted))");
        double slow = options.limits().slowDown();
        to.set("base", slow == 0 ? base : base + " * (1 - " + number(slow) + " * abs(steering) / " + most + ")");
        if (options.limits().stopsOnAll() && following.size() > 1) {
            to.when("stopped == 1", () -> {
                to.set("steering", "0");
                to.set("base", "0");
            });
        }
    }

    private void pattern() {
        to.note("The pattern: each sensor on the line counts, the outer left one highest");
        boolean own = !options.thresholds().isEmpty();
        String target = own ? "" : to.constant("TARGET", law.target(), "level between line and ground");
        to.set("pattern", "0");
        for (int i = 0; i < following.size(); i++) {
            Sensor sensor = following.get(i);
            boolean high = law.scale().scaled(sensor, setup.line().polarity().line(sensor))
                    > law.scale().scaled(sensor, setup.line().polarity().ground(sensor));
            String bit = String.valueOf(1 << (following.size() - 1 - i));
            String threshold = own
                    ? to.constant(
                            "THRESHOLD_" + (i + 1), law.threshold(i), "between line and ground, of " + sensor.name())
                    : target;
            to.when("s" + i + (high ? " > " : " < ") + threshold, () -> to.set("pattern", "pattern + " + bit));
        }
        to.set("wanted", "steering");
        for (Options.Pattern known : options.patterns()) {
            to.when("pattern == " + known.number(), () -> to.set("wanted", number(known.steering())));
        }
    }

    private void error() {
        to.state("error", 0);
        double[] weights = ErrorRule.weights(setup);
        to.set("previous", "error");
        Runnable write = switch (law.signal()) {
            case EDGE ->
                () -> to.set("error", "s0 - " + to.constant("TARGET", law.target(), "the reading that is steered to"));
            case PAIR -> () -> to.set("error", "s0 - s1");
            case ARRAY_DIFFERENCE -> () -> difference(weights);
            case ARRAY_MEAN -> () -> mean(weights);
            case PATTERN -> () -> {};
        };
        write.run();
    }

    private void difference(double[] weights) {
        List<String> parts = new ArrayList<>();
        for (int i = 0; i < weights.length; i++) {
            parts.add(number(weights[i]) + " * s" + i);
        }
        to.set("error", "0 + " + String.join(" + ", parts));
    }

    private void mean(double[] weights) {
        List<String> sum = new ArrayList<>();
        List<String> weighted = new ArrayList<>();
        String most = "0";
        for (int i = 0; i < weights.length; i++) {
            to.set("on" + i, "max(0.0, " + read.share(i) + ")");
            sum.add("on" + i);
            weighted.add("on" + i + " * " + number(weights[i]));
            most = i == 0 ? "on0" : "max(" + most + ", on" + i + ")";
        }
        String sums = String.join(" + ", sum);
        String parts = String.join(" + ", weighted);
        to.when(
                most + " >= " + number(options.lost().seenShare()),
                () -> to.set("error", "(" + parts + ") / (" + sums + ")"));
    }

    private void graded() {
        String kp = to.constant("KP", law.kp(), "per loop");
        String ki = to.constant("KI", law.ki(), "per loop");
        String kd = to.constant("KD", law.kd(), "per loop");
        to.state("first", 1);
        to.state("error_sum", 0);
        to.set("error_sum", "error_sum + error");
        to.set("change", "error - previous");
        to.when("first == 1", () -> to.set("change", "0"));
        to.set("first", "0");
        to.set("wanted", (sign < 0 ? "-" : "") + "(" + kp + " * error + " + ki + " * error_sum + " + kd + " * change)");
    }

    private void staircase() {
        to.note("Steps of steering, left later than they are reached");
        to.state("stair", 0);
        List<Options.Step> steps = options.steps();
        String hysteresis = to.constant("HYSTERESIS", options.hysteresis(), "error to come back by");
        to.set("size", "abs(error)");
        to.set("reached", "0");
        for (int i = 0; i < steps.size(); i++) {
            int number = i + 1;
            to.when("size > " + number(steps.get(i).aboveError()), () -> to.set("reached", String.valueOf(number)));
        }
        to.set("way", "1");
        to.when("error < 0", () -> to.set("way", "-1"));
        to.when(
                "stair * way > 0",
                () -> {
                    to.set("held", "stair * way");
                    for (int held = steps.size(); held >= 1; held--) {
                        String lower = String.valueOf(held - 1);
                        to.when(
                                "held == " + held + " and held > reached and size <= "
                                        + number(steps.get(held - 1).aboveError()) + " - " + hysteresis,
                                () -> to.set("held", lower));
                    }
                    to.set("stair", "way * max(reached, held)");
                },
                steps.get(0).aboveError() > 0
                        ? () -> to.set("stair", "way * reached")
                        : () -> to.when("stair == 0 or size > " + hysteresis, () -> to.set("stair", "way * reached")));
        to.set("wanted", "0");
        for (int i = 0; i < steps.size(); i++) {
            String steering = number(sign * steps.get(i).steering());
            String other = number(-sign * steps.get(i).steering());
            to.when("stair == " + (i + 1), () -> to.set("wanted", steering));
            to.when("stair == -" + (i + 1), () -> to.set("wanted", other));
        }
    }

    private void mix(Drive drive) {
        to.note("To the wheels");
        if (drive.mixing() == Mixing.DIFFERENCE) {
            to.set("left", "base - steering");
            to.set("right", "base + steering");
        } else {
            to.set("left", "base");
            to.set("right", "base");
            to.when("steering > 0", () -> to.set("left", "base * (1 - steering / 50)"));
            to.when("steering < 0", () -> to.set("right", "base * (1 + steering / 50)"));
        }
        String full = to.constant("FULL", drive.fullCommand(), "max motor value");
        String least = to.constant("LEAST", drive.leastCommand(), "least command of a wheel");
        for (String wheel : List.of("left", "right")) {
            to.set(wheel, "max(" + least + ", min(" + full + ", " + wheel + "))");
        }
    }
}
