package fahrbahn.app.runs;

import fahrbahn.app.ground.TableCanvas;
import fahrbahn.app.ground.TablePainter;
import fahrbahn.app.ground.TableScale;
import fahrbahn.core.mat.Picture;
import fahrbahn.core.mat.TracedMat;
import fahrbahn.core.path.Pose;
import fahrbahn.core.table.Course;
import fahrbahn.core.table.Draft;
import fahrbahn.core.table.Ground;
import fahrbahn.pen.Pen;
import java.util.List;
import java.util.Optional;
import java.util.function.BiConsumer;

/** The table from above: where it was lost is pointed at; where runs of now were lost is marked. */
final class CourseTarget extends TableCanvas {
    private static final double CROSS_PX = 6;
    private static final double LEAST_HEIGHT = 150;

    private final TablePainter painter = new TablePainter();
    private Optional<Ground> ground = Optional.empty();
    private Draft draft;
    private double lineWidthMm = 20;
    private List<Double> lostMm = List.of();

    /** @param pointed takes the place on the table, mm */
    CourseTarget(BiConsumer<Double, Double> pointed) {
        super("The table: click where it was lost", LEAST_HEIGHT);
        setOnMouseClicked(e -> pointed.accept(scale().xMm(e.getX()), scale().yMm(e.getY())));
    }

    /** @param newLostMm places along the line */
    void show(Optional<Ground> newGround, double newLineWidthMm, List<Double> newLostMm) {
        boolean same = newGround.equals(ground) && newLineWidthMm == lineWidthMm && newLostMm.equals(lostMm);
        if (same) {
            return;
        }
        ground = newGround;
        draft = ground.filter(g -> g instanceof Course)
                .map(g -> Draft.of((Course) g))
                .orElse(null);
        lineWidthMm = newLineWidthMm;
        lostMm = List.copyOf(newLostMm);
        requestLayout();
    }

    @Override
    protected double tableWidthMm() {
        return ground.map(Ground::widthMm).orElse(1.0);
    }

    @Override
    protected double tableHeightMm() {
        return ground.map(Ground::heightMm).orElse(1.0);
    }

    @Override
    protected Optional<Picture> print() {
        return ground.filter(g -> g instanceof TracedMat)
                .map(g -> ((TracedMat) g).mat().picture());
    }

    @Override
    protected String says() {
        return ground.isEmpty()
                ? "The selected table is not ready"
                : ground.get().name() + ", " + lostMm.size() + " runs lost on it";
    }

    @Override
    protected void paint(Pen pen) {
        if (ground.isEmpty()) {
            pen.text("ink-text", "The selected table is not ready: Table (2) says why.", 8, getHeight() / 2);
            return;
        }
        TableScale at = scale();
        if (draft != null) {
            painter.lay(draft, lineWidthMm);
            painter.paint(pen, at);
        }
        Pen.Stroke cross = new Pen.Stroke("ink-stop", 2.5);
        for (double mm : lostMm) {
            Pose place = ground.get().path().at(Math.min(mm, ground.get().path().lengthMm()));
            double x = at.px(place.xMm());
            double y = at.py(place.yMm());
            pen.line(cross, x - CROSS_PX, y - CROSS_PX, x + CROSS_PX, y + CROSS_PX);
            pen.line(cross, x - CROSS_PX, y + CROSS_PX, x + CROSS_PX, y - CROSS_PX);
        }
    }
}
