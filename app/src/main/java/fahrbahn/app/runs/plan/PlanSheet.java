package fahrbahn.app.runs.plan;

import fahrbahn.app.runs.plan.PlanModel.OnItsWay;
import fahrbahn.core.plan.Block;
import fahrbahn.pen.PdfPen;
import fahrbahn.pen.Pen;
import fahrbahn.store.file.BadFileException;
import fahrbahn.store.file.Export;
import java.nio.file.Path;
import java.util.List;

/** A plan on paper, for the wall beside the table: a line a block, with a box to tick. */
final class PlanSheet {
    private static final double WIDTH = 595; // A4, in points
    private static final double HEIGHT = 842;
    private static final double EDGE = 50;
    private static final double LINE = 19;
    private static final double BOX = 10;
    private static final double TABLE_X = EDGE + 85;
    private static final double WHO_X = TABLE_X + 60;
    private static final double WHAT_X = WHO_X + 135;
    private static final String INK = "ink-edge";
    private static final Pen.Stroke RULE = new Pen.Stroke("ink-zero", 0.6);

    private PlanSheet() {}

    /** @throws BadFileException when it cannot be written; what was there is there still */
    static void write(OnItsWay plan, Path file) throws BadFileException {
        Export.bytes(file, pdf(plan));
    }

    static byte[] pdf(OnItsWay plan) {
        PdfPen pen = new PdfPen(WIDTH, HEIGHT);
        List<Block> blocks = plan.blocks();
        int perPage = (int) ((HEIGHT - 2 * EDGE - 2 * LINE) / LINE);
        for (int i = 0; i < Math.max(1, blocks.size()); i++) {
            if (i % perPage == 0) {
                if (i > 0) {
                    pen.nextPage();
                }
                head(pen, plan);
            }
            if (i < blocks.size()) {
                line(
                        pen,
                        plan,
                        blocks.get(i),
                        EDGE + (2.5 + i % perPage) * LINE,
                        i < plan.schedule().done().size());
            }
        }
        return pen.pdf();
    }

    private static void head(Pen pen, OnItsWay plan) {
        pen.text(
                INK,
                "Plan of trials, " + PlanWords.clock(plan.schedule(), 0) + " to "
                        + PlanWords.clock(
                                plan.schedule(), 60 * plan.schedule().request().minutes()),
                EDGE,
                EDGE);
        pen.line(RULE, EDGE, EDGE + 8, WIDTH - EDGE, EDGE + 8);
    }

    private static void line(Pen pen, OnItsWay plan, Block block, double y, boolean done) {
        pen.frame(RULE, EDGE, y - BOX, BOX, BOX);
        if (done) {
            pen.line(new Pen.Stroke(INK, 1.5), EDGE, y - BOX, EDGE + BOX, y);
            pen.line(new Pen.Stroke(INK, 1.5), EDGE, y, EDGE + BOX, y - BOX);
        }
        pen.text(INK, PlanWords.clock(plan.schedule(), block.startS()), EDGE + 2 * BOX, y);
        pen.text(INK, fitting(pen, block.table(), WHO_X - TABLE_X - 6), TABLE_X, y);
        pen.text(INK, fitting(pen, PlanWords.who(block), WHAT_X - WHO_X - 6), WHO_X, y);
        pen.text(INK, fitting(pen, PlanWords.what(block), WIDTH - EDGE - WHAT_X), WHAT_X, y);
    }

    /** As much of the words as there is room for. */
    private static String fitting(Pen pen, String words, double width) {
        String cut = words;
        while (pen.width(cut) > width && cut.length() > 1) {
            cut = cut.substring(0, cut.length() - 1);
        }
        return cut;
    }
}
