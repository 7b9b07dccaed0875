package fahrbahn.app.gains.next;

import fahrbahn.core.belief.Candidate;
import fahrbahn.core.belief.Trial;
import fahrbahn.core.trials.Outcome.Seen;
import fahrbahn.pen.Chart;
import fahrbahn.pen.Labels;
import fahrbahn.pen.Pen;
import fahrbahn.pen.Pen.Stroke;
import fahrbahn.pen.Scale;
import java.util.List;
import java.util.Optional;
import java.util.function.ToDoubleFunction;

/**
 * The ladder so far: each trial by its number where its gains lie, a full dot where it ran smoothly, a ring where it got round or may have, a cross
 * where it was lost; framed, the next.
 */
record LadderChart(List<Trial> trials, Optional<Candidate> next) implements Chart {
    private static final double DOT_PX = 6;
    private static final double FRAME_PX = 11;
    private static final Stroke CROSS = new Stroke("ink-cross", 2.5);
    private static final Stroke NEXT = new Stroke("ink-advice", 3);
    private static final Stroke WAY = new Stroke("ink-zero", 1.5);

    @Override
    public String xLabel() {
        return "Kp, per loop";
    }

    @Override
    public String yLabel() {
        return "Kd, per loop";
    }

    @Override
    public String title() {
        return "Trials so far";
    }

    @Override
    public String says() {
        return trials.size() + " trials so far"
                + next.map(c -> ", next Kp " + c.kp() + " and Kd " + c.kd()).orElse("") + ".";
    }

    @Override
    public Range x() {
        return range(Trial::kp, Candidate::kp);
    }

    @Override
    public Range y() {
        return range(Trial::kd, Candidate::kd);
    }

    private Range range(ToDoubleFunction<Trial> tried, ToDoubleFunction<Candidate> coming) {
        double most = Math.max(
                trials.stream().mapToDouble(tried).max().orElse(0),
                next.map(coming::applyAsDouble).orElse(0.0));
        return new Range(0, most > 0 ? 1.25 * most : 1);
    }

    @Override
    public void draw(Pen pen, Scale scale) {
        Labels labels = new Labels(pen, scale.width(), scale.height());
        for (int i = 1; i < trials.size(); i++) {
            pen.line(
                    WAY,
                    scale.px(trials.get(i - 1).kp()),
                    scale.py(trials.get(i - 1).kd()),
                    scale.px(trials.get(i).kp()),
                    scale.py(trials.get(i).kd()));
        }
        for (Trial trial : trials) {
            double x = scale.px(trial.kp());
            double y = scale.py(trial.kd());
            mark(pen, trial.seen(), x, y);
            labels.free(x, y, DOT_PX);
        }
        next.ifPresent(c -> {
            double x = scale.px(c.kp());
            double y = scale.py(c.kd());
            pen.frame(NEXT, x - FRAME_PX, y - FRAME_PX, 2 * FRAME_PX, 2 * FRAME_PX);
            labels.put("ink-text", "next", x + FRAME_PX, y);
        });
        for (int i = 0; i < trials.size(); i++) {
            labels.put(
                    "ink-text",
                    String.valueOf(i + 1),
                    scale.px(trials.get(i).kp()) + DOT_PX,
                    scale.py(trials.get(i).kd()));
        }
    }

    private static void mark(Pen pen, Seen seen, double x, double y) {
        switch (seen) {
            case SMOOTH -> pen.dot("ink-robot", x, y, DOT_PX);
            case LOST_STRAIGHT, LOST_BEND, LOST_CORNER, LOST_GAP, TURNS_AWAY -> {
                pen.line(CROSS, x - DOT_PX, y - DOT_PX, x + DOT_PX, y + DOT_PX);
                pen.line(CROSS, x - DOT_PX, y + DOT_PX, x + DOT_PX, y - DOT_PX);
            }
            default -> {
                pen.dot("ink-robot", x, y, DOT_PX);
                pen.dot("ink-map-rim", x, y, DOT_PX - 2.5);
            }
        }
    }
}
