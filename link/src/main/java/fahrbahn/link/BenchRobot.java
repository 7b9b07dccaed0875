package fahrbahn.link;

import fahrbahn.core.check.Check;
import fahrbahn.core.readings.Reading;
import java.util.List;
import java.util.Locale;
import java.util.Random;

/**
 * A simulated robot on a mat, held by hand over a line. It is built like the robot in hand ({@link BenchRig}), and can be put down
 * anywhere across the line, slid at a steady speed, swept or lifted. Thread-safe; one call of {@link #tick} a loop period.
 *
 * <p>Place is the distance of the robot's middle to the left of the line's centre, mm.
 */
public final class BenchRobot {
    /** Period of the robot's own loop. */
    public static final double PERIOD_S = 0.01;

    /** A sweep to both sides takes this long, there and back. */
    private static final double SWEEP_S = 2.4;

    /** Of the way to where there is nothing but ground. */
    private static final double SWEEP_SHARE = 0.75;

    private static final int MOST_DECIMALS = 4;

    private BenchRig rig;
    private final Random random;
    private long ticks;
    private double placeMm;
    private double goalMm;
    private double slideMmPerS;
    private boolean onDarkPatch;
    private boolean lamp = true;
    private boolean lifted;
    private boolean sweeping;
    private double sweptS;

    /** @param seed of the noise; the same seed gives the same readings */
    public BenchRobot(BenchRig rig, long seed) {
        this.rig = rig;
        this.random = new Random(seed);
        place(rig.onLightMm());
    }

    /** A pair of no robot in particular. */
    public BenchRobot(long seed) {
        this(BenchRig.PAIR, seed);
    }

    /** Becomes another robot: where this one was when it has the same sensors, else put down on ground with its lamps on. */
    public synchronized void become(BenchRig other) {
        boolean same = other.names().equals(rig.names());
        rig = other;
        if (!same) {
            lamp = true;
            place(rig.onLightMm());
        }
    }

    public synchronized BenchRig rig() {
        return rig;
    }

    /** Puts the robot down at a place, mm, held inside the mat. */
    public synchronized void place(double newPlaceMm) {
        Check.finite("placeMm", newPlaceMm);
        placeMm = held(newPlaceMm);
        goalMm = placeMm;
        putDown();
    }

    private double held(double mm) {
        return Math.max(-rig.reachMm(), Math.min(rig.reachMm(), mm));
    }

    private void putDown() {
        onDarkPatch = false;
        lifted = false;
        sweeping = false;
    }

    /** Puts it down on a patch as dark as the line and wide enough for both sensors. */
    public synchronized void placeOnDark() {
        putDown();
        onDarkPatch = true;
    }

    /** Switches the sensors' own lamps. */
    public synchronized void lamp(boolean on) {
        lamp = on;
    }

    /** Lifts it off the mat; putting it down anywhere ends that. */
    public synchronized void lift() {
        putDown();
        lifted = true;
    }

    /** Moves it to and fro over ground and line until it is put down anywhere. */
    public synchronized void sweep() {
        putDown();
        sweeping = true;
        sweptS = 0;
    }

    /** Slides it to a place. @param speedMmPerS above 0 */
    public synchronized void slideTo(double newGoalMm, double speedMmPerS) {
        Check.finite("goalMm", newGoalMm);
        Check.positive("speedMmPerS", speedMmPerS);
        goalMm = held(newGoalMm);
        slideMmPerS = speedMmPerS;
        putDown();
    }

    public synchronized double placeMm() {
        return placeMm;
    }

    /** The next reading, one period after the last. */
    public synchronized Reading tick() {
        double t = ticks * PERIOD_S;
        move();
        ticks++;
        double[] values = rig.sensors().stream().mapToDouble(this::see).toArray();
        return new Reading(t, "", placeMm, values);
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

    private double see(BenchRig.Eye eye) {
        if (lifted) {
            return eye.reported(eye.zero() + eye.air(), lamp, random);
        }
        return eye.reported(onDarkPatch ? eye.line() : eye.even(placeMm, rig.lineWidthMm()), lamp, random);
    }

    /**
     * Does what a line of text asks: {@code light}, {@code dark}, {@code at MM}, {@code slide MM MM_PER_S}, {@code sweep},
     * {@code lift}, {@code lamp on}, {@code lamp off}. Anything else is ignored: a robot cannot argue.
     */
    public void obey(String line) {
        String[] words = line.strip().toLowerCase(Locale.ROOT).split("\\s+");
        try {
            switch (words[0]) {
                case "light" -> place(rig().onLightMm());
                case "dark" -> placeOnDark();
                case "sweep" -> sweep();
                case "lift" -> lift();
                case "lamp" -> lamp(!words[1].equals("off"));
                case "at" -> place(Double.parseDouble(words[1]));
                case "slide" -> slideTo(Double.parseDouble(words[1]), Double.parseDouble(words[2]));
                default -> {}
            }
        } catch (IllegalArgumentException | ArrayIndexOutOfBoundsException notUnderstood) {
            // As above: ignored.
        }
    }

    String header() {
        return "tS,positionMm," + String.join(",", rig().names());
    }

    /** A reading as a line of the live protocol, each sensor with as many decimals as its step has. */
    String line(Reading reading) {
        StringBuilder line =
                new StringBuilder(String.format(Locale.ROOT, "%.2f,%.1f", reading.tS(), reading.positionMm()));
        List<BenchRig.Eye> eyes = rig().sensors();
        for (int i = 0; i < eyes.size(); i++) {
            double step = eyes.get(i).step();
            int decimals = step == 0
                    ? MOST_DECIMALS
                    : (int) Math.max(0, Math.min(MOST_DECIMALS, Math.ceil(-Math.log10(step))));
            line.append(',').append(String.format(Locale.ROOT, "%." + decimals + "f", reading.value(i)));
        }
        return line.toString();
    }
}
