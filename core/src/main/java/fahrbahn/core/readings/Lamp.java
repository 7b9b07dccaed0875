package fahrbahn.core.readings;

/** The sensors' own lamps. With them off, what is left is the light of the room. */
public enum Lamp {
    ON("on"),
    OFF("off");

    private final String word;

    Lamp(String word) {
        this.word = word;
    }

    public String word() {
        return word;
    }
}
