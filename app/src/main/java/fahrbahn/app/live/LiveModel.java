package fahrbahn.app.live;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.path.Pose;
import fahrbahn.core.readings.ColumnMap;
import fahrbahn.core.readings.Reading;
import fahrbahn.core.setup.Robot;
import fahrbahn.link.FileLink;
import fahrbahn.link.Link;
import fahrbahn.link.LinkListener;
import fahrbahn.link.LinkTimes;
import fahrbahn.link.SerialLink;
import fahrbahn.link.TcpAddress;
import fahrbahn.link.TcpLink;
import fahrbahn.link.bench.BenchLink;
import fahrbahn.link.bench.BenchRig;
import fahrbahn.link.bench.BenchRobot;
import fahrbahn.link.bench.BenchTable;
import fahrbahn.words.Refusals;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.LongSupplier;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.collections.ObservableList;

/**
 * The connected robot. A link's thread drops readings into a bounded queue; {@link #drain}, called once a frame, takes them
 * out, so the window never waits for the link nor the link for the window.
 */
public final class LiveModel {
    /** Baud rates to choose from, the most common first. */
    public static final List<Integer> SERIAL_RATES = SerialLink.RATES;

    /** Half of a frame at sixty a second. */
    private static final long DRAIN_NS = 8_000_000L;

    /** Without a reading for so long the robot counts as silent. */
    private static final long SILENT_NS = 1_500_000_000L;

    private final LongSupplier nanoClock;
    private final LinkTimes times;
    private final Consumer<String> told;
    private final ReadOnlyObjectWrapper<LiveStatus> status = new ReadOnlyObjectWrapper<>(LiveStatus.NONE);
    private final ReadOnlyObjectWrapper<double[]> latest = new ReadOnlyObjectWrapper<>(new double[0]);
    private final LiveColumns columns = new LiveColumns();
    private final LiveListeners listeners = new LiveListeners();
    private final LiveTrace trace = new LiveTrace();
    private Inbox inbox;
    private Link link;
    private BenchRobot benchRobot;
    private BenchRig rig = BenchRig.PAIR;
    private Optional<BenchTable> table = Optional.empty();
    private Continuity continuity = new Continuity();
    private long lastReadingNs;

    /** @param times of its links @param told hears, on the interface thread, when a link is lost and why */
    public LiveModel(LongSupplier nanoClock, LinkTimes times, Consumer<String> told) {
        this.nanoClock = nanoClock;
        this.times = times;
        this.told = told;
    }

    public void connectToBenchRobot() {
        connectToBenchRobot(new BenchRobot(rig, table, nanoClock.getAsLong()));
    }

    /** What the bench robot is built like from now on and the table it can be put on, connected already or not. */
    public void buildBenchRobot(BenchRig newRig, Optional<BenchTable> newTable) {
        rig = newRig;
        table = newTable;
        if (benchRobot != null) {
            benchRobot.become(newRig, newTable);
        }
    }

    /** What the bench robot is built like. */
    public BenchRig rig() {
        return rig;
    }

    public void connectToBenchRobot(BenchRobot robot) {
        connect(listener -> BenchLink.open(robot, listener));
        benchRobot = robot;
        begun();
    }

    /** @param typed a name and a port, as 127.0.0.1:5801; what is none is told */
    public void connectTo(String typed) {
        try {
            TcpAddress address = TcpAddress.parse(typed);
            connect(listener -> TcpLink.open(address, listener, times));
            begun();
        } catch (BadValueException noAddress) {
            told.accept(Refusals.sentence(noAddress));
        }
    }

    /** @param port as the system calls it */
    public void connectToSerial(String port, int baud) {
        connect(listener -> SerialLink.open(port, baud, listener, times));
        begun();
    }

    /** Reads a file that another program writes, as it grows. */
    public void connectToFile(Path file) {
        connect(listener -> FileLink.open(file, listener, times));
        begun();
    }

    private void connect(Function<LinkListener, Link> open) {
        disconnect();
        continuity = new Continuity();
        inbox = new Inbox();
        link = open.apply(inbox);
    }

    private void begun() {
        lastReadingNs = nanoClock.getAsLong();
        status.set(new LiveStatus(LiveStatus.Phase.WAITING, link.source(), 0, 0, 0, 0, 0, benchRobot != null));
    }

    public void disconnect() {
        if (link != null) {
            listeners.broke("the robot was disconnected");
            link.close();
            link = null;
        }
        inbox = null;
        benchRobot = null;
        columns.clear();
        latest.set(new double[0]);
        trace.clear();
        status.set(LiveStatus.NONE);
    }

    /** Those who hear what comes. */
    public LiveListeners listeners() {
        return listeners;
    }

    /** The columns of the stream as the robot names them. */
    public ObservableList<String> columns() {
        return columns.shown();
    }

    /** Takes in what has come since the last frame. */
    public void drain() {
        Inbox box = inbox;
        if (box == null) {
            return;
        }
        LiveStatus before = status.get();
        long readings = before.readings();
        Reading last = null;
        long now = nanoClock.getAsLong();
        // What does not fit into a frame's time waits for the next: keys and buttons come first.
        for (Inbox.Tick tick = box.ticks.poll();
                tick != null;
                tick = nanoClock.getAsLong() - now < DRAIN_NS ? box.ticks.poll() : null) {
            continuity.breakBefore(tick).ifPresent(listeners::broke);
            if (columns.follow(tick.columns())) {
                trace.begin(columns.sensors().size());
            }
            readings++;
            listeners.came(tick);
            last = columns.pick(tick.reading());
            trace.add(last, now);
            listeners.hear(last);
        }
        if (last != null) {
            lastReadingNs = now;
            latest.set(last.values());
        }
        String away = tellNews(box, last != null);
        if (box.ticks.isEmpty()) {
            continuity.interrupted(box.interruptions).ifPresent(listeners::broke);
        }
        LiveStatus.Phase phase = phase(away, readings, now);
        boolean quiet = phase == LiveStatus.Phase.SILENT || phase == LiveStatus.Phase.AWAY;
        int quietS = quiet ? (int) ((now - lastReadingNs) / 1_000_000_000L) : 0;
        status.set(new LiveStatus(
                phase,
                before.source(),
                readings,
                box.brokenLines,
                box.dropped,
                box.interruptions,
                quietS,
                box.simulated));
        if (box.lost != null) {
            String why = box.lost;
            disconnect();
            told.accept(why);
            listeners.broke("the link is lost");
        }
    }

    /**
     * Says once that the link is interrupted, and takes the words back when readings come again.
     *
     * @return why it is away, looked at once: the link's thread may say so in between, and what is shown is then not told yet
     */
    private String tellNews(Inbox box, boolean heard) {
        String away = box.away;
        if (away != null && box.toldInterruptions < box.interruptions) {
            box.toldInterruptions = box.interruptions;
            told.accept(away);
        } else if (away != null && heard && box.ticks.isEmpty()) {
            box.away = null;
            away = null;
        }
        String said = box.said;
        if (said != null) {
            box.said = null;
            told.accept(said + ".");
        }
        return away;
    }

    private LiveStatus.Phase phase(String away, long readings, long now) {
        if (away != null) {
            return LiveStatus.Phase.AWAY;
        }
        if (readings == 0) {
            return LiveStatus.Phase.WAITING;
        }
        return now - lastReadingNs > SILENT_NS ? LiveStatus.Phase.SILENT : LiveStatus.Phase.LIVE;
    }

    public ReadOnlyObjectProperty<LiveStatus> statusProperty() {
        return status.getReadOnlyProperty();
    }

    /** The newest value of each sensor; empty without a link. */
    public ReadOnlyObjectProperty<double[]> latestProperty() {
        return latest.getReadOnlyProperty();
    }

    public ObservableList<String> sensors() {
        return columns.sensors();
    }

    /** What each column of the stream is taken for; another map holds from the next reading on. */
    public void map(ColumnMap map, Robot robot) {
        columns.map(map, robot);
    }

    /** The places of those of the sensors that are no channels of another. */
    public List<Integer> lines() {
        return columns.lines();
    }

    /** The last seconds of every sensor. */
    public LiveTrace trace() {
        return trace;
    }

    /** The robot inside this program, when that is the one connected. */
    public BenchRobot benchRobot() {
        return benchRobot;
    }

    /** Puts the bench robot down anywhere on its table. */
    public void putBenchRobot(Pose pose) {
        if (status.get().simulated()) {
            send(String.format(
                    Locale.ROOT, "put %.1f %.1f %.2f", pose.xMm(), pose.yMm(), Math.toDegrees(pose.headingRad())));
        } else {
            told.accept("No bench robot is connected. Connect it in the strip below, then put it here.");
        }
    }

    /** Sends a line to the robot, if there is one. */
    public void send(String line) {
        if (link != null) {
            link.send(line);
        }
    }
}
