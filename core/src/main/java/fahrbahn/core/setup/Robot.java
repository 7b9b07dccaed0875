package fahrbahn.core.setup;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.check.Check;
import fahrbahn.core.colour.Channel;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * A robot: its drive, the beat of its program and its sensors from left to right.
 *
 * @param sensors 1 to 16, each with its own name
 */
public record Robot(String name, Drive drive, Loop loop, List<Sensor> sensors, Chassis chassis) {
    private static final int MOST_SENSORS = 16;

    /** What a sensor holder and a wheel stand out by, on robots of our own reckoning. */
    private static final double SENSOR_TO_FRONT_MM = 15;

    private static final double WHEELS_OUTSIDE_MM = 30;

    public Robot {
        Check.text("name", name, "the robot's name");
        sensors = List.copyOf(sensors);
        Check.require(
                !sensors.isEmpty() && sensors.size() <= MOST_SENSORS,
                "sensors",
                sensors.size(),
                "1 to " + MOST_SENSORS + " sensors");
        Set<String> names = new HashSet<>();
        for (Sensor sensor : sensors) {
            if (!names.add(sensor.name())) {
                throw new BadValueException("sensors", "'" + sensor.name() + "' twice", "named differently each");
            }
        }
    }

    /** A robot whose stand nobody has measured. */
    public Robot(String name, Drive drive, Loop loop, List<Sensor> sensors) {
        this(name, drive, loop, sensors, Chassis.TYPICAL);
    }

    public Robot withSensor(int index, Sensor sensor) {
        List<Sensor> changed = new ArrayList<>(sensors);
        changed.set(index, sensor);
        return withSensors(changed);
    }

    public Robot withSensors(List<Sensor> newSensors) {
        return new Robot(name, drive, loop, newSensors, chassis);
    }

    public Robot withName(String newName) {
        return new Robot(newName, drive, loop, sensors, chassis);
    }

    public Robot withDrive(Drive newDrive) {
        return new Robot(name, newDrive, loop, sensors, chassis);
    }

    /** What its colour sensors work with, by name; those that work with all light are not among them. */
    public Map<String, Channel> channels() {
        return sensors.stream()
                .filter(s -> s.channel() != Channel.ALL)
                .collect(Collectors.toMap(Sensor::name, Sensor::channel));
    }

    public Robot withLoop(Loop newLoop) {
        return new Robot(name, drive, newLoop, sensors, chassis);
    }

    /** From the turning point to the front, mm, where nobody has measured it. */
    public double usualFrontMm() {
        double front = sensors.stream().mapToDouble(Sensor::forwardMm).max().orElse(0);
        return Math.max(0, front) + SENSOR_TO_FRONT_MM;
    }

    /** Width outside, mm, where nobody has measured it. */
    public double usualWidthMm() {
        return drive.trackWidthMm() + WHEELS_OUTSIDE_MM;
    }

    public Robot withChassis(Chassis newChassis) {
        return new Robot(name, drive, loop, sensors, newChassis);
    }
}
