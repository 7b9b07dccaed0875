package fahrbahn.app.table;

import fahrbahn.app.chart.Ink;
import fahrbahn.app.kit.Pictures;
import fahrbahn.core.mat.MatSheet;
import fahrbahn.core.mat.Picture;
import fahrbahn.core.mat.Traced;
import fahrbahn.core.table.Pose;
import java.util.Optional;
import javafx.scene.Cursor;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.image.Image;
import javafx.scene.input.KeyEvent;

/** The picture of a mat with its followed line. */
final class MatCanvas extends TableCanvas {
    private static final double CROSS = 18;
    private static final double CROSS_GAP = 5;

    /** Pixels that a press with Shift moves the cross-hair. */
    private static final double FAR = 20;

    private final MatModel model;
    private final Ink trail = ink("ink-advice");
    private final Ink mark = ink("ink-stop");
    private final Ink text = ink("ink-text");
    private final Ink cross = ink("ink-cross");
    private final Ink rim = ink("ink-cross-rim");
    private final Pointed pointed;
    private double crossXMm = 1200;
    private double crossYMm = 600;
    private Picture shown;
    private Image image;

    /** Where on the mat was clicked, mm. */
    interface Pointed {
        void at(double xMm, double yMm);
    }

    MatCanvas(MatModel model, Pointed pointed) {
        super(
                "The picture of the mat; click, or move the cross-hair by arrows and press Enter, to point at line, ground and beginning");
        this.model = model;
        setId("matCanvas");
        setCursor(Cursor.CROSSHAIR);
        this.pointed = pointed;
        setFocusTraversable(true);
        focusedProperty().addListener(o -> requestLayout());
        setOnKeyPressed(this::key);
        setOnMouseClicked(e -> {
            requestFocus();
            moveCross(xMm(e.getX()), yMm(e.getY()));
            pointHere();
        });
    }

    @Override
    double tableWidthMm() {
        return model.sheetProperty().get().map(MatSheet::widthMm).orElse(2400.0);
    }

    @Override
    double tableHeightMm() {
        return model.sheetProperty().get().map(MatSheet::heightMm).orElse(1200.0);
    }

    @Override
    protected void paint(GraphicsContext g) {
        Optional<MatSheet> mat = model.sheetProperty().get();
        if (mat.isEmpty()) {
            g.setStroke(text.paint());
            g.setLineDashes(8, 8);
            g.strokeRect(px(0), py(tableHeightMm()), scale() * tableWidthMm(), scale() * tableHeightMm());
            g.setLineDashes();
            return;
        }
        Optional<Picture> picture = model.pictureProperty().get();
        if (picture.isPresent() && shown != picture.get()) {
            shown = picture.get();
            image = Pictures.image(shown);
        }
        if (picture.isPresent()) {
            g.drawImage(image, px(0), py(tableHeightMm()), scale() * tableWidthMm(), scale() * tableHeightMm());
        }
        mat.get().traced().ifPresent(line -> paint(g, line));
        paintCross(g);
    }

    /** A cross-hair that arrows move, dark on light on dark so that it shows on any picture. */
    private void paintCross(GraphicsContext g) {
        double x = px(crossXMm);
        double y = py(crossYMm);
        if (!isFocused()) {
            return;
        }
        for (int pass = 0; pass < 2; pass++) {
            g.setStroke(pass == 0 ? rim.paint() : cross.paint());
            g.setLineWidth(pass == 0 ? 4 : 1.6);
            g.strokeLine(x - CROSS, y, x - CROSS_GAP, y);
            g.strokeLine(x + CROSS_GAP, y, x + CROSS, y);
            g.strokeLine(x, y - CROSS, x, y - CROSS_GAP);
            g.strokeLine(x, y + CROSS_GAP, x, y + CROSS);
            g.strokeOval(x - CROSS_GAP, y - CROSS_GAP, 2 * CROSS_GAP, 2 * CROSS_GAP);
        }
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

    private void paint(GraphicsContext g, Traced line) {
        g.setStroke(trail.paint());
        g.setLineWidth(3);
        g.beginPath();
        for (Pose point : line.points()) {
            g.lineTo(px(point.xMm()), py(point.yMm()));
        }
        g.stroke();
        Pose start = line.points().get(0);
        g.strokeOval(px(start.xMm()) - 7, py(start.yMm()) - 7, 14, 14);
        if (line.tightestAt() != null) {
            double x = px(line.tightestAt().xMm());
            double y = py(line.tightestAt().yMm());
            g.setStroke(mark.paint());
            g.strokeOval(x - 10, y - 10, 20, 20);
            g.setFill(mark.paint());
            g.fillText("tightest", x + 12, y + 24);
        }
    }
}
