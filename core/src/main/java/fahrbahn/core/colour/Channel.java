package fahrbahn.core.colour;

/** The light a sensor works with. */
public enum Channel {
    /** All of it, as a plain reflected-light sensor does. */
    ALL("all"),
    RED("red"),
    GREEN("green"),
    BLUE("blue");

    private final String word;

    Channel(String word) {
        this.word = word;
    }

    /** The word used in setup files. */
    public String word() {
        return word;
    }
}
