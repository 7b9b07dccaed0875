package fahrbahn.link.bench;

import fahrbahn.core.path.Pose;
import fahrbahn.core.readings.Reading;
import fahrbahn.link.LinkListener;
import java.util.Locale;

/** What the bench robot prints and what it understands, in the live line protocol. */
public final class BenchProtocol {
    private static final int MOST_DECIMALS = 4;

    private BenchProtocol() {}

    static String header(BenchRobot robot) {
        return "# " + LinkListener.GREETING + ", a line every " + BenchRobot.PERIOD_S + " s\ntS,positionMm,"
                + String.join(",", robot.rig().columns());
    }

    /** A reading as a line, each sensor with as many decimals as its step has. */
    static String line(BenchRobot robot, Reading reading) {
        StringBuilder line =
                new StringBuilder(String.format(Locale.ROOT, "%.2f,%.1f", reading.tS(), reading.positionMm()));
        int column = 0;
        for (BenchRig.Eye eye : robot.rig().sensors()) {
            double step = eye.step();
            int decimals = step == 0
                    ? MOST_DECIMALS
                    : (int) Math.max(0, Math.min(MOST_DECIMALS, Math.ceil(-Math.log10(step))));
            for (int i = 0; i < (eye.colour() ? 3 : 1); i++) {
                line.append(',').append(String.format(Locale.ROOT, "%." + decimals + "f", reading.value(column++)));
            }
        }
        return line.toString();
    }

    /**
     * Has a robot do what a line of text asks: {@code light}, {@code dark}, {@code at MM}, {@code slide MM MM_PER_S}, {@code sweep},
     * {@code lift}, {@code lamp on}, {@code lamp off}; on a table {@code put X_MM Y_MM DEGREES}, {@code start}, {@code drive},
     * {@code halt}, and {@code at}, {@code slide} and {@code sweep} to the left of where it was put. Anything else is ignored: a robot
     * cannot argue. A table is painted when it is first needed, so it may take a moment.
     */
    public static void obey(BenchRobot robot, String line) {
        String[] words = line.strip().toLowerCase(Locale.ROOT).split("\\s+");
        try {
            switch (words[0]) {
                case "light" -> robot.place(robot.rig().onLightMm());
                case "dark" -> robot.placeOnDark();
                case "sweep" -> robot.sweep();
                case "lift" -> robot.lift();
                case "lamp" -> robot.lamp(!words[1].equals("off"));
                case "at" -> robot.shift(number(words, 1));
                case "slide" -> robot.slideTo(number(words, 1), number(words, 2));
                case "put" ->
                    robot.put(new Pose(
                            number(words, 1),
                            number(words, 2),
                            words.length > 3 ? Math.toRadians(number(words, 3)) : 0));
                case "start" -> robot.putAtStart();
                case "drive" -> robot.drive();
                case "halt" -> robot.halt();
                default -> {}
            }
        } catch (IllegalArgumentException | ArrayIndexOutOfBoundsException notUnderstood) {
            // As above: ignored.
        }
    }

    private static double number(String[] words, int index) {
        return Double.parseDouble(words[index]);
    }
}
