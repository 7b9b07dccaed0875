package fahrbahn.app.gains;

import fahrbahn.app.chart.Ink;
import fahrbahn.app.chart.Plot;
import fahrbahn.app.gains.GainsModel.GainsPicture;
import fahrbahn.core.loop.GainAdvice;
import fahrbahn.core.loop.Lane;
import java.util.List;
import javafx.scene.canvas.GraphicsContext;

/** The lane as a road: bend floor and wiggle onset are its edges, the robot stands on it at its speed and Kp. */
public final class LanePlot extends Plot {
    private static final double[] SOLID = {};
    private static final double[] DASHED = {14, 12};

    private final Ink road = ink("ink-road");
    private final Ink edge = ink("ink-edge");
    private final Ink middle = ink("ink-middle");
    private final Ink robot = ink("ink-robot");
    private final Ink advice = ink("ink-advice");
    private final Ink text = ink("ink-text");
    private GainsPicture picture;

    public LanePlot() {
        super("speed, mm/s", "Kp");
        setAccessibleText("The lane: Kp against speed between bend floor and wiggle onset");
    }

    public void show(GainsPicture newPicture) {
        picture = newPicture;
        List<Lane.Slice> slices = picture.lane().slices();
        double fastest = slices.get(slices.size() - 1).speedMmPerS();
        double tallest = Math.max(
                picture.setup().law().kp() * 1.6, slices.get(slices.size() - 1).bendKp() * 1.4);
        tallest = Math.max(tallest, picture.wiggleKp().orElse(0.0) * 1.35);
        range(0, fastest, 0, tallest);
    }

    @Override
    protected void paint(GraphicsContext g) {
        if (picture == null) {
            return;
        }
        List<Lane.Slice> open =
                picture.lane().slices().stream().filter(Lane.Slice::open).toList();
        if (!open.isEmpty()) {
            paintRoad(g, open);
        }
        g.setFill(text.paint());
        g.fillText("wiggles", plotWidth() - 70, 22);
        g.fillText("leaves the bends", plotWidth() - 120, plotHeight() - 12);
        picture.lane().ceilingSpeedMmPerS().filter(v -> v > 0).ifPresent(v -> {
            line(g, text.paint(), 1.2, new double[] {3, 4}, c -> stroke(c, px(v), 0, px(v), plotHeight()));
            g.fillText("lane closes", Math.min(px(v) + 6, plotWidth() - 72), plotHeight() / 2);
        });
        paintGains(g);
    }

    private void paintRoad(GraphicsContext g, List<Lane.Slice> open) {
        g.setFill(road.paint());
        g.beginPath();
        g.moveTo(px(open.get(0).speedMmPerS()), top(open.get(0)));
        open.forEach(s -> g.lineTo(px(s.speedMmPerS()), top(s)));
        for (int i = open.size() - 1; i >= 0; i--) {
            g.lineTo(px(open.get(i).speedMmPerS()), py(open.get(i).bendKp()));
        }
        g.closePath();
        g.fill();
        line(g, edge.paint(), 3, SOLID, c -> {
            c.moveTo(px(open.get(0).speedMmPerS()), top(open.get(0)));
            open.forEach(s -> c.lineTo(px(s.speedMmPerS()), top(s)));
        });
        line(g, edge.paint(), 3, SOLID, c -> {
            c.moveTo(px(open.get(0).speedMmPerS()), py(open.get(0).bendKp()));
            open.forEach(s -> c.lineTo(px(s.speedMmPerS()), py(s.bendKp())));
        });
        line(g, middle.paint(), 2.5, DASHED, c -> {
            c.moveTo(px(open.get(0).speedMmPerS()), middle(open.get(0)));
            open.forEach(s -> c.lineTo(px(s.speedMmPerS()), middle(s)));
        });
    }

    private void paintGains(GraphicsContext g) {
        double x = px(picture.report().speedMmPerS());
        picture.advice().map(GainAdvice::kp).ifPresent(kp -> {
            double y = py(kp);
            g.setStroke(advice.paint());
            g.setLineWidth(2.5);
            g.strokePolygon(new double[] {x - 10, x, x + 10, x}, new double[] {y, y - 10, y, y + 10}, 4);
            g.setFill(text.paint());
            g.fillText("try", x + 15, y + 5);
        });
        double y = py(picture.setup().law().kp());
        g.setFill(robot.paint());
        g.fillOval(x - 6, y - 6, 12, 12);
        g.setFill(text.paint());
        g.fillText("set", x - 34, y + 5);
    }

    private double top(Lane.Slice slice) {
        return Math.max(-20, py(slice.wiggleKp().orElseThrow()));
    }

    private double middle(Lane.Slice slice) {
        return py(Math.sqrt(slice.wiggleKp().orElseThrow() * slice.bendKp()));
    }

    private static void stroke(GraphicsContext g, double x1, double y1, double x2, double y2) {
        g.moveTo(x1, y1);
        g.lineTo(x2, y2);
    }
}
