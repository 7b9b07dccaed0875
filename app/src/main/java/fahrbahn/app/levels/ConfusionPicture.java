package fahrbahn.app.levels;

import fahrbahn.app.chart.CanvasRegion;
import fahrbahn.core.marks.Confusions;
import fahrbahn.pen.Pen;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Supplier;
import java.util.stream.Collectors;

/**
 * What was taken for what: a row a surface, a column what it was taken for. A disc is as large as the share it stands for, filled where it was
 * taken right and a ring where it was not, with its number beside it: nothing depends on a colour.
 */
final class ConfusionPicture extends CanvasRegion {
    private static final String TEXT = "ink-text";
    private static final Pen.Stroke RING = new Pen.Stroke("ink-edge", 2);
    private static final Pen.Stroke GRID = new Pen.Stroke("ink-zero", 1);
    private static final double HIGH_PX = 210;
    private static final double GAP_PX = 8;
    private static final int CIRCLE_POINTS = 32;

    private final Supplier<Shown> shown;

    /** @param seen readings of each surface */
    record Shown(Confusions confusions, Map<String, Integer> seen) {
        int right(String surface) {
            int wrong = confusions.taken().entrySet().stream()
                    .filter(e -> e.getKey().was().equals(surface))
                    .mapToInt(Map.Entry::getValue)
                    .sum();
            return seen.get(surface) - wrong;
        }

        int times(String was, String as) {
            return was.equals(as) ? right(was) : confusions.taken().getOrDefault(new Confusions.Pair(was, as), 0);
        }
    }

    ConfusionPicture(Supplier<Shown> shown) {
        super("What each surface was taken for", HIGH_PX);
        this.shown = shown;
        setId("confusions");
    }

    @Override
    protected String says() {
        Shown now = shown.get();
        return now.seen().entrySet().stream()
                .map(e -> e.getKey() + " right " + now.right(e.getKey()) + " of " + e.getValue())
                .collect(Collectors.joining(", "));
    }

    @Override
    protected void paint(Pen pen) {
        draw(pen, shown.get(), getWidth(), getHeight());
    }

    static void draw(Pen pen, Shown now, double width, double height) {
        List<String> rows = List.copyOf(now.seen().keySet());
        Set<String> all = new LinkedHashSet<>(rows);
        now.confusions().taken().keySet().forEach(pair -> all.add(pair.takenAs()));
        List<String> columns = new ArrayList<>(all);
        double names = rows.stream().mapToDouble(pen::width).max().orElse(0) + GAP_PX;
        double head = 2 * pen.lineHeight();
        double cellWide = (width - names) / columns.size();
        double cellHigh = (height - head) / rows.size();
        double most = Math.min(cellWide, cellHigh) / 2 - 2;
        for (int c = 0; c < columns.size(); c++) {
            String name = MarkWords.taken(columns.get(c));
            double x = names + (c + 0.5) * cellWide;
            pen.text(TEXT, name, Math.min(x - pen.width(name) / 2, width - pen.width(name)), pen.lineHeight());
        }
        for (int r = 0; r < rows.size(); r++) {
            double y = head + (r + 0.5) * cellHigh;
            pen.text(TEXT, rows.get(r), 0, y + pen.lineHeight() / 3);
            pen.line(GRID, names, y, width, y);
            for (int c = 0; c < columns.size(); c++) {
                cell(pen, now, rows.get(r), columns.get(c), names + (c + 0.5) * cellWide, y, most);
            }
        }
    }

    private static void cell(Pen pen, Shown now, String was, String as, double x, double y, double most) {
        int times = now.times(was, as);
        if (times == 0) {
            return;
        }
        double radius = Math.max(3, most * Math.sqrt((double) times / now.seen().get(was)));
        if (was.equals(as)) {
            pen.dot("ink-light", x, y, radius);
        } else {
            pen.line(RING, circle(x, radius, true), circle(y, radius, false));
        }
        String count = String.valueOf(times);
        pen.text(TEXT, count, x + radius + 3, y + pen.lineHeight() / 3);
    }

    private static double[] circle(double middle, double radius, boolean across) {
        double[] at = new double[CIRCLE_POINTS + 1];
        for (int i = 0; i <= CIRCLE_POINTS; i++) {
            double angle = 2 * Math.PI * i / CIRCLE_POINTS;
            at[i] = middle + radius * (across ? Math.cos(angle) : Math.sin(angle));
        }
        return at;
    }
}
