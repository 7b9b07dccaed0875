package fahrbahn.app.drive.stopping;

import fahrbahn.app.chart.CanvasRegion;
import fahrbahn.app.drive.stopping.StopModel.Answer;
import fahrbahn.core.levels.Histogram;
import fahrbahn.core.statistics.Sample;
import fahrbahn.core.stopping.Rule;
import fahrbahn.pen.Pen;
import fahrbahn.pen.Pen.Anchor;
import fahrbahn.pen.Pen.Stroke;
import fahrbahn.words.StoppingWords;
import fahrbahn.words.Words;
import java.util.Arrays;
import java.util.function.Consumer;

/** Where each rule stops about its mean place, one above the other over the same millimetres, with the window the attachment needs. */
final class StopPicture extends CanvasRegion {
    private static final int BINS = 61;
    private static final double NAME_PX = 110;
    private static final double NUMBER_PX = 130;
    private static final double GAP_PX = 8;
    private static final double AXIS_PX = 22;
    private static final double HAND_PX = 4;

    /** What lies beyond is drawn at the edge. */
    private static final double SIGMAS = 2.6;

    private Answer answer;
    private Rule inHand = Rule.TIMER;

    StopPicture(Consumer<Rule> taken) {
        super("Where each stopping rule stops", 220);
        setOnMouseClicked(e -> {
            int row = (int) (e.getY() / rowHeight());
            if (row >= 0 && row < Rule.values().length) {
                taken.accept(Rule.values()[row]);
            }
        });
    }

    void show(Answer newAnswer, Rule newInHand) {
        answer = newAnswer;
        inHand = newInHand;
        requestLayout();
    }

    @Override
    protected String says() {
        return answer == null ? StopWords.DRIVING : StopWords.verdict(answer);
    }

    private double rowHeight() {
        return (getHeight() - AXIS_PX) / Rule.values().length;
    }

    @Override
    protected void paint(Pen pen) {
        if (answer == null) {
            return;
        }
        double window = answer.plan().windowMm();
        double reach = Math.max(
                1.5 * window,
                SIGMAS
                        * Arrays.stream(Rule.values())
                                .mapToDouble(r -> answer.shares().all().scatterMm(r))
                                .max()
                                .orElseThrow());
        double left = NAME_PX;
        double width = Math.max(40, getWidth() - NAME_PX - NUMBER_PX);
        double perMm = width / (2 * reach);
        double middle = left + width / 2;
        double bottom = getHeight() - AXIS_PX;
        pen.box("ink-band", middle - window * perMm, 0, 2 * window * perMm, bottom);
        for (Rule rule : Rule.values()) {
            row(pen, rule, middle, perMm, reach);
        }
        Stroke edge = new Stroke("ink-best", 2, 6, 4);
        pen.line(edge, middle - window * perMm, 0, middle - window * perMm, bottom);
        pen.line(edge, middle + window * perMm, 0, middle + window * perMm, bottom);
        pen.text("ink-text", "-" + Words.number(window, 3) + " mm", middle - window * perMm, bottom + 16, Anchor.RIGHT);
        pen.text("ink-text", "+" + Words.number(window, 3) + " mm", middle + window * perMm, bottom + 16);
        pen.text("ink-text", "-" + Words.number(reach, 2), left, bottom + 16);
        pen.text("ink-text", "+" + Words.number(reach, 2), left + width, bottom + 16, Anchor.RIGHT);
    }

    private void row(Pen pen, Rule rule, double middle, double perMm, double reach) {
        double height = rowHeight();
        double base = (rule.ordinal() + 1) * height - GAP_PX;
        Sample places = answer.shares().all().places().get(rule);
        double mean = places.mean();
        double[] away = Arrays.stream(places.values())
                .map(p -> Math.max(-reach, Math.min(reach, p - mean)))
                .toArray();
        Histogram histogram = Histogram.of(away, new Histogram.Bins(-reach, 2 * reach / BINS, BINS));
        double most = Math.max(1, histogram.tallest());
        String ink = rule == inHand ? "ink-curve" : "ink-left";
        for (int bin = 0; bin < histogram.size(); bin++) {
            double tall = histogram.at(bin) / most * (height - 2 * GAP_PX);
            double from = middle + histogram.bins().edge(bin) * perMm;
            double to = middle + histogram.bins().edge(bin + 1) * perMm;
            if (tall > 0) {
                pen.box(ink, from, base - tall, Math.max(1, to - from - 0.5), tall);
            }
        }
        pen.line(new Stroke("ink-zero", 1), 0, base, getWidth(), base);
        if (rule == inHand) {
            pen.box("ink-curve", 0, base - height + 2 * GAP_PX, HAND_PX, height - 2 * GAP_PX);
        }
        pen.text("ink-edge", StoppingWords.name(rule), HAND_PX + 6, base - height / 3);
        String scatter = StoppingWords.mm(answer.shares().all().scatterMm(rule));
        pen.text("ink-edge", scatter, getWidth() - 2, base - height / 2, Anchor.RIGHT);
        String hits = StopWords.chance(
                answer.shares().all().within(rule, answer.plan().windowMm()));
        pen.text("ink-text", hits, getWidth() - 2, base - height / 2 + pen.lineHeight(), Anchor.RIGHT);
    }
}
