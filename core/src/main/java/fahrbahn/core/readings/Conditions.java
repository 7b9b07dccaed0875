package fahrbahn.core.readings;

import fahrbahn.core.check.Check;
import fahrbahn.core.difference.Aspect;
import fahrbahn.core.difference.Cause;
import java.util.ArrayList;
import java.util.List;

/**
 * Under what circumstances something was measured; when they change, it has to be measured anew.
 *
 * @param venue where: the identifier of one of the club's venues; empty when not said
 * @param lamp the sensors' own lamps
 * @param sensorHeightMm sensors above the table; NaN when not noted
 * @param batteryV volts; NaN when not noted
 * @param wheels which wheels or tracks are on; empty when not said
 */
public record Conditions(String venue, Lamp lamp, double sensorHeightMm, double batteryV, String wheels) {
    /** Nothing noted; the lamps are taken to be on, as they nearly always are. */
    public static final Conditions UNKNOWN = new Conditions("", Lamp.ON, Double.NaN, Double.NaN, "");

    /** Speed goes with the volts: this share more or less moves the lane by as much, which is less than it is wide. */
    private static final double SAME_BATTERY_SHARE = 0.03;

    /** A spot grows in proportion to the height; this much is within what a ruler can tell. */
    private static final double SAME_HEIGHT_MM = 0.25;

    public Conditions {
        venue = venue.strip();
        wheels = wheels.strip();
        Check.require(
                Double.isNaN(sensorHeightMm) || (sensorHeightMm > 0 && sensorHeightMm < 1000),
                "sensorHeightMm",
                sensorHeightMm,
                "above 0, below 1000");
        Check.require(
                Double.isNaN(batteryV) || (batteryV > 0 && batteryV < 100), "batteryV", batteryV, "above 0, below 100");
    }

    /** What differs now; a circumstance that either did not note is passed over. */
    public List<Cause> changesTo(Conditions now) {
        List<Cause> changes = new ArrayList<>();
        if (said(venue, now.venue)) {
            changes.add(Cause.circumstance(Aspect.VENUE, venue, now.venue));
        }
        if (lamp != now.lamp) {
            changes.add(Cause.circumstance(Aspect.LAMP, lamp.word(), now.lamp.word()));
        }
        if (Math.abs(sensorHeightMm - now.sensorHeightMm) > SAME_HEIGHT_MM) {
            changes.add(Cause.circumstance(Aspect.HEIGHT, sensorHeightMm, now.sensorHeightMm));
        }
        if (Math.abs(batteryV - now.batteryV) > SAME_BATTERY_SHARE * batteryV) {
            changes.add(Cause.circumstance(Aspect.BATTERY, batteryV, now.batteryV));
        }
        if (said(wheels, now.wheels)) {
            changes.add(Cause.circumstance(Aspect.WHEELS, wheels, now.wheels));
        }
        return List.copyOf(changes);
    }

    private static boolean said(String before, String after) {
        return !before.isEmpty() && !after.isEmpty() && !before.equalsIgnoreCase(after);
    }

    public Conditions withVenue(String newVenue) {
        return new Conditions(newVenue, lamp, sensorHeightMm, batteryV, wheels);
    }

    public Conditions withLamp(Lamp newLamp) {
        return new Conditions(venue, newLamp, sensorHeightMm, batteryV, wheels);
    }

    public Conditions withSensorHeightMm(double newSensorHeightMm) {
        return new Conditions(venue, lamp, newSensorHeightMm, batteryV, wheels);
    }

    public Conditions withBatteryV(double newBatteryV) {
        return new Conditions(venue, lamp, sensorHeightMm, newBatteryV, wheels);
    }

    public Conditions withWheels(String newWheels) {
        return new Conditions(venue, lamp, sensorHeightMm, batteryV, newWheels);
    }

    /** NaN equals NaN here, so that two that noted as little are alike. */
    @Override
    public boolean equals(Object other) {
        return other instanceof Conditions that
                && venue.equals(that.venue)
                && lamp == that.lamp
                && wheels.equals(that.wheels)
                && Double.compare(sensorHeightMm, that.sensorHeightMm) == 0
                && Double.compare(batteryV, that.batteryV) == 0;
    }

    @Override
    public int hashCode() {
        return 31 * (31 * venue.hashCode() + Double.hashCode(batteryV))
                + Double.hashCode(sensorHeightMm)
                + wheels.hashCode();
    }
}
