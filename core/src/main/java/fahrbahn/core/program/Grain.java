package fahrbahn.core.program;

/** Which numbers a robot's program takes. */
public enum Grain {
    /** With as many digits as anybody types. */
    ANY("any number", "any", -1, false),
    THREE("three decimals", "3", 3, false),
    TWO("two decimals", "2", 2, false),
    ONE("one decimal", "1", 1, false),
    /** Whole numbers with gains in hundredths: the program divides what they are multiplied with by a hundred. */
    HUNDREDTHS("whole numbers, gains in hundredths", "hundredths", 0, true),
    WHOLE("whole numbers", "whole", 0, false);

    /** Gains are held in these parts where whole numbers would be too coarse. */
    public static final int PARTS = 100;

    private final String words;
    private final String word;
    private final int decimals;
    private final boolean gainsInParts;

    Grain(String words, String word, int decimals, boolean gainsInParts) {
        this.words = words;
        this.word = word;
        this.decimals = decimals;
        this.gainsInParts = gainsInParts;
    }

    /** As the coach calls it. */
    public String words() {
        return words;
    }

    /** As files and commands call it. */
    public String word() {
        return word;
    }

    /** Whether gains stand in the program as so many {@link #PARTS}. */
    public boolean gainsInParts() {
        return gainsInParts;
    }

    /** The nearest number the program takes for a level, a command or a target. */
    public double number(double value) {
        return rounded(value, decimals < 0 ? Double.NaN : Math.pow(10, decimals));
    }

    /** The nearest it takes for a gain, as the gain that it is worth. */
    public double gain(double value) {
        return gainsInParts ? rounded(value, PARTS) : number(value);
    }

    private static double rounded(double value, double perOne) {
        return Double.isNaN(perOne) ? value : Math.rint(value * perOne) / perOne;
    }
}
