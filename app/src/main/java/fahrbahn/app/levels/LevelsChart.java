package fahrbahn.app.levels;

import fahrbahn.core.levels.Histogram;
import fahrbahn.core.levels.LevelChoice;
import fahrbahn.core.levels.LevelSchool;
import fahrbahn.core.levels.LevelTable;
import fahrbahn.core.levels.Levels;
import fahrbahn.core.levels.SensorLevels;
import fahrbahn.pen.Chart;
import fahrbahn.pen.Labels;
import fahrbahn.pen.Pen;
import fahrbahn.pen.Pen.Stroke;
import fahrbahn.pen.Scale;
import fahrbahn.words.Words;
import java.util.stream.Collectors;

/** How often each reading came up on dark and on light, and the levels between. */
record LevelsChart(LevelTable table, LevelSchool school, Histogram dark, Histogram light) implements Chart {
    private static final Stroke OUTLINE = new Stroke("ink-light", 1.5);
    private static final Stroke OTHER = new Stroke("ink-text", 1.5, 5, 5);
    private static final Stroke USED = new Stroke("ink-best", 3);

    /** @param school whose level is used */
    static LevelsChart of(LevelTable table, LevelSchool school) {
        Histogram.Bins bins = table.sensor().bins();
        return new LevelsChart(
                table, school, table.sensor().onDark(bins), table.sensor().onLight(bins));
    }

    private SensorLevels sensor() {
        return table.sensor();
    }

    @Override
    public String xLabel() {
        return "reading of sensor " + sensor().sensor();
    }

    @Override
    public String yLabel() {
        return "times seen";
    }

    @Override
    public String title() {
        return "Readings of sensor " + sensor().sensor() + " on dark and light";
    }

    @Override
    public String says() {
        Levels levels = sensor().levels();
        return "Dark around " + Words.number(levels.dark().mean()) + ", light around "
                + Words.number(levels.light().mean()) + "; "
                + table.choices().stream()
                        .map(c -> c.school().word() + " " + Words.exact(c.level()))
                        .collect(Collectors.joining(", "))
                + ".";
    }

    @Override
    public Range x() {
        return new Range(dark.bins().low(), dark.bins().high());
    }

    @Override
    public Range y() {
        return new Range(0, 1.3 * Math.max(dark.tallest(), light.tallest()));
    }

    @Override
    public void draw(Pen pen, Scale scale) {
        Levels levels = sensor().levels();
        if (levels.bandHolds()) {
            double from = scale.px(Math.min(levels.bandDark(), levels.bandLight()));
            double to = scale.px(Math.max(levels.bandDark(), levels.bandLight()));
            pen.box("ink-band", from, 0, to - from, scale.height());
        }
        bars(pen, scale, dark, true);
        bars(pen, scale, light, false);
        Labels labels = new Labels(pen, scale.width(), scale.height());
        LevelSchool used = table.used(school).school();
        for (LevelChoice choice : table.choices()) {
            double x = scale.px(choice.level());
            if (choice.school() != used && x >= 0 && x <= scale.width()) {
                pen.line(OTHER, x, 0, x, scale.height());
                labels.free(x, 0, x, scale.height());
            }
        }
        double at = scale.px(table.used(school).level());
        if (at >= 0 && at <= scale.width()) {
            pen.line(USED, at, 0, at, scale.height());
            labels.free(at, 0, at, scale.height());
        }
        free(labels, scale, dark);
        free(labels, scale, light);
        double y = scale.height() / 4;
        for (LevelChoice choice : table.choices()) {
            double x = scale.px(choice.level());
            if (x >= 0 && x <= scale.width()) {
                String ink = choice.school() == used ? "ink-best" : "ink-text";
                labels.put(ink, choice.school().word() + " " + Words.exact(choice.level()), x, y);
                y += scale.height() / 7;
            }
        }
        labels.put("ink-text", "dark", scale.px(levels.dark().mean()), scale.py(dark.tallest()));
        labels.put("ink-text", "light", scale.px(levels.light().mean()), scale.py(light.tallest()));
    }

    /** Dark bars are filled, light ones are outlined: told apart without colour. */
    private static void bars(Pen pen, Scale scale, Histogram counts, boolean filled) {
        for (int i = 0; i < counts.size(); i++) {
            double x = scale.px(counts.bins().edge(i));
            double width = scale.px(counts.bins().edge(i + 1)) - x - 1;
            double y = scale.py(counts.at(i));
            if (counts.at(i) > 0 && filled) {
                pen.box("ink-dark", x, y, width, scale.height() - y);
            } else if (counts.at(i) > 0) {
                pen.frame(OUTLINE, x + 0.75, y, Math.max(1, width - 1.5), scale.height() - y);
            }
        }
    }

    /** Words lie beside the bars, not on them. */
    private static void free(Labels labels, Scale scale, Histogram counts) {
        for (int i = 0; i < counts.size(); i++) {
            if (counts.at(i) > 0) {
                double x = (scale.px(counts.bins().edge(i))
                                + scale.px(counts.bins().edge(i + 1)))
                        / 2;
                labels.free(x, scale.py(counts.at(i)), x, scale.height());
            }
        }
    }
}
