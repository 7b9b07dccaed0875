package fahrbahn.link.bench;

import fahrbahn.core.colour.Channel;
import fahrbahn.core.knowledge.HiddenRobot;
import fahrbahn.core.raster.TableTop;
import fahrbahn.core.readings.ColourColumns;
import fahrbahn.core.response.Spot;
import fahrbahn.core.setup.Polarity;
import fahrbahn.core.setup.Robot;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Random;

/**
 * What a bench robot is built of: its sensors, and the line it is held over.
 *
 * @param sensors left to right
 * @param lineWidthMm above 0
 */
public record BenchRig(List<Eye> sensors, double lineWidthMm) {
    /** A pair of no robot in particular, alike only on paper: each has its own gain, noise and share of the room's light. */
    public static final BenchRig PAIR = new BenchRig(
            List.of(
                    new Eye("left", 9.5, 3.1, new Reads(742, 236, 18, 21), 3.2, 1, 0.09, Channel.ALL),
                    new Eye("right", -9.5, 3.1, new Reads(655, 191, 18, 21), 2.6, 1, 0.012, Channel.ALL)),
            19);

    /** Where nothing but ground is seen, for a rig no wider than a pair, mm. */
    private static final double LEAST_ON_LIGHT_MM = 80;

    /** Beyond so many spots a sensor sees nothing of the line. */
    private static final double BESIDE_SPOTS = 5;

    /** Of the contrast: how far two sensors of one make differ over the same paper. */
    private static final double ALIKE_SHARE = 0.03;

    /** Of the light: how much brighter or darker one hall is than another. */
    private static final double HALL_SHARE = 0.08;

    /** What is below dark when nothing at all comes back, and what the lamp brings back from the air, of the contrast. */
    private static final double DARKNESS_SHARE = 0.4;

    private static final double AIR_SHARE = 0.04;

    /** A sensor's light that comes from the room: little on a well shaded one, some on one at the rim. */
    private static final double LEAST_ROOM = 0.01;

    private static final double MOST_ROOM = 0.08;

    /** How much red, green and blue a colour sensor's lamp sends: no lamp is white. */
    private static final double[] TINTS = {1, 0.86, 0.62};

    public BenchRig {
        sensors = List.copyOf(sensors);
    }

    /**
     * Readings without noise.
     *
     * @param ground beside the line
     * @param line on it
     * @param zero when no light at all comes back
     * @param air what its lamp brings back of a lifted robot, over zero
     */
    public record Reads(double ground, double line, double zero, double air) {}

    /**
     * A light sensor.
     *
     * @param reads what it reads of which surface
     * @param step smallest change it reports; 0 for none
     * @param roomShare of its light that is the room's and not its lamp's
     * @param channel what a colour sensor's program works with: it sends red, green and blue; another sends one number
     */
    public record Eye(
            String name,
            double leftMm,
            double spotSigmaMm,
            Reads reads,
            double noise,
            double step,
            double roomShare,
            Channel channel) {
        /** Without noise, at a place across the line. */
        double even(double placeMm, double lineWidthMm) {
            return even(Spot.coverage(placeMm + leftMm, lineWidthMm, spotSigmaMm));
        }

        /** Without noise. @param lineShare how much of the line it sees: 0 nothing but ground, 1 nothing but line */
        double even(double lineShare) {
            return reads.ground() + (reads.line() - reads.ground()) * lineShare;
        }

        Eye like(Sensor sensor) {
            return new Eye(name, sensor.leftMm(), spotSigmaMm, reads, noise, step, roomShare, sensor.channel());
        }

        /** Whether it sends three numbers. */
        boolean colour() {
            return channel != Channel.ALL;
        }

        /** The same in each of its channels. */
        double[] alike(double even) {
            double[] all = new double[colour() ? TINTS.length : 1];
            Arrays.fill(all, even);
            return all;
        }

        /** All it sends of what it sees: one number, or red, green and blue. @param even the same without noise, as if its lamp were white */
        double[] sent(double[] even, boolean lamp, Random random) {
            double[] sent = new double[even.length];
            for (int i = 0; i < sent.length; i++) {
                double tint = colour() ? TINTS[i] / TINTS[channel.ordinal() - Channel.RED.ordinal()] : 1;
                sent[i] = reported(reads.zero() + tint * (even[i] - reads.zero()), lamp, random);
            }
            return sent;
        }

        double reported(double even, boolean lamp, Random random) {
            double lit = lamp ? even : reads.zero() + roomShare * (even - reads.zero());
            double noisy = lit + noise * random.nextGaussian();
            return step > 0 ? Math.rint(noisy / step) * step : noisy;
        }
    }

    /**
     * The robot of a setup in a hall. Its sensors read near what was guessed of them, each a little off, and brighter or darker by the
     * hall: what is to be found out by capturing. What the coach finds out and puts on the robot changes nothing of it.
     *
     * @param begunAs what the robot's numbers were guessed to be; of a sensor that is not in it the setup's own numbers hold
     * @param hall a venue; the same name is always as bright
     */
    public static BenchRig of(Setup setup, Setup begunAs, String hall) {
        Random hidden = new Random(31L * setup.robot().name().hashCode() + 7);
        double bright = hall.isEmpty() ? 0 : HALL_SHARE * (2 * new Random(hall.hashCode()).nextDouble() - 1);
        Polarity polarity = setup.line().polarity();
        List<Eye> eyes = new ArrayList<>();
        for (Sensor known : setup.robot().sensors()) {
            Optional<Sensor> guessed = begunAs.robot().sensors().stream()
                    .filter(s -> s.name().equals(known.name()))
                    .findFirst();
            Sensor sensor = guessed.orElse(known);
            double alike = ALIKE_SHARE * hidden.nextGaussian();
            double contrast = sensor.light() - sensor.dark();
            double zero = sensor.dark() - DARKNESS_SHARE * contrast;
            double gain = (1 + bright) * (1 + (guessed.isPresent() ? alike : 0));
            eyes.add(new Eye(
                    known.name(),
                    known.leftMm(),
                    sensor.spotSigmaMm(),
                    new Reads(
                            zero + gain * (polarity.ground(sensor) - zero),
                            zero + gain * (polarity.line(sensor) - zero),
                            zero,
                            AIR_SHARE * contrast),
                    sensor.noise(),
                    sensor.step(),
                    LEAST_ROOM + (MOST_ROOM - LEAST_ROOM) * hidden.nextDouble(),
                    known.channel()));
        }
        return new BenchRig(eyes, setup.line().widthMm());
    }

    /** The same sensors where a setup has them, working as it says; those it does not know stay as they are. */
    public BenchRig laidOutAs(Setup setup) {
        List<Eye> eyes = new ArrayList<>();
        for (Eye eye : sensors) {
            eyes.add(setup.robot().sensors().stream()
                    .filter(s -> s.name().equals(eye.name()))
                    .findFirst()
                    .map(eye::like)
                    .orElse(eye));
        }
        return new BenchRig(eyes, lineWidthMm);
    }

    /** A setup whose sensors read as these do; those of other names stay. */
    Setup seenBy(Setup setup) {
        Robot robot = setup.robot();
        boolean darkLine = setup.line().polarity() == Polarity.DARK_ON_LIGHT;
        for (int i = 0; i < robot.sensors().size(); i++) {
            Sensor sensor = robot.sensors().get(i);
            Optional<Eye> its =
                    sensors.stream().filter(e -> e.name().equals(sensor.name())).findFirst();
            if (its.isPresent()) {
                Eye eye = its.get();
                robot = robot.withSensor(
                        i,
                        sensor.withSpotSigmaMm(eye.spotSigmaMm())
                                .withSurfaces(
                                        darkLine
                                                ? eye.reads().line()
                                                : eye.reads().ground(),
                                        darkLine
                                                ? eye.reads().ground()
                                                : eye.reads().line(),
                                        eye.noise()));
            }
        }
        return setup.withRobot(robot);
    }

    /**
     * A table for this robot, which drives by the setup's program. Its drive is near what was guessed of it, each constant a little off.
     *
     * @param begunAs what its numbers were guessed to be
     */
    public BenchTable on(TableTop top, Setup setup, Setup begunAs) {
        Setup hidden =
                HiddenRobot.of(begunAs, new Random(17L * setup.robot().name().hashCode() + 3));
        return new BenchTable(top, seenBy(HiddenRobot.driveOf(hidden, setup)), setup);
    }

    /** The columns it sends: a colour sensor has three. */
    public List<String> columns() {
        List<String> columns = new ArrayList<>();
        for (Eye eye : sensors) {
            if (eye.colour()) {
                for (Channel channel : List.of(Channel.RED, Channel.GREEN, Channel.BLUE)) {
                    columns.add(ColourColumns.name(eye.name(), channel));
                }
            } else {
                columns.add(eye.name());
            }
        }
        return columns;
    }

    public List<String> names() {
        return sensors.stream().map(Eye::name).toList();
    }

    /** A place across the line where every sensor sees nothing but ground, mm. */
    public double onLightMm() {
        return sensors.stream()
                .mapToDouble(e -> Math.abs(e.leftMm()) + lineWidthMm / 2 + BESIDE_SPOTS * e.spotSigmaMm())
                .reduce(LEAST_ON_LIGHT_MM, Math::max);
    }

    /** The mat's edge: the robot cannot be slid further. */
    public double reachMm() {
        return 1.5 * onLightMm();
    }
}
