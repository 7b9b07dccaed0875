package fahrbahn.core.belief;

/** What a coach saw of a trial. */
public enum Seen {
    SMOOTH("smooth"),
    WIGGLES("wiggles"),
    LOST_STRAIGHT("lost-straight"),
    LOST_BEND("lost-bend"),
    LOST_CORNER("lost-corner"),
    LOST_GAP("lost-gap"),
    RIDES_LIGHT("rides-light"),
    RIDES_DARK("rides-dark"),
    TURNS_AWAY("turns-away"),
    OTHER("other");

    private final String word;

    Seen(String word) {
        this.word = word;
    }

    /** The word used in stories. */
    public String word() {
        return word;
    }

    boolean lost() {
        return this == LOST_STRAIGHT || this == LOST_BEND || this == LOST_CORNER || this == LOST_GAP;
    }
}
