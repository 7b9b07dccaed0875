package fahrbahn.core.setup;

/** Which of line and ground is the dark one. */
public enum Polarity {
    DARK_ON_LIGHT("dark-on-light"),
    LIGHT_ON_DARK("light-on-dark");

    private final String word;

    Polarity(String word) {
        this.word = word;
    }

    /** The word used in setup files. */
    public String word() {
        return word;
    }

    /** Reading far from any line. */
    public double ground(Sensor sensor) {
        return this == DARK_ON_LIGHT ? sensor.light() : sensor.dark();
    }

    /** Reading with the whole spot on the line. */
    public double line(Sensor sensor) {
        return this == DARK_ON_LIGHT ? sensor.dark() : sensor.light();
    }
}
