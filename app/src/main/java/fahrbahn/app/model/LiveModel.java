package fahrbahn.app.model;

import fahrbahn.core.readings.Reading;
import fahrbahn.link.BenchLink;
import fahrbahn.link.BenchRobot;
import fahrbahn.link.Link;
import fahrbahn.link.LinkListener;
import fahrbahn.link.TcpLink;
import java.util.List;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.function.Consumer;
import java.util.function.LongSupplier;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.collections.FXCollections;
import javafx.collections.ObservableList;

/**
 * The connected robot. A link's thread drops readings into a bounded queue; {@link #drain}, called once a frame, takes them
 * out, so the window never waits for the link nor the link for the window.
 */
public final class LiveModel {
    /** Some thirty seconds at a thousand readings a second; beyond it the newest are dropped and counted. */
    private static final int MOST_WAITING = 1 << 15;

    /** Without a reading for so long the robot counts as silent. */
    private static final long SILENT_NS = 1_500_000_000L;

    /** How the connection stands. */
    public enum Phase {
        NONE,
        WAITING,
        LIVE,
        SILENT
    }

    /**
     * @param source where readings come from, in words; empty without a link
     * @param readings received on this link so far
     */
    public record Status(Phase phase, String source, long readings, long brokenLines, long dropped) {
        static final Status NONE = new Status(Phase.NONE, "", 0, 0, 0);
    }

    private record Tick(List<String> sensors, Reading reading, long brokenLines) {}

    private final LongSupplier nanoClock;
    private final Consumer<String> told;
    private final ReadOnlyObjectWrapper<Status> status = new ReadOnlyObjectWrapper<>(Status.NONE);
    private final ReadOnlyObjectWrapper<double[]> latest = new ReadOnlyObjectWrapper<>(new double[0]);
    private final ObservableList<String> sensors = FXCollections.observableArrayList();
    private final ObservableList<String> shownSensors = FXCollections.unmodifiableObservableList(sensors);
    private final ObservableList<Consumer<Reading>> hearers = FXCollections.observableArrayList();
    private final LiveTrace trace = new LiveTrace();
    private Inbox inbox;
    private Link link;
    private BenchRobot benchRobot;
    private long lastReadingNs;

    /** @param told hears, on the interface thread, when a link is lost and why */
    public LiveModel(LongSupplier nanoClock, Consumer<String> told) {
        this.nanoClock = nanoClock;
        this.told = told;
    }

    /** What one link delivers until the next frame. A link that has been replaced writes into an inbox nobody reads. */
    private static final class Inbox implements LinkListener {
        private final BlockingQueue<Tick> ticks = new LinkedBlockingQueue<>(MOST_WAITING);
        private volatile long dropped;
        private volatile String lost;

        @Override
        public void reading(List<String> sensors, Reading reading, long brokenLines) {
            if (!ticks.offer(new Tick(sensors, reading, brokenLines))) {
                dropped++; // only the link's thread writes it
            }
        }

        @Override
        public void lost(String why) {
            lost = why;
        }
    }

    public void connectToBenchRobot(BenchRobot robot) {
        disconnect();
        benchRobot = robot;
        inbox = new Inbox();
        link = BenchLink.open(robot, inbox);
        begin();
    }

    public void connectTo(String host, int port) {
        disconnect();
        inbox = new Inbox();
        link = TcpLink.open(host, port, inbox);
        begin();
    }

    private void begin() {
        lastReadingNs = nanoClock.getAsLong();
        status.set(new Status(Phase.WAITING, link.source(), 0, 0, 0));
    }

    public void disconnect() {
        if (link != null) {
            link.close();
            link = null;
        }
        inbox = null;
        benchRobot = null;
        sensors.clear();
        latest.set(new double[0]);
        trace.clear();
        status.set(Status.NONE);
    }

    /** Takes in what has come since the last frame. */
    public void drain() {
        Inbox box = inbox;
        if (box == null) {
            return;
        }
        Status before = status.get();
        long readings = before.readings();
        long brokenLines = before.brokenLines();
        double[] values = null;
        for (Tick tick = box.ticks.poll(); tick != null; tick = box.ticks.poll()) {
            if (!sensors.equals(tick.sensors())) {
                sensors.setAll(tick.sensors());
                trace.begin(tick.sensors().size());
            }
            readings++;
            brokenLines = tick.brokenLines();
            trace.add(tick.reading());
            values = tick.reading().values();
            for (Consumer<Reading> hearer : hearers) {
                hearer.accept(tick.reading());
            }
        }
        long now = nanoClock.getAsLong();
        if (values != null) {
            lastReadingNs = now;
            latest.set(values);
        }
        Phase phase = readings == 0 ? Phase.WAITING : now - lastReadingNs > SILENT_NS ? Phase.SILENT : Phase.LIVE;
        status.set(new Status(phase, before.source(), readings, brokenLines, box.dropped));
        if (box.lost != null) {
            String why = box.lost;
            disconnect();
            told.accept(why);
        }
    }

    /** Hears every reading from now on, on the interface thread. */
    void addHearer(Consumer<Reading> hearer) {
        hearers.add(hearer);
    }

    public ReadOnlyObjectProperty<Status> statusProperty() {
        return status.getReadOnlyProperty();
    }

    /** The newest value of each sensor; empty without a link. */
    public ReadOnlyObjectProperty<double[]> latestProperty() {
        return latest.getReadOnlyProperty();
    }

    public ObservableList<String> sensors() {
        return shownSensors;
    }

    /** The last seconds of every sensor. */
    public LiveTrace trace() {
        return trace;
    }

    /** The robot inside this program, when that is the one connected. */
    public BenchRobot benchRobot() {
        return benchRobot;
    }

    /** Sends a line to the robot, if there is one. */
    public void send(String line) {
        if (link != null) {
            link.send(line);
        }
    }
}
