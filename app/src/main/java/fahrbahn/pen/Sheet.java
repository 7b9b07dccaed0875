package fahrbahn.pen;

/** Something that any pen draws, as large as it says: a chart with its frame, a table from above. */
public interface Sheet {
    double width();

    double height();

    void draw(Pen pen);

    /** A chart with frame, ticks and labels. */
    static Sheet of(Chart chart) {
        return new Sheet() {
            @Override
            public double width() {
                return VectorSheet.WIDTH;
            }

            @Override
            public double height() {
                return VectorSheet.HEIGHT;
            }

            @Override
            public void draw(Pen pen) {
                VectorSheet.draw(chart, pen);
            }
        };
    }
}
