package fahrbahn.core.law;

import fahrbahn.core.check.Check;
import fahrbahn.core.colour.Channel;
import fahrbahn.core.colour.ColourSpace;
import fahrbahn.core.readings.ColourColumns;
import fahrbahn.core.response.ErrorCurve;
import fahrbahn.core.setup.Drive;
import fahrbahn.core.setup.Mixing;
import fahrbahn.core.setup.ObstacleMove;
import fahrbahn.core.setup.ObstacleMove.Feeler;
import fahrbahn.core.setup.ObstacleMove.Found;
import fahrbahn.core.setup.Polarity;
import fahrbahn.core.setup.Scale;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.setup.TurnMarks;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import java.util.stream.Stream;

/**
 * The whole program of a team: raw readings in, wheel commands out, tick by tick. It scales, decides by the {@link Controller} and mixes
 * as the twin does, and is what is exported. Not thread-safe.
 */
public final class Program {
    /** What a distance sensor reads with nothing before it. */
    public static final double NOTHING_MM = 2000;

    private final List<Sensor> sensors;
    private final List<TurnMarks.Looker> lookers;
    private final boolean groundIsLight;
    private final Scale scale;
    private final Drive drive;
    private final Mixing mixing;
    private final Controller controller;
    private final Optional<Feeler> feeler;
    private final int feelerAt;
    private final double[] scaled;
    private double left;
    private double right;

    /** @throws fahrbahn.core.check.BadValueException when the setup's robot would ride nowhere */
    public Program(Setup setup) {
        sensors = new ArrayList<>(setup.lawSensors());
        sensors.addAll(setup.outerSensors());
        scale = setup.law().scale();
        groundIsLight = setup.line().polarity() == Polarity.DARK_ON_LIGHT;
        drive = setup.robot().drive();
        mixing = drive.mixing();
        controller = new Controller(setup, steerSign(setup));
        lookers = setup.law().options().turnMarks().stream()
                .flatMap(marks -> Stream.of(marks.left(), marks.right()))
                .toList();
        feeler = setup.law().options().obstacle().map(ObstacleMove::feeler);
        feelerAt = sensors.size() + lookers.size() * ColourSpace.CHANNELS;
        scaled = new double[feelerAt + (feeler.isPresent() ? 1 : 0)];
    }

    /** Which way the program steers for a positive error: 1 or -1. */
    public static double steerSign(Setup setup) {
        return !setup.law().signal().hasError() ? 1 : ErrorCurve.of(setup).steerSign();
    }

    /** What it reads: the law's sensors from left to right, the emergency sensors, then red, green and blue of those that look for marks, what finds an obstacle. */
    public List<String> sensors() {
        List<String> names = new ArrayList<>(sensors.stream().map(Sensor::name).toList());
        for (TurnMarks.Looker looker : lookers) {
            for (Channel channel : List.of(Channel.RED, Channel.GREEN, Channel.BLUE)) {
                names.add(ColourColumns.name(looker.sensor(), channel));
            }
        }
        feeler.ifPresent(f -> names.add(f.found().input()));
        return names;
    }

    /** Readings for {@link #tick} with the sensors over what is told of each, those that look for marks over plain ground, no obstacle near. */
    public double[] readings(ToDoubleFunction<Sensor> reading) {
        double[] readings = new double[scaled.length];
        int plain = sensors.size();
        for (int i = 0; i < feelerAt; i++) {
            int channel = (i - plain) % ColourSpace.CHANNELS;
            readings[i] = i < plain
                    ? reading.applyAsDouble(sensors.get(i))
                    : lookers.get((i - plain) / ColourSpace.CHANNELS).scale().of(channel, groundIsLight ? 1 : 0);
        }
        feeler.ifPresent(f -> readings[feelerAt] = f.found() == Found.TOUCH ? 0 : NOTHING_MM);
        return readings;
    }

    /** As before the first tick. */
    public void reset() {
        controller.reset();
        left = 0;
        right = 0;
    }

    /**
     * One tick.
     *
     * @param readings raw, of {@link #sensors()}
     * @param seconds since the tick before; 0 or more
     */
    public void tick(double[] readings, double seconds) {
        Check.require(readings.length == scaled.length, "readings", readings.length, "one for each of " + sensors());
        int plain = sensors.size();
        for (int i = 0; i < plain; i++) {
            scaled[i] = scale.scaled(sensors.get(i), readings[i]);
        }
        feeler.ifPresent(f -> scaled[feelerAt] = readings[feelerAt]);
        for (int i = plain; i < feelerAt; i++) {
            int channel = (i - plain) % ColourSpace.CHANNELS;
            TurnMarks.Looker looker = lookers.get((i - plain) / ColourSpace.CHANNELS);
            scaled[i] = looker.scale().scaled(channel, readings[i]);
        }
        controller.decide(scaled, seconds);
        left = clamped(mixing.leftCommand(controller.baseCommand(), controller.steering()));
        right = clamped(mixing.leftCommand(controller.baseCommand(), -controller.steering()));
    }

    private double clamped(double command) {
        return Math.max(drive.leastCommand(), Math.min(drive.fullCommand(), command));
    }

    /** What it does about marks at crossings; null when it does not look for them. */
    public MarkTurns turns() {
        return controller.turns();
    }

    /** Of the latest tick, scale units; 0 for patterns. */
    public double error() {
        return controller.error();
    }

    /** Of the latest tick, left positive, within its limit. */
    public double steering() {
        return controller.steering();
    }

    /** Command of the left wheel. */
    public double left() {
        return left;
    }

    public double right() {
        return right;
    }
}
