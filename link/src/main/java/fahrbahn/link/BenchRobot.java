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

    private static final Eye LEFT = new Eye(HALF_SPACING_MM, 236, 742, 3.2);
    private static final Eye RIGHT = new Eye(-HALF_SPACING_MM, 191, 655, 2.6);

    private record Eye(double leftMm, double dark, double light, double noise) {
        double reading(double placeMm, double lineMm, Random random) {
            double covered = Spot.coverage(placeMm + leftMm - lineMm, LINE_WIDTH_MM, SPOT_SIGMA_MM);
            return rounded(light + (dark - light) * covered + noise * random.nextGaussian());
        }

        double onDark(Random random) {
            return rounded(dark + noise * random.nextGaussian());
        }

        private static double rounded(double reading) {
            return Math.max(0, Math.min(FULL_READING, Math.rint(reading)));
        }
    }

    private final Random random;
    private long ticks;
    private double placeMm = ON_LIGHT_MM;
    private double goalMm = ON_LIGHT_MM;
    private double slideMmPerS;
    private boolean onDarkPatch;

    /** @param seed of the noise; the same seed gives the same readings */
    public BenchRobot(long seed) {
        this.random = new Random(seed);
    }

    /** Puts the robot down at a place, mm, held inside the mat. */
    public synchronized void place(double newPlaceMm) {
        Check.finite("placeMm", newPlaceMm);
        placeMm = Math.max(-REACH_MM, Math.min(REACH_MM, newPlaceMm));
        goalMm = placeMm;
        onDarkPatch = false;
    }

    /** Puts it down on a patch as dark as the line and wide enough for both sensors. */
    public synchronized void placeOnDark() {
        onDarkPatch = true;
    }

    /** Slides it to a place. @param speedMmPerS above 0 */
    public synchronized void slideTo(double newGoalMm, double speedMmPerS) {
        Check.finite("goalMm", newGoalMm);
        Check.positive("speedMmPerS", speedMmPerS);
        goalMm = Math.max(-REACH_MM, Math.min(REACH_MM, newGoalMm));
        slideMmPerS = speedMmPerS;
        onDarkPatch = false;
    }

    public synchronized double placeMm() {
        return placeMm;
    }

    /** The next reading, one period after the last. */
    public synchronized Reading tick() {
        double t = ticks * PERIOD_S;
        double step = slideMmPerS * PERIOD_S;
        placeMm += Math.max(-step, Math.min(step, goalMm - placeMm));
        ticks++;
        double[] values = {
            onDarkPatch ? LEFT.onDark(random) : LEFT.reading(placeMm, 0, random),
            onDarkPatch ? RIGHT.onDark(random) : RIGHT.reading(placeMm, 0, random)
        };
        return new Reading(t, "", placeMm, values);
    }

    /**
     * Does what a line of text asks: {@code light}, {@code dark}, {@code at MM}, {@code slide MM MM_PER_S}. Anything else is
     * ignored: a robot cannot argue.
     */
    public void obey(String line) {
        String[] words = line.strip().toLowerCase(Locale.ROOT).split("\\s+");
        try {
            switch (words[0]) {
                case "light" -> place(ON_LIGHT_MM);
                case "dark" -> placeOnDark();
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
