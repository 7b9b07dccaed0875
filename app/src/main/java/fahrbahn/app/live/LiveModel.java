package fahrbahn.app.live;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.colour.Channel;
import fahrbahn.core.path.Pose;
import fahrbahn.core.readings.ColourColumns;
import fahrbahn.core.readings.ColumnMap;
import fahrbahn.core.readings.Reading;
import fahrbahn.core.runlog.RunClock;
import fahrbahn.core.setup.Robot;
import fahrbahn.core.setup.Sensor;
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
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import java.util.function.Function;
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
    private final ObservableList<String> sensors = FXCollections.observableArrayList();
    private final ObservableList<String> shownSensors = FXCollections.unmodifiableObservableList(sensors);
    private final List<Hearer> hearers = new ArrayList<>();
    private final LiveTrace trace = new LiveTrace();
    private final ObservableList<String> shownColumns = FXCollections.observableArrayList();
    private final ObservableList<String> readColumns = FXCollections.unmodifiableObservableList(shownColumns);
    private ColumnMap map = ColumnMap.AS_NAMED;
    private List<String> robotSensors = List.of();
    private Map<String, Channel> channels = Map.of();
    private List<String> columns = List.of();
    private ColumnMap.Picker picker;
    private Inbox inbox;
    private Link link;
    private BenchRobot benchRobot;
    private BenchRig rig = BenchRig.PAIR;
    private Optional<BenchTable> table = Optional.empty();
    private Continuity continuity = new Continuity();
    private long lastReadingNs;

    private final List<BiConsumer<List<String>, Reading>> loggers = new ArrayList<>();

    private final List<BiConsumer<Double, RunClock.Mark>> clocks = new ArrayList<>();

    private record Hearer(Consumer<Reading> reading, Consumer<String> broke) {}

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
            broke("the robot was disconnected");
            link.close();
            link = null;
        }
        inbox = null;
        benchRobot = null;
        columns = List.of();
        picker = null;
        shownColumns.clear();
        sensors.clear();
        latest.set(new double[0]);
        trace.clear();
        status.set(LiveStatus.NONE);
    }

    /** What each column of the stream is taken for; another map holds from the next reading on. */
    public void map(ColumnMap newMap, Robot newRobot) {
        List<String> newSensors = newRobot.sensors().stream().map(Sensor::name).toList();
        if (!newMap.equals(map)
                || !newSensors.equals(robotSensors)
                || !newRobot.channels().equals(channels)) {
            map = newMap;
            robotSensors = newSensors;
            channels = newRobot.channels();
            columns = List.of();
        }
    }

    /** @param logger takes every line with its columns as the robot names them, on the interface thread */
    public void addLogger(BiConsumer<List<String>, Reading> logger) {
        loggers.add(logger);
    }

    /** @param clock takes the robot's time of every reading, and what its program said of a run with it; on the interface thread */
    public void addClock(BiConsumer<Double, RunClock.Mark> clock) {
        clocks.add(clock);
    }

    /** The columns of the stream as the robot names them. */
    public ObservableList<String> columns() {
        return readColumns;
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
            continuity.breakBefore(tick).ifPresent(this::broke);
            if (!columns.equals(tick.columns())) {
                follow(tick.columns());
            }
            readings++;
            for (BiConsumer<List<String>, Reading> logger : loggers) {
                logger.accept(tick.columns(), tick.reading());
            }
            for (BiConsumer<Double, RunClock.Mark> clock : clocks) {
                clock.accept(tick.reading().tS(), tick.mark());
            }
            last = picker.pick(tick.reading());
            trace.add(last, now);
            for (Hearer hearer : hearers) {
                hearer.reading().accept(last);
            }
        }
        if (last != null) {
            lastReadingNs = now;
            latest.set(last.values());
        }
        String away = tellNews(box, last != null);
        if (box.ticks.isEmpty()) {
            continuity.interrupted(box.interruptions).ifPresent(this::broke);
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
            broke("the link is lost");
        }
    }

    private void follow(List<String> newColumns) {
        columns = newColumns;
        shownColumns.setAll(newColumns);
        picker = map.picker(newColumns, robotSensors, channels);
        sensors.setAll(picker.sensors());
        trace.begin(picker.sensors().size());
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

    private void broke(String why) {
        hearers.forEach(h -> h.broke().accept(why));
    }

    /**
     * Hears every reading from now on, on the interface thread.
     *
     * @param broke told why readings before and after do not belong together: the link broke, the robot started again or sends other columns
     */
    public void addHearer(Consumer<Reading> reading, Consumer<String> broke) {
        hearers.add(new Hearer(reading, broke));
    }

    public ReadOnlyObjectProperty<LiveStatus> statusProperty() {
        return status.getReadOnlyProperty();
    }

    /** The newest value of each sensor; empty without a link. */
    public ReadOnlyObjectProperty<double[]> latestProperty() {
        return latest.getReadOnlyProperty();
    }

    public ObservableList<String> sensors() {
        return shownSensors;
    }

    /** The places of those of the sensors that are no channels of another. */
    public List<Integer> lines() {
        List<String> lines = ColourColumns.withoutChannels(sensors);
        return lines.stream().map(sensors::indexOf).toList();
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
