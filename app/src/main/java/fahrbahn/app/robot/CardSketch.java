package fahrbahn.app.robot;

import fahrbahn.app.chart.Ink;
import fahrbahn.app.kit.CanvasRegion;
import javafx.scene.canvas.GraphicsContext;

/** A small drawing of a bench measurement. */
final class CardSketch extends CanvasRegion {
    private final BenchCard card;
    private final Ink robot = ink("ink-robot");
    private final Ink line = ink("ink-road");
    private final Ink ruler = ink("ink-curve");
    private final Ink text = ink("ink-text");
    private final Ink spot = ink("ink-left");

    CardSketch(BenchCard card) {
        super("Drawing: " + card.title(), 170);
        this.card = card;
    }

    @Override
    protected void paint(GraphicsContext g) {
        double w = getWidth();
        double h = getHeight();
        g.setLineWidth(2);
        switch (card) {
            case ROLL -> {
                ruler(g, 40, h - 46, w - 30);
                robot(g, 70, h / 2 - 22, 0);
                arrow(g, 118, h / 2 - 22, w - 70, h / 2 - 22);
                g.setFill(text.paint());
                g.fillText("one metre, at speed from the first mark on", 40, h - 14);
                g.strokeLine(w - 44, h / 2 - 22, w - 44, h / 2 - 44);
                g.fillText("aside", w - 40, h / 2 - 30);
            }
            case SPIN -> {
                robot(g, w / 2, h / 2, 0.5);
                g.setStroke(ruler.paint());
                g.strokeArc(w / 2 - 68, h / 2 - 68, 136, 136, 30, 290, javafx.scene.shape.ArcType.OPEN);
                g.strokeLine(w / 2 + 58, h / 2 - 34, w / 2 + 66, h / 2 - 50);
                g.strokeLine(w / 2 + 58, h / 2 - 34, w / 2 + 42, h / 2 - 42);
                g.setFill(text.paint());
                g.fillText("a mark to count by", w / 2 + 76, h / 2 + 4);
            }
            case LOOPS -> {
                robot(g, w / 2, h / 2 - 14, 0);
                g.setFill(text.paint());
                g.fillText("wheels up, on a box", w / 2 - 56, h / 2 + 48);
                g.setStroke(text.paint());
                g.strokeRect(w / 2 - 26, h / 2 + 14, 52, 16);
                g.fillText("loops = 0 ... loops + 1 ... print after 10 s", 24, h - 10);
            }
            case WIGGLES -> {
                g.setFill(line.paint());
                g.fillRect(10, h / 2 - 9, w - 20, 18);
                g.setStroke(ruler.paint());
                g.beginPath();
                for (double x = 20; x < w - 60; x += 2) {
                    g.lineTo(x, h / 2 + 24 * Math.sin(x / 11));
                }
                g.stroke();
                robot(g, w - 46, h / 2 - 10, -0.3);
                g.setFill(text.paint());
                g.fillText("one wiggle: there and back", 20, h / 2 + 58);
            }
            case SLIDE -> {
                g.setFill(line.paint());
                g.fillRect(w / 2 - 16, 16, 32, h - 70);
                ruler(g, 40, h - 46, w - 30);
                robot(g, 78, h / 2 - 26, Math.PI / 2);
                arrow(g, 122, h / 2 - 26, w - 60, h / 2 - 26);
                g.setFill(text.paint());
                g.fillText("sideways, steadily, from ground to ground", 40, h - 14);
            }
        }
    }

    private void robot(GraphicsContext g, double x, double y, double turn) {
        g.save();
        g.translate(x, y);
        g.rotate(-Math.toDegrees(turn));
        g.setStroke(robot.paint());
        g.strokeRoundRect(-24, -18, 54, 36, 8, 8);
        g.strokeRoundRect(-12, -28, 24, 9, 4, 4);
        g.strokeRoundRect(-12, 19, 24, 9, 4, 4);
        g.setFill(spot.paint());
        g.fillOval(20, -10, 8, 8);
        g.fillOval(20, 3, 8, 8);
        g.restore();
    }

    private void ruler(GraphicsContext g, double from, double y, double to) {
        g.setStroke(ruler.paint());
        g.strokeRect(from, y, to - from, 16);
        for (double x = from + 10; x < to; x += 10) {
            g.strokeLine(x, y, x, y + ((int) ((x - from) / 10) % 5 == 0 ? 10 : 5));
        }
    }

    private void arrow(GraphicsContext g, double x, double y, double toX, double toY) {
        g.setStroke(ruler.paint());
        g.strokeLine(x, y, toX, toY);
        g.strokeLine(toX, toY, toX - 10, toY - 6);
        g.strokeLine(toX, toY, toX - 10, toY + 6);
    }
}
