package fahrbahn.card;

import fahrbahn.pen.MeasuringPen;
import fahrbahn.pen.Paper;
import fahrbahn.pen.Pen;
import fahrbahn.pen.Sheet;

/** A pit card on paper: as large as it fits on one page. */
public record CardSheet(PitCard card, Paper paper) implements Sheet {
    /** Larger, lines break too often. */
    private static final double LARGEST = 1.3;

    private static final double STEP = 0.96;

    /** Smaller nobody reads; no card has so much on it. */
    private static final double LEAST = 0.35;

    @Override
    public double width() {
        return paper.width();
    }

    @Override
    public double height() {
        return paper.height();
    }

    @Override
    public void draw(Pen pen) {
        double times = LARGEST;
        while (times > LEAST && endsAt(times) > paper.height()) {
            times *= STEP;
        }
        new CardLayout(card, paper, pen, times).draw();
    }

    private double endsAt(double times) {
        return new CardLayout(card, paper, new MeasuringPen(), times).draw();
    }
}
