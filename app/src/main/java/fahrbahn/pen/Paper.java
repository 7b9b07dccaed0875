package fahrbahn.pen;

/** Sizes of paper, upright, in points. */
public enum Paper {
    A4("A4", 595, 842),
    LETTER("letter", 612, 792);

    private final String word;
    private final double width;
    private final double height;

    Paper(String word, double width, double height) {
        this.word = word;
        this.width = width;
        this.height = height;
    }

    public String word() {
        return word;
    }

    public double width() {
        return width;
    }

    public double height() {
        return height;
    }
}
