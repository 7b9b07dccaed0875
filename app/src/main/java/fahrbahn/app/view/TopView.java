package fahrbahn.app.view;

import fahrbahn.app.chart.Ink;
import fahrbahn.app.model.Words;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import javafx.scene.canvas.GraphicsContext;

/** The robot from above, to scale, on its line: forward is up, left is left. */
final class TopView extends CanvasRegion {
    private final Ink line = ink("ink-road");
    private final Ink body = ink("ink-robot");
    private final Ink spot = ink("ink-left");
    private final Ink text = ink("ink-text");
    private Setup setup;

    TopView() {
        super("The robot from above, to scale", 200);
    }

    void show(Setup newSetup) {
        setup = newSetup;
        requestLayout();
    }

    @Override
    void paint(GraphicsContext g) {
        if (setup != null) {
            paintRobot(g);
        }
    }

    private void paintRobot(GraphicsContext g) {
        double track = setup.robot().drive().trackWidthMm();
        double front = setup.robot().sensors().stream()
                .mapToDouble(Sensor::forwardMm)
                .max()
                .orElse(0);
        double back = Math.min(
                -0.35 * track,
                setup.robot().sensors().stream()
                        .mapToDouble(Sensor::forwardMm)
                        .min()
                        .orElse(0));
        double scale = Math.min(getWidth() / (1.7 * track), getHeight() / ((front - back) * 1.45));
        double originX = getWidth() / 2;
        double originY = getHeight() / 2 + (front + back) / 2 * scale;

        double lineWidth = setup.line().widthMm() * scale;
        g.setFill(line.paint());
        g.fillRect(originX - lineWidth / 2, 0, lineWidth, getHeight());

        g.setStroke(body.paint());
        g.setLineWidth(2);
        double wheelLength = 0.42 * track * scale;
        double wheelWidth = 0.12 * track * scale;
        for (int side : new int[] {-1, 1}) {
            g.strokeRoundRect(
                    originX + side * track / 2 * scale - wheelWidth / 2,
                    originY - wheelLength / 2,
                    wheelWidth,
                    wheelLength,
                    8,
                    8);
        }
        g.strokeLine(originX - track / 2 * scale, originY, originX + track / 2 * scale, originY);
        g.strokeLine(originX - 6, originY - 6, originX + 6, originY + 6);
        g.strokeLine(originX - 6, originY + 6, originX + 6, originY - 6);
        double leadY = originY - setup.leadMm() * scale;
        double ruler = originX + (track / 2 + 0.16 * track) * scale;
        g.setLineWidth(1);
        g.strokeLine(ruler, originY, ruler, leadY);
        g.strokeLine(ruler - 5, originY, ruler + 5, originY);
        g.strokeLine(ruler - 5, leadY, ruler + 5, leadY);
        g.setFill(text.paint());
        g.fillText("lead " + Words.millimetres(setup.leadMm()), ruler - 78, (originY + leadY) / 2 - 6);
        g.fillText(
                Words.millimetres(track) + " between wheels",
                originX - track / 2 * scale,
                originY + wheelLength / 2 + 20);

        for (Sensor sensor : setup.robot().sensors()) {
            double x = originX - sensor.leftMm() * scale;
            double y = originY - sensor.forwardMm() * scale;
            double radius = 2 * sensor.spotSigmaMm() * scale; // 86 % of a Gaussian spot lies within two sigmas
            g.setGlobalAlpha(0.35);
            g.setFill(spot.paint());
            g.fillOval(x - radius, y - radius, 2 * radius, 2 * radius);
            g.setGlobalAlpha(1);
            g.setStroke(spot.paint());
            g.setLineWidth(2);
            g.strokeOval(x - radius, y - radius, 2 * radius, 2 * radius);
            g.setFill(text.paint());
            g.fillText(sensor.name(), x + (sensor.leftMm() > 0 ? -radius - 34 : radius + 8), y - radius - 4);
        }
    }
}
