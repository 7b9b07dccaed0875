package fahrbahn.app.demo;

import fahrbahn.core.readings.Capture;
import fahrbahn.core.readings.Conditions;
import fahrbahn.core.readings.Lamp;
import fahrbahn.core.readings.Reading;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import fahrbahn.link.bench.BenchRig;
import fahrbahn.link.bench.BenchRobot;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;

/** Captures of every kind, taken with the bench robot. */
final class DemoCaptures {
    private static final int SPOT_READINGS = 80;
    private static final int SWEEP_READINGS = 720;
    private static final int SLIDE_READINGS = 400;
    private static final double SLIDE_MM = 60;

    private final BenchRobot robot;
    private final Instant now;
    private final Conditions conditions;
    private final List<Capture> captures = new ArrayList<>();

    private DemoCaptures(BenchRobot robot, Instant now, Conditions conditions) {
        this.robot = robot;
        this.now = now;
        this.conditions = conditions;
    }

    /** Oldest first; the last before {@code now}. */
    static List<Capture> of(long seed, Instant now, Conditions conditions) {
        DemoCaptures demo = new DemoCaptures(new BenchRobot(BenchRig.PAIR, seed), now, conditions);
        demo.take();
        return List.copyOf(demo.captures);
    }

    /** Spots of dark and light as the sensors of a setup would report them: their numbers, noise and rounding. */
    static List<Capture> spots(String name, Setup setup, long seed, Instant now, Conditions conditions) {
        Random random = new Random(seed);
        List<Capture> spots = new ArrayList<>();
        for (String surface : List.of(Capture.DARK, Capture.LIGHT)) {
            List<Reading> readings = new ArrayList<>();
            for (int i = 0; i < SPOT_READINGS; i++) {
                double[] values = setup.robot().sensors().stream()
                        .mapToDouble(s -> reported(s, surface.equals(Capture.DARK) ? s.dark() : s.light(), random))
                        .toArray();
                readings.add(new Reading(i * setup.robot().loop().periodS(), surface, Double.NaN, values));
            }
            List<String> sensors =
                    setup.robot().sensors().stream().map(Sensor::name).toList();
            spots.add(new Capture(
                    "demo-" + name + "-" + seed + "-" + surface,
                    surface,
                    now,
                    "bench robot",
                    sensors,
                    readings,
                    conditions));
        }
        return spots;
    }

    private static double reported(Sensor sensor, double even, Random random) {
        double noisy = even + sensor.noise() * random.nextGaussian();
        return sensor.step() > 0 ? Math.rint(noisy / sensor.step()) * sensor.step() : noisy;
    }

    private void take() {
        robot.lamp(false);
        robot.place(BenchRig.PAIR.onLightMm());
        take(Capture.LIGHT, Lamp.OFF, SPOT_READINGS, 400);
        robot.placeOnDark();
        take(Capture.DARK, Lamp.OFF, SPOT_READINGS, 380);
        robot.lamp(true);
        robot.lift();
        take(Capture.AIR, Lamp.ON, SPOT_READINGS, 340);
        robot.place(-SLIDE_MM);
        robot.slideTo(SLIDE_MM, 2 * SLIDE_MM / (SLIDE_READINGS * BenchRobot.PERIOD_S));
        take(Capture.SLIDE, Lamp.ON, SLIDE_READINGS, 260);
        robot.sweep();
        take(Capture.SWEEP, Lamp.ON, SWEEP_READINGS, 200);
        robot.placeOnDark();
        take(Capture.DARK, Lamp.ON, SPOT_READINGS, 95);
        robot.place(BenchRig.PAIR.onLightMm());
        take(Capture.LIGHT, Lamp.ON, SPOT_READINGS, 80);
    }

    private void take(String surface, Lamp lamp, int count, long secondsAgo) {
        List<Reading> readings = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            readings.add(robot.tick());
        }
        captures.add(new Capture(
                "demo-" + surface + "-" + lamp.word(),
                surface,
                now.minusSeconds(secondsAgo),
                "bench robot",
                BenchRig.PAIR.names(),
                readings,
                conditions.withLamp(lamp)));
    }
}
