package fahrbahn.link;

import fahrbahn.core.check.Check;
import fahrbahn.core.readings.Reading;
import fahrbahn.core.response.Spot;
import java.util.List;
import java.util.Locale;
import java.util.Random;

/**
 * A simulated robot on a mat, held by hand over a line. Two sensors look down side by side, alike only on paper: each has its
 * own gain, offset, noise and rounding. The robot can be put down anywhere across the line, or slid at a steady speed.
 * Thread-safe; one call of {@link #tick} a loop period.
 *
 * <p>Place is the distance of the middle between the sensors to the left of the line's centre, mm.
 */
public final class BenchRobot {
    public static final List<String> SENSORS = List.of("left", "right");

    /** Period of the robot's own loop. */
    public static final double PERIOD_S = 0.01;

    /** The mat's edge: the robot cannot be slid further. */
    public static final double REACH_MM = 120;

    /** Where both sensors see nothing but ground. */
    public static final double ON_LIGHT_MM = 80;

    private static final double LINE_WIDTH_MM = 19;
    private static final double SPOT_SIGMA_MM = 3.1;
    private static final double HALF_SPACING_MM = 9.5;
    private static final double FULL_READING = 1023;

    /** What a sensor reports in full darkness. */
    private static final double ZERO = 18;

    /** What its own lamp brings back from the air under a lifted robot, over {@link #ZERO}. */
    private static final double AIR = 21;

    /** A sweep to both sides takes this long, there and back. */
    private static final double SWEEP_S = 2.4;

    private static final double SWEEP_MM = 60;

    /** The left sensor sits where room light gets in. */
    private static final Eye LEFT = new Eye(HALF_SPACING_MM, 236, 742, 3.2, 0.09);

    private static final Eye RIGHT = new Eye(-HALF_SPACING_MM, 191, 655, 2.6, 0.012);

    /** @param roomShare of the light it works with that comes from the room and not from its lamp */
    private record Eye(double leftMm, double dark, double light, double noise, double roomShare) {
        double reading(double placeMm) {
            return light + (dark - light) * Spot.coverage(placeMm + leftMm, LINE_WIDTH_MM, SPOT_SIGMA_MM);
        }

        double reported(double even, boolean lamp, Random random) {
            double lit = lamp ? even : ZERO + roomShare * (even - ZERO);
            return Math.max(0, Math.min(FULL_READING, Math.rint(lit + noise * random.nextGaussian())));
        }
    }

    private final Random random;
    private long ticks;
    private double placeMm = ON_LIGHT_MM;
    private double goalMm = ON_LIGHT_MM;
    private double slideMmPerS;
    private boolean onDarkPatch;
    private boolean lamp = true;
    private boolean lifted;
    private boolean sweeping;
    private double sweptS;

    /** @param seed of the noise; the same seed gives the same readings */
    public BenchRobot(long seed) {
        this.random = new Random(seed);
    }

    /** Puts the robot down at a place, mm, held inside the mat. */
    public synchronized void place(double newPlaceMm) {
        Check.finite("placeMm", newPlaceMm);
        placeMm = Math.max(-REACH_MM, Math.min(REACH_MM, newPlaceMm));
        goalMm = placeMm;
        putDown();
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
        goalMm = Math.max(-REACH_MM, Math.min(REACH_MM, newGoalMm));
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
        double[] values = {see(LEFT), see(RIGHT)};
        return new Reading(t, "", placeMm, values);
    }

    private void move() {
        if (sweeping) {
            sweptS += PERIOD_S;
            placeMm = SWEEP_MM * Math.sin(2 * Math.PI * sweptS / SWEEP_S);
            goalMm = placeMm;
            return;
        }
        double step = slideMmPerS * PERIOD_S;
        placeMm += Math.max(-step, Math.min(step, goalMm - placeMm));
    }

    private double see(Eye eye) {
        if (lifted) {
            return eye.reported(ZERO + AIR, lamp, random);
        }
        return eye.reported(onDarkPatch ? eye.dark() : eye.reading(placeMm), lamp, random);
    }

    /**
     * Does what a line of text asks: {@code light}, {@code dark}, {@code at MM}, {@code slide MM MM_PER_S}, {@code sweep},
     * {@code lift}, {@code lamp on}, {@code lamp off}. Anything else is ignored: a robot cannot argue.
     */
    public void obey(String line) {
        String[] words = line.strip().toLowerCase(Locale.ROOT).split("\\s+");
        try {
            switch (words[0]) {
                case "light" -> place(ON_LIGHT_MM);
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

    static String header() {
        return "tS,positionMm," + String.join(",", SENSORS);
    }

    /** A reading as a line of the live protocol. */
    static String line(Reading reading) {
        return String.format(
                Locale.ROOT,
                "%.2f,%.1f,%.0f,%.0f",
                reading.tS(),
                reading.positionMm(),
                reading.value(0),
                reading.value(1));
    }
}
