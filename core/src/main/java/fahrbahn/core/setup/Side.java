package fahrbahn.core.setup;

/** The edge of the line that is ridden, seen in the direction of travel. */
public enum Side {
    LEFT("left", 1),
    RIGHT("right", -1);

    private final String word;
    private final int sign;

    Side(String word, int sign) {
        this.word = word;
        this.sign = sign;
    }

    /** The word used in setup files. */
    public String word() {
        return word;
    }

    /** Sign of y on this side: +1 on the left. */
    public int sign() {
        return sign;
    }
}
