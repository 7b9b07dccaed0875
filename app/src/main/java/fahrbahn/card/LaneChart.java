package fahrbahn.card;

import fahrbahn.core.loop.GainAdvice;
import fahrbahn.core.loop.Lane;
import fahrbahn.core.tuning.LanePicture;
import fahrbahn.pen.Chart;
import fahrbahn.pen.Labels;
import fahrbahn.pen.Pen;
import fahrbahn.pen.Pen.Stroke;
import fahrbahn.pen.Scale;
import fahrbahn.words.Words;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.function.ToDoubleFunction;

/** The lane as a road: bend floor and wiggle onset are its edges, the robot stands on it at its speed and Kp. */
public record LaneChart(LanePicture picture) implements Chart {
    private static final Stroke FRAYED = new Stroke("ink-edge", 1, 1.5, 4);
    private static final Stroke EDGE = new Stroke("ink-edge", 3);
    private static final double NAME_AT = 0.8;

    /** Of the height: a line of words and air in the lowest picture there is. */
    private static final double LEAST_ROOM = 0.14;

    private static final double DOT_PX = 6;
    private static final double DIAMOND_PX = 11;
    private static final Stroke MIDDLE = new Stroke("ink-middle", 2.5, 14, 12);
    private static final Stroke WINDOW = new Stroke("ink-middle", 3, 4, 5);
    private static final Stroke CEILING = new Stroke("ink-text", 1.2, 3, 4);
    private static final Stroke ADVICE = new Stroke("ink-advice", 2.5);

    @Override
    public String xLabel() {
        return roomBelow() ? "speed, mm/s" : "speed, mm/s; below the road it leaves the bends";
    }

    @Override
    public String yLabel() {
        return "Kp";
    }

    @Override
    public String title() {
        return "The lane: Kp against speed, from bend minimum to wiggle limit";
    }

    @Override
    public String says() {
        String set = "At " + Words.number(picture.report().speedMmPerS()) + " mm/s Kp "
                + Words.number(picture.setup().law().kp()) + " is set";
        String wiggles = picture.wiggleKp()
                .map(kp -> "; it wiggles from " + Words.number(kp) + " on"
                        + (picture.calmFromKp() > 0
                                ? ", and below " + Words.number(picture.calmFromKp()) + " too"
                                : ""))
                .orElse("");
        String battery = picture.wiggleKpByBattery()
                .map(kps -> "; with a full battery from " + Words.number(kps[1]) + ", with a low one from "
                        + Words.number(kps[0]))
                .orElse("");
        String advice =
                picture.gains().map(a -> "; try " + Words.number(a.kp())).orElse("");
        String closes = picture.lane()
                .ceilingSpeedMmPerS()
                .filter(v -> v > 0)
                .map(v -> "; the lane closes at " + Words.number(v) + " mm/s")
                .orElse("");
        String slowest = picture.slowest()
                .map(floor ->
                        "; slower than " + Words.number(floor.speedMmPerS()) + " mm/s a wheel does not keep turning")
                .orElse("");
        return set + wiggles + battery + advice + slowest + closes + ".";
    }

    private List<Lane.Slice> slices() {
        return picture.lane().slices();
    }

    @Override
    public Range x() {
        return new Range(0, slices().get(slices().size() - 1).speedMmPerS());
    }

    @Override
    public Range y() {
        double tallest = Math.max(
                picture.setup().law().kp() * 1.6,
                Math.max(
                                picture.calmFromKp(),
                                finite(slices().get(slices().size() - 1).bendKp()))
                        * 1.4);
        return new Range(0, Math.max(tallest, picture.wiggleKp().orElse(0.0) * 1.35));
    }

    private static double finite(double kp) {
        return Double.isFinite(kp) ? kp : 0;
    }

    @Override
    public void draw(Pen pen, Scale scale) {
        List<Lane.Slice> open = slices().stream().filter(Lane.Slice::open).toList();
        Labels labels = new Labels(pen, scale.width(), scale.height());
        if (!open.isEmpty()) {
            drawRoad(pen, scale, labels, open);
        }
        picture.frayed().forEach(lane -> drawFrayed(pen, scale, lane));
        drawGains(pen, scale, labels);
        picture.lane().ceilingSpeedMmPerS().filter(v -> v > 0).ifPresent(v -> {
            double x = scale.px(v);
            pen.line(CEILING, x, 0, x, scale.height());
            labels.free(x, 0, x, scale.height());
            labels.put("ink-text", "lane closes", x, scale.height() / 2);
        });
        picture.slowest().ifPresent(floor -> {
            double x = scale.px(floor.speedMmPerS());
            pen.line(CEILING, x, 0, x, scale.height());
            labels.free(x, 0, x, scale.height());
            labels.put("ink-text", "too slow", x, scale.height() / 2);
        });
        labels.put("ink-text", "wiggles", scale.width() * 0.75, 20);
        if (roomBelow()) {
            labels.put("ink-text", "leaves the bends", scale.width() * NAME_AT, scale.height() - 6);
        }
    }

    /** Whether words find room below the floor where they stand, towards its right end. */
    private boolean roomBelow() {
        double at = NAME_AT * x().high();
        return slices().stream()
                .filter(Lane.Slice::open)
                .min(Comparator.comparingDouble(s -> Math.abs(s.speedMmPerS() - at)))
                .map(s -> s.lowKp() > LEAST_ROOM * y().high())
                .orElse(true);
    }

    private static void drawRoad(Pen pen, Scale scale, Labels labels, List<Lane.Slice> open) {
        int n = open.size();
        double[] x = along(open, s -> scale.px(s.speedMmPerS()));
        double[] onset = along(open, s -> Math.max(0, scale.py(s.wiggleKp().orElseThrow())));
        double[] floor = along(open, s -> scale.py(s.lowKp()));
        double[] roundX = new double[2 * n];
        double[] roundY = new double[2 * n];
        for (int i = 0; i < n; i++) {
            roundX[i] = x[i];
            roundY[i] = onset[i];
            roundX[2 * n - 1 - i] = x[i];
            roundY[2 * n - 1 - i] = floor[i];
        }
        pen.area("ink-road", roundX, roundY);
        drawWithin(EDGE, pen, x, onset);
        pen.line(EDGE, x, floor);
        double[] middle = along(open, s -> scale.py(s.middleKp()));
        pen.line(MIDDLE, x, middle);
        labels.free(x, onset).free(x, floor).free(x, middle);
        drawWindow(pen, scale, labels, open);
    }

    /** The borders with another battery, faint beside the road's own. */
    private static void drawFrayed(Pen pen, Scale scale, Lane lane) {
        List<Lane.Slice> open = lane.slices().stream().filter(Lane.Slice::open).toList();
        if (open.size() > 1) {
            double[] x = along(open, s -> scale.px(s.speedMmPerS()));
            drawWithin(
                    FRAYED,
                    pen,
                    x,
                    along(open, s -> Math.max(0, scale.py(s.wiggleKp().orElseThrow()))));
            pen.line(FRAYED, x, along(open, s -> scale.py(s.lowKp())));
        }
    }

    /** As far as it lies in the picture: where the onset is higher, the road goes on beyond its upper edge. */
    private static void drawWithin(Stroke stroke, Pen pen, double[] x, double[] onset) {
        int first = 0;
        while (first < x.length - 1 && onset[first] <= 0 && onset[first + 1] <= 0) {
            first++;
        }
        pen.line(stroke, Arrays.copyOfRange(x, first, x.length), Arrays.copyOfRange(onset, first, x.length));
    }

    /** Where small gains wiggle: the border below which they do, dashed over the road's own. */
    private static void drawWindow(Pen pen, Scale scale, Labels labels, List<Lane.Slice> open) {
        int first = 0;
        while (first < open.size()
                && !(open.get(first).calmFromKp() > open.get(first).bendKp())) {
            first++;
        }
        if (first == open.size()) {
            return;
        }
        List<Lane.Slice> windows = open.subList(Math.max(0, first - 1), open.size());
        double[] x = along(windows, s -> scale.px(s.speedMmPerS()));
        double[] low = along(windows, s -> scale.py(s.lowKp()));
        pen.line(WINDOW, x, low);
        int last = windows.size() - 1;
        labels.put("ink-text", "less wiggles too", x[last] + DIAMOND_PX, low[last]);
    }

    private static double[] along(List<Lane.Slice> slices, ToDoubleFunction<Lane.Slice> place) {
        return slices.stream().mapToDouble(place).toArray();
    }

    private void drawGains(Pen pen, Scale scale, Labels labels) {
        double x = scale.px(picture.report().speedMmPerS());
        double set = scale.py(picture.setup().law().kp());
        pen.dot("ink-robot", x, set, DOT_PX);
        labels.free(x, set, DOT_PX);
        picture.gains().map(GainAdvice::kp).ifPresent(kp -> {
            double y = scale.py(kp);
            double r = DIAMOND_PX;
            pen.line(ADVICE, new double[] {x - r, x, x + r, x, x - r}, new double[] {y, y - r, y, y + r, y});
            labels.free(x, y, r);
            labels.put("ink-text", "try", x + r, y);
        });
        labels.put("ink-text", "set", x - DOT_PX, set);
    }
}
