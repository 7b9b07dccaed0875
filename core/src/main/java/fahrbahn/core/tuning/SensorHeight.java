package fahrbahn.core.tuning;

import fahrbahn.core.check.Check;
import fahrbahn.core.setup.Law;
import fahrbahn.core.setup.Robot;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;

/**
 * A robot whose sensors are mounted at another height, with dark and light captured again there. As in the twin, the spot grows with the height and the light that
 * comes back falls with its square, towards the reading on dark.
 */
public final class SensorHeight {
    private SensorHeight() {}

    /** @param heightMm above the table; from half to twice the height there is */
    public static Setup moved(Setup setup, double heightMm) {
        double is = setup.robot().chassis().sensorHeightMm();
        Check.between("robot.chassis.sensorHeightMm", heightMm, is / 2, 2 * is);
        double share = heightMm / is;
        Robot robot = setup.robot();
        Robot moved = robot.withSensors(
                        robot.sensors().stream().map(s -> moved(s, share)).toList())
                .withChassis(robot.chassis().withSensorHeightMm(heightMm));
        Law law = setup.law();
        // In the sensor's own numbers the target moves with the light; in any other scale light is what it was.
        boolean single = law.signal().tracksEdge() && law.scale().isRaw();
        double dark = setup.lawSensors().get(0).dark();
        return setup.withRobot(moved)
                .withLaw(single ? law.withTarget(dark + (law.target() - dark) / (share * share)) : law);
    }

    private static Sensor moved(Sensor sensor, double share) {
        double light = sensor.dark() + (sensor.light() - sensor.dark()) / (share * share);
        return sensor.withSpotSigmaMm(sensor.spotSigmaMm() * share).withSurfaces(sensor.dark(), light, sensor.noise());
    }
}
