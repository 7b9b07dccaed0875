package fahrbahn.app.robot.bench;

import fahrbahn.app.chart.CanvasRegion;
import fahrbahn.app.ground.RobotMark;
import fahrbahn.core.setup.Setup;
import fahrbahn.pen.Pen;
import fahrbahn.pen.PlacedPen;
import java.util.function.Supplier;

/** A small drawing of a bench measurement. */
public final class CardSketch extends CanvasRegion {
    private static final String TEXT = "ink-text";
    private static final String LINE = "ink-road";
    private static final Pen.Stroke RULER = new Pen.Stroke("ink-curve", 2);
    private static final Pen.Stroke BODY = new Pen.Stroke("ink-robot", 2);
    private static final double EDGE_PX = 2;
    private static final double TRACK_PX = 56;
    private static final double LONGEST_PX = 90;
    private static final Pen.Stroke BOX = new Pen.Stroke(TEXT, 2);

    private final BenchCard card;
    private final Supplier<Setup> setup;

    /** @param setup of the robot to be drawn */
    public CardSketch(BenchCard card, Supplier<Setup> setup) {
        super("Drawing: " + card.title(), 170);
        this.setup = setup;
        this.card = card;
    }

    @Override
    protected String says() {
        return card.steps();
    }

    @Override
    protected void paint(Pen pen) {
        draw(card, pen, getWidth(), getHeight(), setup.get());
    }

    public static void draw(BenchCard card, Pen pen, double w, double h, Setup setup) {
        switch (card) {
            case ROLL -> {
                ruler(pen, 40, h - 46, w - 30);
                robot(pen, 70, h / 2 - 22, 0, setup);
                arrow(pen, 118, h / 2 - 22, w - 70, h / 2 - 22);
                say(pen, "one metre, at speed from the first mark on", 40, h - 14, w);
                pen.line(RULER, w - 44, h / 2 - 22, w - 44, h / 2 - 44);
                say(pen, "drift", w - 40, h / 2 - 30, w);
            }
            case SPIN -> {
                robot(pen, w / 2, h / 2, 0.5, setup);
                pen.arc(RULER, w / 2, h / 2, 68, Math.toRadians(30), Math.toRadians(290));
                pen.line(RULER, w / 2 + 58, h / 2 - 34, w / 2 + 66, h / 2 - 50);
                pen.line(RULER, w / 2 + 58, h / 2 - 34, w / 2 + 42, h / 2 - 42);
                say(pen, "a mark on the table to count by", 24, h - 10, w);
            }
            case CREEP -> {
                robot(pen, 70, h / 2 - 30, 0, setup);
                staircase(pen, 130, h - 52, w - 40, 14);
                say(pen, "up until it rolls, down until it stops", 40, h - 14, w);
            }
            case LOOPS -> {
                robot(pen, w / 2, h / 2 - 14, 0, setup);
                say(pen, "wheels up, on a box", w / 2 - 56, h / 2 + 48, w);
                pen.frame(BOX, w / 2 - 26, h / 2 + 14, 52, 16);
                say(pen, "loops = 0 ... loops + 1 ... print after 10 s", 24, h - 10, w);
            }
            case WIGGLES -> {
                pen.box(LINE, 10, h / 2 - 9, w - 20, 18);
                wave(pen, 20, w - 60, h / 2);
                robot(pen, w - 46, h / 2 - 10, -0.3, setup);
                say(pen, "one wiggle: there and back", 20, h / 2 + 58, w);
            }
            case SLIDE -> {
                pen.box(LINE, w / 2 - 16, 16, 32, h - 70);
                ruler(pen, 40, h - 46, w - 30);
                robot(pen, 78, h / 2 - 26, Math.PI / 2, setup);
                arrow(pen, 122, h / 2 - 26, w - 60, h / 2 - 26);
                say(pen, "sideways, steadily, from background to background", 40, h - 14, w);
            }
        }
    }

    /** Words that stay inside: moved to the left as far as they must, and in two lines where one is too narrow for them. */
    private static void say(Pen pen, String words, double x, double y, double width) {
        double wide = pen.width(words);
        if (wide <= width - 2 * EDGE_PX) {
            pen.text(TEXT, words, Math.min(x, width - EDGE_PX - wide), y);
            return;
        }
        int middle = words.indexOf(' ', words.length() / 2);
        say(pen, words.substring(0, middle), x, y - pen.lineHeight(), width);
        say(pen, words.substring(middle + 1), x, y, width);
    }

    /** The robot as everywhere, so large that its track measures the same for every robot. */
    static void robot(Pen pen, double x, double y, double turnRad, Setup setup) {
        double length = RobotMark.frontMm(setup) + RobotMark.backMm(setup);
        double scale = Math.min(TRACK_PX / setup.robot().drive().trackWidthMm(), LONGEST_PX / length);
        RobotMark.draw(new PlacedPen(pen, x, y, turnRad), scale, setup, BODY);
    }

    /** A command that rises and falls by steps. */
    private static void staircase(Pen pen, double from, double y, double to, double step) {
        int steps = 7;
        double wide = (to - from) / (2 * steps - 1);
        for (int k = 0; k < 2 * steps - 1; k++) {
            int level = k < steps ? k : 2 * steps - 2 - k;
            double x = from + k * wide;
            pen.line(RULER, x, y - level * step, x + wide, y - level * step);
            if (k < 2 * steps - 2) {
                int next = k + 1 < steps ? k + 1 : 2 * steps - 3 - k;
                pen.line(RULER, x + wide, y - level * step, x + wide, y - next * step);
            }
        }
    }

    private static void wave(Pen pen, double from, double to, double middle) {
        int points = Math.max(2, (int) ((to - from) / 2));
        double[] x = new double[points];
        double[] y = new double[points];
        for (int i = 0; i < points; i++) {
            x[i] = from + 2 * i;
            y[i] = middle + 24 * Math.sin(x[i] / 11);
        }
        pen.line(RULER, x, y);
    }

    static void ruler(Pen pen, double from, double y, double to) {
        pen.frame(RULER, from, y, to - from, 16);
        for (double x = from + 10; x < to; x += 10) {
            pen.line(RULER, x, y, x, y + ((int) ((x - from) / 10) % 5 == 0 ? 10 : 5));
        }
    }

    private static void arrow(Pen pen, double x, double y, double toX, double toY) {
        pen.line(RULER, x, y, toX, toY);
        pen.line(RULER, toX, toY, toX - 10, toY - 6);
        pen.line(RULER, toX, toY, toX - 10, toY + 6);
    }
}
