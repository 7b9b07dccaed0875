package fahrbahn.core.drill;

import fahrbahn.core.readings.Capture;
import fahrbahn.core.readings.Reading;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;

/** Readings of a robot held over dark and over light, with a fault in them. */
final class HeldReadings {
    private static final double PERIOD_S = 0.02;
    private static final int READINGS = 150;
    private static final int IN_A_ROW = 14;

    private HeldReadings() {}

    /** Dark first, then light. @param fault empty where nothing spoils them */
    static List<Capture> draw(Setup setup, Optional<DrillFault> fault, Random random) {
        int which = random.nextInt(setup.robot().sensors().size());
        return List.of(
                capture(setup, Capture.DARK, fault.orElse(null), which, random),
                capture(setup, Capture.LIGHT, fault.orElse(null), which, random));
    }

    private static Capture capture(Setup setup, String surface, DrillFault fault, int which, Random random) {
        List<Sensor> sensors = setup.robot().sensors();
        boolean light = surface.equals(Capture.LIGHT);
        int from = 20 + random.nextInt(READINGS - 60);
        List<Reading> readings = new ArrayList<>();
        for (int i = 0; i < READINGS; i++) {
            double[] values = new double[sensors.size()];
            for (int k = 0; k < values.length; k++) {
                Sensor sensor = sensors.get(k);
                double seen = light ? sensor.light() : sensor.dark();
                if (fault == DrillFault.CREASE && light && k == which && i >= from && i < from + IN_A_ROW) {
                    seen -= 0.35 * sensor.contrast();
                }
                double read = Math.rint(seen + sensor.noise() * random.nextGaussian());
                // Brighter than it can tell: it shows the end of its range.
                values[k] = fault == DrillFault.SATURATED && light && k == which ? Math.min(100, read + 45) : read;
            }
            readings.add(new Reading(i * PERIOD_S, surface, Double.NaN, values));
        }
        return new Capture(
                surface,
                surface,
                Instant.EPOCH,
                "drill",
                sensors.stream().map(Sensor::name).toList(),
                readings);
    }
}
