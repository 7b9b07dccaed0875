package fahrbahn.link.bench;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.check.Check;
import fahrbahn.core.path.Pose;
import fahrbahn.core.readings.Reading;
import fahrbahn.core.sensing.Lookout;
import fahrbahn.link.LinkListener;
import java.util.Arrays;
import java.util.Optional;
import java.util.Random;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.Consumer;
import java.util.stream.IntStream;

/**
 * A simulated robot, held by hand over a strip of line or put down anywhere on a table. It is built like the robot in hand
 * ({@link BenchRig}); it can be slid at a steady speed, swept or lifted, and drives along the table's line ({@link BenchTable}).
 * Thread-safe; one call of {@link #tick} a loop period.
 *
 * <p>Place is how far the robot is to the left, mm: of the line's centre on the strip, of where it was put on a table.
 */
public final class BenchRobot {
    /** Period of the robot's own loop. */
    public static final double PERIOD_S = 0.01;

    /** A sweep to both sides takes this long, there and back. */
    private static final double SWEEP_S = 2.4;

    /** Of the way to where there is nothing but ground. */
    private static final double SWEEP_SHARE = 0.75;

    private BenchRig rig;
    private Optional<BenchTable> table;
    private final Random random;
    private Consumer<String> says = words -> {};
    private final AtomicLong drives = new AtomicLong();
    private long ticks;
    private double placeMm;
    private double goalMm;
    private double slideMmPerS;
    private boolean onDarkPatch;
    private boolean lamp = true;
    private boolean lifted;
    private boolean sweeping;
    private double sweptS;
    private Optional<BenchStand> stand = Optional.empty();

    /**
     * @param table it can be put on; empty when there is the strip alone
     * @param seed of the noise; the same seed gives the same readings
     */
    public BenchRobot(BenchRig rig, Optional<BenchTable> table, long seed) {
        this.rig = rig;
        this.table = table;
        this.random = new Random(seed);
        place(rig.onLightMm());
    }

    /** One that knows no table. */
    public BenchRobot(BenchRig rig, long seed) {
        this(rig, Optional.empty(), seed);
    }

    /** A pair of no robot in particular. */
    public BenchRobot(long seed) {
        this(BenchRig.PAIR, seed);
    }

    /** What it says to whoever listens, in words: why it cannot do what it was asked, and how a drive ended. */
    public synchronized void onSaying(Consumer<String> newSays) {
        says = newSays;
    }

    /**
     * Becomes another robot, or the same with another table or program: it stays where it was when it has the same sensors and sees the
     * same there, else it is put down on the strip's ground with its lamps on.
     */
    public synchronized void become(BenchRig other, Optional<BenchTable> otherTable) {
        boolean same = other.names().equals(rig.names());
        boolean samePlace = stand.isEmpty()
                || table.isPresent() && otherTable.isPresent() && table.get().looksLike(otherTable.get());
        rig = other;
        table = otherTable;
        if (!same || !samePlace) {
            lamp = true;
            place(rig.onLightMm());
        }
    }

    public synchronized BenchRig rig() {
        return rig;
    }

    /** Puts the robot down on the strip at a place, mm, held inside it. */
    public synchronized void place(double newPlaceMm) {
        Check.finite("placeMm", newPlaceMm);
        placeMm = held(newPlaceMm);
        goalMm = placeMm;
        stand = Optional.empty();
        putDown();
    }

    /** Puts it down anywhere on the table. Painting what it sees there may take a moment the first time. */
    public void put(Pose pose) {
        Check.finite("xMm", pose.xMm());
        Check.finite("yMm", pose.yMm());
        Check.finite("headingRad", pose.headingRad());
        onTable().ifPresent(on -> standAt(on, pose, Optional.empty()));
    }

    /** Puts it down at the start of the table's line. */
    public void putAtStart() {
        onTable().ifPresent(on -> standAt(on, on.start(), Optional.empty()));
    }

    /** Drives along the table's line from its start, by the program. Works out the way first, which may take a moment. */
    public void drive() {
        Optional<BenchTable> on = onTable();
        if (on.isEmpty()) {
            return;
        }
        long seed = drives.incrementAndGet();
        try {
            Optional<BenchTable.Ride> ride = on.get().ride(seed);
            if (ride.isEmpty()) {
                say("It cannot drive here: find the mat's line on page Mat first");
            } else {
                standAt(on.get(), ride.get().at(0), ride);
                say(LinkListener.RUN_STARTS);
            }
        } catch (BadValueException cannot) {
            say("It cannot drive here: " + cannot.getMessage());
        }
    }

    /** Halts a drive where it is. */
    public synchronized void halt() {
        stand = stand.map(s -> new BenchStand(s.at(ticks), s.lookout(), Optional.empty(), ticks));
    }

    private Optional<BenchTable> onTable() {
        Optional<BenchTable> on;
        synchronized (this) {
            on = table;
        }
        if (on.isEmpty()) {
            say("It has no table to stand on: there is the strip alone");
        }
        return on;
    }

    private void standAt(BenchTable on, Pose pose, Optional<BenchTable.Ride> ride) {
        Lookout lookout;
        try {
            lookout = on.lookout(); // not while others wait for the next reading
        } catch (BadValueException cannot) {
            say("It cannot be put there: " + cannot.getMessage());
            return;
        }
        synchronized (this) {
            if (table.equals(Optional.of(on))) {
                placeMm = 0;
                goalMm = 0;
                stand = Optional.of(new BenchStand(pose, lookout, ride, ticks));
                putDown();
            }
        }
    }

    private void say(String words) {
        Consumer<String> to;
        synchronized (this) {
            to = says;
        }
        to.accept(words);
    }

    /** Where it stands on the table; empty on the strip. */
    public synchronized Optional<Pose> pose() {
        return stand.map(s -> s.at(ticks).offset(0, placeMm));
    }

    /** On a table as on the strip: a hand does not reach further. */
    private double held(double mm) {
        return Math.max(-rig.reachMm(), Math.min(rig.reachMm(), mm));
    }

    private void putDown() {
        onDarkPatch = false;
        lifted = false;
        sweeping = false;
    }

    /** Puts it down on a patch as dark as the line and wide enough for all sensors. */
    public synchronized void placeOnDark() {
        stand = Optional.empty();
        putDown();
        onDarkPatch = true;
    }

    /** Switches the sensors' own lamps. */
    public synchronized void lamp(boolean on) {
        lamp = on;
    }

    /** Lifts it off the mat; putting it down anywhere ends that. */
    public synchronized void lift() {
        halt();
        putDown();
        lifted = true;
    }

    /** Moves it to and fro over ground and line until it is put down anywhere. */
    public synchronized void sweep() {
        halt();
        putDown();
        sweeping = true;
        sweptS = 0;
    }

    /** Slides it to a place. @param speedMmPerS above 0 */
    public synchronized void slideTo(double newGoalMm, double speedMmPerS) {
        Check.finite("goalMm", newGoalMm);
        Check.positive("speedMmPerS", speedMmPerS);
        halt();
        goalMm = held(newGoalMm);
        slideMmPerS = speedMmPerS;
        putDown();
    }

    /** Puts it down to the left of where it was put, or of the strip's line. */
    public synchronized void shift(double newPlaceMm) {
        Check.finite("placeMm", newPlaceMm);
        halt();
        placeMm = held(newPlaceMm);
        goalMm = placeMm;
        putDown();
    }

    public synchronized double placeMm() {
        return placeMm;
    }

    /** The next reading, one period after the last. */
    public Reading tick() {
        Optional<String> end;
        Reading reading;
        synchronized (this) {
            double t = ticks * PERIOD_S;
            move();
            ticks++;
            double[] values = IntStream.range(0, rig.sensors().size())
                    .mapToObj(this::see)
                    .flatMapToDouble(Arrays::stream)
                    .toArray();
            reading = new Reading(t, "", placeMm, values);
            end = stand.flatMap(s -> s.ended(ticks));
            if (end.isPresent()) {
                halt();
            }
        }
        if (end.isPresent()) {
            say(LinkListener.RUN_ENDS);
            say(end.get());
        }
        return reading;
    }

    private void move() {
        if (sweeping) {
            sweptS += PERIOD_S;
            placeMm = SWEEP_SHARE * rig.onLightMm() * Math.sin(2 * Math.PI * sweptS / SWEEP_S);
            goalMm = placeMm;
            return;
        }
        double step = slideMmPerS * PERIOD_S;
        placeMm += Math.max(-step, Math.min(step, goalMm - placeMm));
    }

    private double[] see(int sensor) {
        BenchRig.Eye eye = rig.sensors().get(sensor);
        return eye.sent(even(sensor, eye), lamp, random);
    }

    /** One number, or one for each channel of a colour sensor. */
    private double[] even(int sensor, BenchRig.Eye eye) {
        if (lifted || onDarkPatch || stand.isEmpty()) {
            return eye.alike(
                    lifted
                            ? eye.reads().zero() + eye.reads().air()
                            : onDarkPatch ? eye.reads().line() : eye.even(placeMm, rig.lineWidthMm()));
        }
        Pose pose = stand.get().at(ticks).offset(0, placeMm);
        return Arrays.stream(stand.get().lookout().lineShares(sensor, pose))
                .map(eye::even)
                .toArray();
    }
}
