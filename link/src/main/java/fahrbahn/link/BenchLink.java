package fahrbahn.link;

import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;

/** The bench robot inside this program. */
public final class BenchLink implements Link {
    private final BenchRobot robot;
    private final ScheduledExecutorService beat;

    private BenchLink(BenchRobot robot, ScheduledExecutorService beat) {
        this.robot = robot;
        this.beat = beat;
    }

    /** Starts the robot's loop in real time. */
    public static BenchLink open(BenchRobot robot, LinkListener listener) {
        ScheduledExecutorService beat = Executors.newSingleThreadScheduledExecutor(Threads.daemon("bench robot"));
        long periodNs = Math.round(BenchRobot.PERIOD_S * 1e9);
        beat.scheduleAtFixedRate(
                () -> listener.reading(BenchRobot.SENSORS, robot.tick()), 0, periodNs, TimeUnit.NANOSECONDS);
        return new BenchLink(robot, beat);
    }

    @Override
    public String source() {
        return "bench robot";
    }

    @Override
    public void send(String line) {
        robot.obey(line);
    }

    @Override
    public void close() {
        beat.shutdownNow();
    }
}
