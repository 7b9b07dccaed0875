package fahrbahn.app.robot.bench;

import fahrbahn.app.chart.CanvasRegion;
import fahrbahn.core.path.Pose;
import fahrbahn.core.practice.RollShowing;
import fahrbahn.core.practice.Showing;
import fahrbahn.core.setup.Setup;
import fahrbahn.pen.Pen;
import java.util.Optional;
import java.util.function.Supplier;

/** The robot that is practised on, as it rolls, turns, counts, wiggles or is slid. */
final class PracticeCanvas extends CanvasRegion {
    private static final String TEXT = "ink-text";
    private static final String LINE = "ink-road";
    private static final Pen.Stroke MARK = new Pen.Stroke("ink-curve", 2);
    private static final Pen.Stroke FAINT = new Pen.Stroke("ink-curve", 1, 4, 6);

    /** How much of a straight line is in sight around the robot, mm. */
    private static final double IN_SIGHT_MM = 420;

    private static final double SIDE_PX = 34;

    private final BenchCard card;
    private final Practice practice;
    private final Supplier<Setup> setup;
    private double shownS = Double.NaN;
    private int shownWent;

    /** @param setup of a robot that looks like the one that is practised on */
    PracticeCanvas(BenchCard card, Practice practice, Supplier<Setup> setup) {
        super("Practice: " + card.title() + "; G starts the robot", 200);
        this.card = card;
        this.practice = practice;
        this.setup = setup;
        setId("practiceCanvas");
    }

    /** Shows what is to be seen now. */
    void frame() {
        double now = practice.showing()
                .map(s -> Math.min(practice.elapsedS(), s.endS()))
                .orElse(0.0);
        int went = practice.stageProperty().get().went();
        if (now != shownS || went != shownWent) {
            shownS = now;
            shownWent = went;
            requestLayout();
        }
    }

    @Override
    protected String says() {
        return practice.display();
    }

    @Override
    protected void paint(Pen pen) {
        double w = getWidth();
        double h = getHeight();
        double now = practice.elapsedS();
        Optional<Showing> showing = practice.showing();
        Pose pose = showing.map(s -> s.at(now)).orElse(new Pose(0, 0, 0));
        switch (card) {
            case ROLL -> roll(pen, w, h, showing, pose);
            case SPIN -> {
                pen.line(MARK, w / 2 + 60, h / 2, w / 2 + 92, h / 2);
                pen.text(TEXT, "the mark", w / 2 + 98, h / 2 + 5);
                CardSketch.robot(pen, w / 2, h / 2, pose.headingRad(), setup.get());
            }
            case LOOPS -> {
                CardSketch.robot(pen, w / 4, h / 2, 0, setup.get());
                pen.frame(MARK, w / 2 - 10, h / 2 - 34, 180, 56);
                pen.text(TEXT, "loops: " + practice.display(), w / 2 + 8, h / 2);
            }
            case CREEP -> creep(pen, w, h, showing, pose);
            case WIGGLES -> wiggle(pen, w, h, pose);
            case SLIDE -> slide(pen, w, h);
        }
        String said = card == BenchCard.LOOPS ? "" : practice.display();
        boolean stands = practice.stageProperty().get().went() == 0;
        pen.text(TEXT, stands ? "G starts it" : said, SIDE_PX, h - 10);
    }

    private void roll(Pen pen, double w, double h, Optional<Showing> showing, Pose pose) {
        double before = showing.map(s -> ((RollShowing) s).runUpMm()).orElse(0.0);
        double length = BenchCard.ROLL.fields().get(1).usual();
        double scale = (w - 3 * SIDE_PX) / (before + length + 120);
        double zero = SIDE_PX + before * scale;
        CardSketch.ruler(pen, zero, h - 60, zero + length * scale);
        pen.line(FAINT, zero, 20, zero, h - 60);
        pen.line(FAINT, zero + length * scale, 20, zero + length * scale, h - 60);
        double x = showing.isPresent() ? pose.xMm() : -before;
        CardSketch.robot(pen, zero + x * scale, h / 2 - 20 - pose.yMm() * scale, pose.headingRad(), setup.get());
    }

    private void creep(Pen pen, double w, double h, Optional<Showing> showing, Pose pose) {
        double all = showing.map(s -> s.at(s.endS()).xMm()).orElse(1.0);
        double scale = (w - 3 * SIDE_PX) / Math.max(1, all);
        pen.line(FAINT, SIDE_PX, h - 60, w - SIDE_PX, h - 60);
        CardSketch.robot(pen, 2 * SIDE_PX + pose.xMm() * scale, h / 2 - 20, 0, setup.get());
    }

    /** Near enough to be counted; strokes along the line show that it rolls. */
    private void wiggle(Pen pen, double w, double h, Pose pose) {
        double scale = w / IN_SIGHT_MM;
        pen.box(LINE, 0, h / 2 - 9, w, 18);
        double first = -(pose.xMm() % 50) * scale;
        for (double x = first; x < w; x += 50 * scale) {
            pen.line(FAINT, x, h / 2 + 40, x, h / 2 + 52);
        }
        double off = pose.yMm() == 0 ? 0 : pose.yMm() - WIGGLE_LINE_Y_MM;
        CardSketch.robot(pen, w / 2, h / 2 - 3 * off * scale, 2 * pose.headingRad(), setup.get());
    }

    /** Where a straight line of the twin lies on its table. */
    private static final double WIGGLE_LINE_Y_MM = 150;

    private void slide(Pen pen, double w, double h) {
        double scale = (w - 2 * SIDE_PX) / Math.max(1, practice.slideEndMm());
        pen.box(LINE, w / 2 - 16, 16, 32, h - 84);
        CardSketch.ruler(pen, SIDE_PX, h - 52, w - SIDE_PX);
        CardSketch.robot(pen, SIDE_PX + practice.placeMm() * scale, h / 2 - 26, Math.PI / 2, setup.get());
    }
}
