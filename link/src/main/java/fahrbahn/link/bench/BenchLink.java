package fahrbahn.link.bench;

import fahrbahn.core.readings.Reading;
import fahrbahn.link.Link;
import fahrbahn.link.LinkListener;
import fahrbahn.link.Threads;
import java.util.List;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;

/** The bench robot inside this program. What it is told it does on a thread of its own, for putting it on a table takes a moment. */
public final class BenchLink implements Link {
    private final BenchRobot robot;
    private final LinkListener listener;
    private final ScheduledExecutorService beat =
            Executors.newSingleThreadScheduledExecutor(Threads.daemon("bench robot"));
    private List<String> names = List.of(); // of the beat alone
    private final ExecutorService mind = Executors.newSingleThreadExecutor(Threads.daemon("bench robot mind"));

    private BenchLink(BenchRobot robot, LinkListener listener) {
        this.robot = robot;
        this.listener = listener;
    }

    /** Starts the robot's loop in real time. */
    public static BenchLink open(BenchRobot robot, LinkListener listener) {
        listener.said(LinkListener.GREETING);
        robot.onSaying(listener::said);
        long periodNs = Math.round(BenchRobot.PERIOD_S * 1e9);
        BenchLink link = new BenchLink(robot, listener);
        link.beat.scheduleAtFixedRate(link::hear, 0, periodNs, TimeUnit.NANOSECONDS);
        return link;
    }

    /** Names and values of one robot: it may become another at any moment. */
    private void hear() {
        Reading reading;
        synchronized (robot) {
            List<String> now = robot.rig().columns();
            names = now.equals(names) ? names : now; // the same list as long as they stay
            reading = robot.tick();
        }
        listener.reading(names, reading);
    }

    @Override
    public String source() {
        return "bench robot";
    }

    @Override
    public void send(String line) {
        try {
            mind.execute(() -> BenchProtocol.obey(robot, line));
        } catch (RejectedExecutionException afterClosing) {
            // Nobody is there to hear it.
        }
    }

    @Override
    public void close() {
        robot.onSaying(words -> {});
        beat.shutdownNow();
        mind.shutdownNow();
    }
}
