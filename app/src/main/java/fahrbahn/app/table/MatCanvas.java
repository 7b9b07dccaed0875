package fahrbahn.app.table;

import fahrbahn.app.ground.TableCanvas;
import fahrbahn.app.ground.TableScale;
import fahrbahn.core.mat.MatSheet;
import fahrbahn.core.mat.Picture;
import fahrbahn.core.mat.Traced;
import fahrbahn.pen.Pen;
import fahrbahn.words.Words;
import java.util.Optional;
import javafx.scene.Cursor;
import javafx.scene.input.KeyEvent;

/** The picture of a mat with its followed line. */
final class MatCanvas extends TableCanvas {
    private static final Pen.Stroke TRAIL = new Pen.Stroke("ink-advice", 3);
    private static final Pen.Stroke TIGHTEST = new Pen.Stroke("ink-stop", 3);
    private static final Pen.Stroke EMPTY = new Pen.Stroke("ink-text", 1, 8, 8);
    private static final Pen.Stroke CROSS_RIM = new Pen.Stroke("ink-cross-rim", 4);
    private static final Pen.Stroke CROSS_HAIR = new Pen.Stroke("ink-cross", 1.6);
    private static final double LEAST_PX = 220;
    private static final double CROSS = 18;
    private static final double CROSS_GAP = 5;

    /** Pixels that a press with Shift moves the cross-hair. */
    private static final double FAR = 20;

    private final MatModel model;
    private final Pointed pointed;
    private double crossXMm = 1200;
    private double crossYMm = 600;

    /** Where on the mat was clicked, mm. */
    interface Pointed {
        void at(double xMm, double yMm);
    }

    MatCanvas(MatModel model, Pointed pointed) {
        super(
                "The picture of the mat; click, or move the cross-hair by arrows and press Enter, to pick line, background and start",
                LEAST_PX);
        takeKeys();
        this.model = model;
        setId("matCanvas");
        setCursor(Cursor.CROSSHAIR);
        this.pointed = pointed;
        focusedProperty().addListener(o -> requestLayout());
        setOnKeyPressed(this::key);
        setOnMouseClicked(e -> {
            requestFocus();
            moveCross(scale().xMm(e.getX()), scale().yMm(e.getY()));
            pointHere();
        });
    }

    @Override
    protected String says() {
        return Words.number(tableWidthMm()) + " by " + Words.millimetres(tableHeightMm()) + "; the cross-hair is at "
                + Words.number(crossXMm) + ", " + Words.millimetres(crossYMm) + ".";
    }

    @Override
    protected double tableWidthMm() {
        return model.sheetProperty().get().map(MatSheet::widthMm).orElse(2400.0);
    }

    @Override
    protected double tableHeightMm() {
        return model.sheetProperty().get().map(MatSheet::heightMm).orElse(1200.0);
    }

    @Override
    protected Optional<Picture> print() {
        return model.sheetProperty().get().flatMap(sheet -> model.picture().get());
    }

    @Override
    protected void paint(Pen pen) {
        TableScale at = scale();
        Optional<MatSheet> mat = model.sheetProperty().get();
        if (mat.isEmpty()) {
            double wide = at.pxPerMm() * tableWidthMm();
            pen.frame(EMPTY, at.px(0), at.py(tableHeightMm()), wide, at.pxPerMm() * tableHeightMm());
            return;
        }
        mat.get().traced().ifPresent(line -> paint(pen, at, line));
        if (isFocused()) {
            paintCross(pen, CROSS_RIM, at.px(crossXMm), at.py(crossYMm));
            paintCross(pen, CROSS_HAIR, at.px(crossXMm), at.py(crossYMm));
        }
    }

    /** A cross-hair that arrows move, light on dark so that it shows on any picture. */
    private static void paintCross(Pen pen, Pen.Stroke stroke, double x, double y) {
        pen.line(stroke, x - CROSS, y, x - CROSS_GAP, y);
        pen.line(stroke, x + CROSS_GAP, y, x + CROSS, y);
        pen.line(stroke, x, y - CROSS, x, y - CROSS_GAP);
        pen.line(stroke, x, y + CROSS_GAP, x, y + CROSS);
        pen.ring(stroke, x, y, CROSS_GAP);
    }

    /** Moves the cross-hair a pixel of the mat, with Shift twenty; with Ctrl out of the way of undo. */
    private void key(KeyEvent e) {
        double step = model.sheetProperty().get().map(MatSheet::pixelMm).orElse(1.0) * (e.isShiftDown() ? FAR : 1);
        boolean taken = true;
        switch (e.getCode()) {
            case LEFT -> moveCross(crossXMm - step, crossYMm);
            case RIGHT -> moveCross(crossXMm + step, crossYMm);
            case UP -> moveCross(crossXMm, crossYMm + step);
            case DOWN -> moveCross(crossXMm, crossYMm - step);
            case ENTER -> pointHere();
            default -> taken = false;
        }
        if (taken) {
            e.consume();
        }
    }

    private void moveCross(double xMm, double yMm) {
        crossXMm = Math.max(0, Math.min(tableWidthMm(), xMm));
        crossYMm = Math.max(0, Math.min(tableHeightMm(), yMm));
        requestLayout();
    }

    /** Points at where the cross-hair is. */
    void pointHere() {
        requestFocus();
        pointed.at(crossXMm, crossYMm);
    }

    private static void paint(Pen pen, TableScale at, Traced line) {
        double[] x = line.points().stream().mapToDouble(p -> at.px(p.xMm())).toArray();
        double[] y = line.points().stream().mapToDouble(p -> at.py(p.yMm())).toArray();
        pen.line(TRAIL, x, y);
        pen.ring(TRAIL, x[0], y[0], 7);
        if (line.tightestAt() != null) {
            double tightX = at.px(line.tightestAt().xMm());
            double tightY = at.py(line.tightestAt().yMm());
            pen.ring(TIGHTEST, tightX, tightY, 10);
            pen.text("ink-stop", "tightest", tightX + 12, tightY + 24);
        }
    }
}
