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
        beat.scheduleAtFixedRate(() -> hear(robot, listener), 0, periodNs, TimeUnit.NANOSECONDS);
        return new BenchLink(robot, beat);
    }

    /** Names and values of one robot: it may become another at any moment. */
    private static void hear(BenchRobot robot, LinkListener listener) {
        synchronized (robot) {
            listener.reading(robot.rig().names(), robot.tick());
        }
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
