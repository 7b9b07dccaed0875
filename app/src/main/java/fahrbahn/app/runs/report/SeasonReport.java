package fahrbahn.app.runs.report;

import fahrbahn.core.trials.Stretch;
import fahrbahn.pen.Paper;
import fahrbahn.pen.PdfPen;
import fahrbahn.pen.Pen.Anchor;
import fahrbahn.pen.Pen.Stroke;
import fahrbahn.pen.PlacedPen;
import fahrbahn.pen.VectorSheet;
import fahrbahn.pen.Wrap;
import fahrbahn.store.file.BadFileException;
import fahrbahn.store.file.Export;
import java.nio.file.Path;
import java.util.List;
import java.util.function.UnaryOperator;

/** The season of a robot on paper: what changed, what it brought, and how sure that is. */
public final class SeasonReport {
    private static final String INK = "ink-edge";
    private static final Stroke RULE = new Stroke("ink-zero", 0.8);
    private static final double EDGE = 40;
    private static final double LEADING = 15;
    private static final double CHART_HEIGHT = 170;
    private static final double NAME = 2.2;
    private static final double HEAD = 1.15;

    private final Paper paper = Paper.A4;
    private final PdfPen pen = new PdfPen(paper.width(), paper.height());
    private double y = EDGE;

    private SeasonReport() {}

    /** @throws BadFileException when it cannot be written; what was there is there still */
    public static void write(
            String robot, String whose, List<Stretch> stretches, UnaryOperator<String> venueName, Path file)
            throws BadFileException {
        Export.bytes(file, new SeasonReport().pdf(robot, whose, stretches, venueName));
    }

    private byte[] pdf(String robot, String whose, List<Stretch> all, UnaryOperator<String> venueName) {
        words("The season of " + robot, NAME);
        words(whose, 1);
        rule();
        words(SeasonWords.verdict(all), HEAD);
        if (!all.isEmpty()) {
            chart("Chance to finish, %, likely range, by period", new StretchChart(all, StretchChart.What.CHANCE));
            chart("Time of finished runs, s, mean and scatter", new StretchChart(all, StretchChart.What.TIME));
            y += LEADING / 2;
            words("What changed, and what it did", HEAD);
            for (int i = 0; i < all.size(); i++) {
                words(SeasonWords.stretch(i + 1, all.get(i), venueName) + " " + SeasonWords.sure(all.get(i)), 1);
                y += 3;
            }
        }
        return pen.pdf();
    }

    private void chart(String title, StretchChart chart) {
        words(title, 1);
        room(CHART_HEIGHT);
        VectorSheet.bare(chart, PlacedPen.at(pen, EDGE, y), paper.width() - 2 * EDGE, CHART_HEIGHT);
        y += CHART_HEIGHT;
    }

    private void rule() {
        y += 4;
        pen.line(RULE, EDGE, y, paper.width() - EDGE, y);
        y += 4;
    }

    private void words(String words, double times) {
        for (String line : Wrap.lines(pen, words, paper.width() - 2 * EDGE, times)) {
            room(LEADING * times);
            y += LEADING * times;
            pen.text(INK, line, EDGE, y - 0.25 * LEADING * times, Anchor.LEFT, times);
        }
    }

    /** On the next page where this one has no room for it. */
    private void room(double height) {
        if (y + height > paper.height() - EDGE) {
            pen.nextPage();
            y = EDGE;
        }
    }
}
