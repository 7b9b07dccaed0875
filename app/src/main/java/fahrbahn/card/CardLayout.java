package fahrbahn.card;

import fahrbahn.card.PitCard.Line;
import fahrbahn.pen.Paper;
import fahrbahn.pen.Pen;
import fahrbahn.pen.Pen.Anchor;
import fahrbahn.pen.Pen.Stroke;
import fahrbahn.pen.PlacedPen;
import fahrbahn.pen.VectorSheet;
import fahrbahn.pen.Wrap;
import java.util.List;

/** Puts a card on a page from top to bottom: name, numbers, signs beside the lane, faults, what is stale, cautions. */
final class CardLayout {
    private static final String INK = "ink-edge";
    private static final Stroke RULE = new Stroke("ink-zero", 0.8);
    private static final Stroke FRAME = new Stroke(INK, 0.8);
    private static final Stroke CHANGED = new Stroke(INK, 2.6);
    private static final double EDGE = 34;

    /** Times the usual size. */
    private static final double NAME = 2.6;

    private static final double VALUE = 2.1;
    private static final double HEAD = 1.1;
    private static final double SMALL = 0.78;

    /** Of the usual size, from line to line. */
    private static final double LEADING = 15;

    /** Of the usual size, how far a g reaches below its line. */
    private static final double DESCENT = 2.8;

    private static final int MARK_COLUMNS = 4;
    private static final double MARK = 0.9;
    private static final int FEW = 6;
    private static final int MANY = 18;
    private static final double LANE_HEIGHT = 250;

    /** In a lower one its words find no room beside each other. */
    private static final double LEAST_LANE_HEIGHT = 200;

    private static final double LANE_SHARE = 0.62;
    private static final double FAULT_SHARE = 0.3;

    private final PitCard card;
    private final Pen pen;
    private final double times;
    private final double width;
    private final double laneHeight;
    private double y = EDGE;

    CardLayout(PitCard card, Paper paper, Pen pen, double times) {
        this.card = card;
        this.pen = pen;
        this.times = times;
        this.width = paper.width() - 2 * EDGE;
        this.laneHeight = Math.max(LEAST_LANE_HEIGHT, LANE_HEIGHT * times);
    }

    /** @return how far down it reaches, edge included */
    double draw() {
        head();
        numbers();
        signsAndLane();
        marks();
        if (!card.faults().isEmpty()) {
            title("When you see");
            card.faults().forEach(this::fault);
        }
        title(card.stale().isEmpty() ? "All up to date." : "Out of date");
        card.stale().forEach(line -> words("- " + line, EDGE, width, times));
        y += 6 * times;
        pen.line(RULE, EDGE, y, EDGE + width, y);
        y += 4 * times;
        card.cautions().forEach(line -> words(line, EDGE, width, SMALL * times));
        return y + EDGE;
    }

    private void head() {
        double size = fitting(card.heading().robot(), width, NAME * times);
        y += 0.75 * LEADING * size;
        pen.text(INK, card.heading().robot(), EDGE, y, Anchor.LEFT, size);
        y += DESCENT * size;
        words(
                card.heading().whose()
                        + (card.heading().whose().isEmpty() ? "" : ", ")
                        + card.heading().when(),
                EDGE,
                width,
                SMALL * times);
        y += 4 * times;
        pen.line(FRAME, EDGE, y, EDGE + width, y);
        y += 2 * times;
    }

    private void numbers() {
        title("Type into the program" + (card.taken().isEmpty() ? "" : ", " + card.taken())
                + (card.all().stream().anyMatch(PitCard.Number::changed) ? "; thick frames are new" : ""));
        List<PitCard.Number> all = card.numbers();
        int columns = all.size() <= FEW ? 2 : all.size() <= MANY ? 3 : 4;
        double gap = 6;
        double cell = (width - (columns - 1) * gap) / columns;
        for (int from = 0; from < all.size(); from += columns) {
            List<PitCard.Number> row = all.subList(from, Math.min(all.size(), from + columns));
            double top = y;
            double tallest = 0;
            for (int i = 0; i < row.size(); i++) {
                y = top;
                number(row.get(i), EDGE + i * (cell + gap), cell);
                tallest = Math.max(tallest, y - top);
            }
            for (int i = 0; i < row.size(); i++) {
                pen.frame(row.get(i).changed() ? CHANGED : FRAME, EDGE + i * (cell + gap), top, cell, tallest);
            }
            y = top + tallest + gap * times;
        }
        words(card.speed(), EDGE, width, times);
    }

    /** The name above, the value large below it at the right, what it is at the left of it. */
    private void number(PitCard.Number number, double x, double cell) {
        double inside = cell - 10;
        double top = y;
        double size = fitting(number.value(), inside * 0.6, VALUE * times);
        double wide = pen.width(number.value(), size);
        y += 3 * times;
        words(number.name(), x + 5, inside - wide - 6, times);
        words(number.words(), x + 5, inside - wide - 6, SMALL * times);
        double bottom = Math.max(y + 3 * times, top + LEADING * VALUE * times + 6 * times);
        pen.text(
                INK, number.value(), x + cell - 5, top + (bottom - top) / 2 + 0.3 * LEADING * size, Anchor.RIGHT, size);
        y = bottom;
    }

    /** A line each, in columns from top to bottom: there are many, and they are typed seldom. */
    private void marks() {
        List<PitCard.Number> all = card.marks().numbers();
        if (all.isEmpty()) {
            return;
        }
        title("Coloured marks: type these too; " + card.marks().colours());
        double gap = 14;
        double cell = (width - (MARK_COLUMNS - 1) * gap) / MARK_COLUMNS;
        int rows = (all.size() + MARK_COLUMNS - 1) / MARK_COLUMNS;
        double line = LEADING * MARK * times;
        for (int i = 0; i < all.size(); i++) {
            PitCard.Number number = all.get(i);
            double x = EDGE + i / rows * (cell + gap);
            double at = y + (i % rows + 1) * line;
            double valueSize = fitting(number.value(), cell * 0.45, MARK * times);
            double room = cell - pen.width(number.value(), valueSize) - 6;
            pen.text(INK, number.name(), x, at, Anchor.LEFT, fitting(number.name(), room, MARK * times));
            pen.text(INK, number.value(), x + cell, at, Anchor.RIGHT, valueSize);
            if (number.changed()) {
                pen.frame(CHANGED, x - 4, at - 0.8 * line, cell + 8, line);
            }
        }
        y += rows * line + 4 * times;
    }

    private void signsAndLane() {
        double top = y;
        boolean lane = card.lane().isPresent();
        double laneWidth = lane ? LANE_SHARE * width : 0;
        double signsAt = EDGE + (lane ? laneWidth + 12 : 0);
        double room = EDGE + width - signsAt;
        title("Wheels up over the line", signsAt, room);
        for (Line sign : card.signs()) {
            words(sign.what() + ":", signsAt, room, times);
            words(sign.then(), signsAt, room, 1.4 * times);
            y += 2 * times;
        }
        double signsEnd = y;
        if (lane) {
            y = top;
            title("The lane: Kp against speed", EDGE, laneWidth);
            VectorSheet.bare(
                    new LaneChart(card.lane().get()), PlacedPen.at(pen, EDGE, y), laneWidth, top + laneHeight - y);
        }
        y = Math.max(signsEnd, lane ? top + laneHeight : 0) + 2 * times;
    }

    private void fault(Line fault) {
        double top = y;
        double left = FAULT_SHARE * width;
        words(fault.what(), EDGE, left - 8, times);
        double end = y;
        y = top;
        words(fault.then(), EDGE + left, width - left, times);
        y = Math.max(end, y) + 1.5 * times;
    }

    private void title(String words) {
        title(words, EDGE, width);
    }

    private void title(String words, double x, double room) {
        y += 6 * times;
        words(words, x, room, HEAD * times);
        y += times;
    }

    private void words(String words, double x, double room, double size) {
        for (String line : Wrap.lines(pen, words, room, size)) {
            y += LEADING * size;
            pen.text(INK, line, x, y - 0.25 * LEADING * size, Anchor.LEFT, size);
        }
    }

    /** As large as wanted, or as there is room for. */
    private double fitting(String words, double room, double size) {
        double wide = pen.width(words, size);
        return wide <= room ? size : size * room / wide;
    }
}
