package fahrbahn.core.tuning.race;

/** What a coach wants of a run. */
public enum Goal {
    /** To finish, then to keep near its path: rescue. */
    FINISH("finish"),
    /** To finish and stop in the same place: a mission. */
    PLACE("place"),
    /** To finish in the least time: a sprint. */
    LAP("lap");

    private final String word;

    Goal(String word) {
        this.word = word;
    }

    /** The word used by commands. */
    public String word() {
        return word;
    }
}
