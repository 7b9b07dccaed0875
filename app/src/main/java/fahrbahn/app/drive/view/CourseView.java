package fahrbahn.app.drive.view;

import fahrbahn.app.ground.TableCanvas;
import fahrbahn.app.ground.TablePainter;
import fahrbahn.app.ground.TableScale;
import fahrbahn.core.mat.Picture;
import fahrbahn.core.mat.TracedMat;
import fahrbahn.core.path.Pose;
import fahrbahn.core.review.PathDensity;
import fahrbahn.core.table.Course;
import fahrbahn.core.table.DemoCourses;
import fahrbahn.core.table.Draft;
import fahrbahn.core.table.Ground;
import fahrbahn.core.trace.Trace;
import fahrbahn.pen.Pen;
import fahrbahn.pen.Sheet;
import fahrbahn.words.Words;
import java.util.ArrayList;
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
public final class CourseView extends StackPane {
    private static final double MOST_CLOSER = 8;
    private static final int FRAMES_TO_WAYS = 8;

    private final TablePainter painter = new TablePainter();
    private final Layer table;
    private final Layer ways;
    private final ImageView density = new ImageView();
    private Ground ground = DemoCourses.workshopLoop();
    private Draft draft = Draft.of(DemoCourses.workshopLoop());
    private double lineWidthMm = 20;
    private List<Runner> runners = List.of();
    private final Map<Runner, Trail> trails = new IdentityHashMap<>();
    private final List<RunnerLayer> robots = new ArrayList<>();
    private double atS;
    private double waysS;
    private int framesSinceWays;
    private double closer = 1;
    private boolean follows;
    private PathDensity passes;

    /** @param what it shows, for those who cannot see it */
    public CourseView(String what) {
        table = new Layer(what) {
            @Override
            protected Optional<Picture> print() {
                return ground instanceof TracedMat mat ? Optional.of(mat.mat().picture()) : Optional.empty();
            }

            @Override
            protected void paint(Pen pen) {
                if (ground instanceof Course) {
                    painter.lay(draft, lineWidthMm);
                    painter.paint(pen, scale(), getWidth(), getHeight());
                }
                placeDensity(scale());
            }

            @Override
            protected String says() {
                return words();
            }
        };
        ways = new Layer("Paths of robots") {
            @Override
            protected void paint(Pen pen) {
                runners.forEach(r -> r.paintTrail(pen, trail(r, scale()), 0, r.tick(waysS)));
            }

            @Override
            protected String says() {
                return words();
            }
        };
        density.setManaged(false);
        density.setSmooth(false);
        density.setMouseTransparent(true);
        ways.setMouseTransparent(true);
        getChildren().addAll(table, density, ways);
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
    public void lay(Ground newGround) {
        ground = newGround;
        if (ground instanceof Course course) {
            draft = Draft.of(course);
        }
        show(List.of(), 0);
        showDensity(null);
        table.requestLayout();
    }

    public void showLine(double newLineWidthMm) {
        lineWidthMm = newLineWidthMm;
        table.requestLayout();
    }

    /** @param newRunners the first is the one that is followed @param newAtS how far they are on their way */
    public void show(List<Runner> newRunners, double newAtS) {
        runners = List.copyOf(newRunners);
        trails.clear();
        getChildren().removeAll(robots);
        robots.clear();
        runners.forEach(runner -> robots.add(new RunnerLayer(runner)));
        getChildren().addAll(robots);
        atS = newAtS;
        paintAll();
    }

    /** Robots move every frame; their ways are painted on a few times a second, and where a robot has come far. */
    public void moveTo(double newAtS) {
        boolean back = newAtS < waysS;
        atS = newAtS;
        framesSinceWays++;
        if (closer != 1) {
            paintAll();
        } else if (back || framesSinceWays >= FRAMES_TO_WAYS || cameFar()) {
            paintWays();
        }
        placeRobots();
    }

    private void paintAll() {
        table.requestLayout();
        paintWays();
        requestLayout();
    }

    private void paintWays() {
        waysS = atS;
        framesSinceWays = 0;
        ways.requestLayout();
    }

    private boolean cameFar() {
        TableScale at = ways.scale();
        for (int i = 0; i < runners.size(); i++) {
            Pose then = runners.get(i).pose(runners.get(i).tick(waysS));
            Pose now = runners.get(i).pose(runners.get(i).tick(atS));
            double px = at.pxPerMm() * Math.hypot(now.xMm() - then.xMm(), now.yMm() - then.yMm());
            if (px > robots.get(i).halfPx(at) / 2) {
                return true;
            }
        }
        return false;
    }

    private void placeRobots() {
        if (ways.getWidth() > 0) {
            TableScale at = ways.scale();
            for (int i = 0; i < runners.size(); i++) {
                Runner runner = runners.get(i);
                robots.get(i).place(at, trail(runner, at), runner.tick(waysS), runner.tick(atS));
            }
        }
    }

    @Override
    protected void layoutChildren() {
        super.layoutChildren();
        placeRobots();
    }

    /** Twice as close with every step, and the whole table again after the closest. */
    public void lookCloser() {
        closer = closer >= MOST_CLOSER ? 1 : 2 * closer;
        paintAll();
    }

    /** Where many runs went; null for none. */
    public void showDensity(PathDensity newPasses) {
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

    /** The whole table as it is seen now, for paper. */
    public Sheet sheet() {
        return new CourseSheet(ground, lineWidthMm, runners, atS);
    }

    private String words() {
        String of = Words.number(ground.path().lengthMm() / 1000) + " m of line on " + Words.number(ground.widthMm())
                + " by " + Words.millimetres(ground.heightMm());
        if (runners.isEmpty()) {
            return passes == null ? of + "." : of + "; the busiest place was passed " + passes.most() + " times.";
        }
        Trace trace = runners.get(0).trace();
        int tick = runners.get(0).tick(atS);
        return of + "; robot at " + Words.seconds(trace.tS(tick)) + " is "
                + Words.millimetres(Math.abs(trace.offsetMm(tick))) + " off the line.";
    }

    private Trail trail(Runner runner, TableScale at) {
        Trail trail = trails.get(runner);
        if (trail == null || !trail.fits(at)) {
            trail = runner.trail(at);
            trails.put(runner, trail);
        }
        return trail;
    }
}
