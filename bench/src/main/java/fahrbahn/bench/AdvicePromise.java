package fahrbahn.bench;

import fahrbahn.core.job.Job;
import fahrbahn.core.job.Workers;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.tuning.TwinAdvisor;
import java.util.List;
import java.util.Random;

/** How long the coach waits for gains to try: the slowest of some robots from easy to hopeless. */
final class AdvicePromise {
    private static final int ROBOTS = 60;

    private AdvicePromise() {}

    static List<Promises.Figure> measure() {
        Random random = new Random(41);
        double slowestS = 0;
        for (int i = 0; i < ROBOTS; i++) {
            Setup robot = drawn(random);
            long begun = System.nanoTime();
            TwinAdvisor.advise(robot, 1, Workers.all(), Job.UNWATCHED);
            slowestS = Math.max(slowestS, (System.nanoTime() - begun) / 1e9);
        }
        return List.of(new Promises.Figure("gains to try, slowest of " + ROBOTS + " robots, s", slowestS, 5));
    }

    private static Setup drawn(Random random) {
        Setup base = Yardstick.setup();
        Sensor sensor = base.robot().sensors().get(0);
        Sensor other = new Sensor("eye", 15 + 75 * random.nextDouble(), 0, 2 + 5 * random.nextDouble(), 0, 100, 1, 0);
        return base.withRobot(base.robot()
                        .withSensor(0, other.withSurfaces(sensor.dark(), sensor.light(), 0.3 + random.nextDouble()))
                        .withDrive(base.robot().drive().withLagS(0.01 + 0.09 * random.nextDouble())))
                .withLaw(base.law().withBaseCommand(15 + 35 * random.nextDouble()));
    }
}
