package fahrbahn.app.drive;

import fahrbahn.app.chart.Pen;
import fahrbahn.app.chart.Sheet;
import fahrbahn.app.ground.RobotMark;
import fahrbahn.app.ground.TableCanvas;
import fahrbahn.app.ground.TablePainter;
import fahrbahn.app.ground.TableScale;
import fahrbahn.app.words.Words;
import fahrbahn.core.mat.Picture;
import fahrbahn.core.mat.TracedMat;
import fahrbahn.core.review.PathDensity;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.Course;
import fahrbahn.core.table.DemoCourses;
import fahrbahn.core.table.Draft;
import fahrbahn.core.table.Ground;
import fahrbahn.core.table.Pose;
import fahrbahn.core.twin.Trace;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.scene.image.ImageView;
import javafx.scene.layout.StackPane;
import javafx.scene.paint.Color;

/**
 * The table from above: what lies on it, where many runs went, and robots on their way. The table is painted when it changes or is looked at
 * closer, the robots every frame.
 */
final class CourseView extends StackPane {
    private static final double MOST_CLOSER = 8;
    private static final double LETTER_PX = 30;
    private static final double SHEET_WIDTH = 760;

    private final TablePainter painter = new TablePainter();
    private final Layer table;
    private final Layer robots;
    private final ImageView density = new ImageView();
    private Ground ground = DemoCourses.workshopLoop();
    private Draft draft = Draft.of(DemoCourses.workshopLoop());
    private double lineWidthMm = 20;
    private List<Runner> runners = List.of();
    private final Map<Runner, Trail> trails = new IdentityHashMap<>();
    private double atS;
    private double closer = 1;
    private boolean follows;
    private PathDensity passes;

    /** A robot on its way. @param letter beside it; empty for none @param ink of its trail @param dashed as the second of two */
    record Runner(String letter, Setup setup, Trace trace, String ink, boolean dashed) {
        private int tick(double tS) {
            return trace.indexAt(tS);
        }

        private Pose pose(int tick) {
            return new Pose(trace.xMm(tick), trace.yMm(tick), trace.headingRad(tick));
        }
    }

    /** @param what it shows, for those who cannot see it */
    CourseView(String what) {
        table = new Layer(what) {
            @Override
            protected Optional<Picture> print() {
                return ground instanceof TracedMat mat ? Optional.of(mat.mat().picture()) : Optional.empty();
            }

            @Override
            protected void paint(Pen pen) {
                if (ground instanceof Course) {
                    painter.lay(draft, lineWidthMm);
                    painter.paint(pen, scale());
                }
                placeDensity(scale());
            }

            @Override
            protected String says() {
                return words();
            }
        };
        robots = new Layer("Robots on their way") {
            @Override
            protected void paint(Pen pen) {
                runners.forEach(runner -> paintRun(pen, scale(), runner, trail(runner, scale()), atS));
            }

            @Override
            protected String says() {
                return words();
            }
        };
        density.setManaged(false);
        density.setSmooth(false);
        density.setMouseTransparent(true);
        robots.setMouseTransparent(true);
        getChildren().addAll(table, density, robots);
        setMinHeight(200);
    }

    /** One of the two canvases over each other; both see the same part of the table. */
    private abstract class Layer extends TableCanvas {
        Layer(String what) {
            super(what, 200);
        }

        Color densityInk() {
            return (Color) paint("ink-density");
        }

        @Override
        protected double tableWidthMm() {
            return ground.widthMm();
        }

        @Override
        protected double tableHeightMm() {
            return ground.heightMm();
        }

        @Override
        protected TableScale seen(TableScale whole) {
            if (closer == 1 || runners.isEmpty()) {
                return whole;
            }
            Pose on = runners.get(0).pose(runners.get(0).tick(atS));
            return whole.closer(closer, on.xMm(), on.yMm(), getWidth() / 2, getHeight() / 2);
        }
    }

    /** Another table, bare. */
    void lay(Ground newGround) {
        ground = newGround;
        if (ground instanceof Course course) {
            draft = Draft.of(course);
        }
        show(List.of(), 0);
        showDensity(null);
        table.requestLayout();
    }

    void showLine(double newLineWidthMm) {
        lineWidthMm = newLineWidthMm;
        table.requestLayout();
    }

    /** @param newRunners the first is the one that is followed @param newAtS how far they are on their way */
    void show(List<Runner> newRunners, double newAtS) {
        runners = List.copyOf(newRunners);
        trails.clear();
        moveTo(newAtS);
    }

    void moveTo(double newAtS) {
        atS = newAtS;
        robots.requestLayout();
        if (closer != 1) {
            table.requestLayout();
        }
    }

    /** Twice as close with every step, and the whole table again after the closest. */
    void lookCloser() {
        closer = closer >= MOST_CLOSER ? 1 : 2 * closer;
        robots.requestLayout();
        table.requestLayout();
    }

    /** Where many runs went; null for none. */
    void showDensity(PathDensity newPasses) {
        passes = newPasses;
        density.setVisible(passes != null);
        if (passes != null) {
            density.setImage(DensityPicture.of(passes, table.densityInk()));
        }
        table.requestLayout();
    }

    private void placeDensity(TableScale at) {
        if (passes == null) {
            return;
        }
        double width = passes.columns() * PathDensity.CELL_MM * at.pxPerMm();
        double height = passes.rows() * PathDensity.CELL_MM * at.pxPerMm();
        density.setFitWidth(width);
        density.setFitHeight(height);
        density.relocate(at.px(0), at.py(0) - height);
    }

    /** The whole table as it is seen now, robots and their ways on it, for paper. Where many runs went is left out: that is pixels. */
    Sheet sheet() {
        Ground on = ground;
        Draft laidOut = ground instanceof Course ? draft : null;
        List<Runner> there = runners;
        double nowS = atS;
        double scale = SHEET_WIDTH / on.widthMm();
        return new Sheet() {
            @Override
            public double width() {
                return SHEET_WIDTH;
            }

            @Override
            public double height() {
                return scale * on.heightMm();
            }

            @Override
            public void draw(Pen pen) {
                TableScale at = new TableScale(0, height(), scale);
                if (laidOut != null) {
                    TablePainter onPaper = new TablePainter();
                    onPaper.lay(laidOut, lineWidthMm);
                    onPaper.paint(pen, at);
                }
                there.forEach(runner -> paintRun(pen, at, runner, new Trail(runner.trace(), runner.setup(), at), nowS));
            }
        };
    }

    private String words() {
        String of = Words.number(ground.path().lengthMm() / 1000) + " m of line on " + Words.number(ground.widthMm())
                + " by " + Words.millimetres(ground.heightMm());
        if (runners.isEmpty()) {
            return passes == null ? of + "." : of + "; the most used place was passed " + passes.most() + " times.";
        }
        Trace trace = runners.get(0).trace();
        int tick = runners.get(0).tick(atS);
        return of + "; the robot after " + Words.seconds(trace.tS(tick)) + " is "
                + Words.millimetres(Math.abs(trace.offsetMm(tick))) + " off its path.";
    }

    private Trail trail(Runner runner, TableScale at) {
        Trail trail = trails.get(runner);
        if (trail == null || !trail.fits(at)) {
            trail = new Trail(runner.trace(), runner.setup(), at);
            trails.put(runner, trail);
        }
        return trail;
    }

    private static void paintRun(Pen pen, TableScale at, Runner runner, Trail trail, double tS) {
        int until = runner.tick(tS);
        pen.line(
                runner.dashed() ? new Pen.Stroke(runner.ink(), 2, 6, 5) : new Pen.Stroke(runner.ink(), 2),
                trail.x(until),
                trail.y(until));
        pen.text(
                "ink-line",
                runner.letter(),
                at.px(runner.pose(until).xMm()),
                at.py(runner.pose(until).yMm()) + (runner.dashed() ? LETTER_PX : -LETTER_PX),
                Pen.Anchor.MIDDLE);
        if (runner.dashed()) {
            RobotMark.drawBench(pen, at, runner.pose(until), runner.setup());
        } else {
            RobotMark.draw(pen, at, runner.pose(until), runner.setup());
        }
    }
}
