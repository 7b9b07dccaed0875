package fahrbahn.core.difference;

/**
 * One thing that is no longer what it was: why a result may not stand any more, or what two groups of runs did differently. Values,
 * not words: the interface says them.
 *
 * @param aspect what sort of thing
 * @param setting whether it is one of the robot, line and law; else a circumstance
 * @param what the setting or circumstance, in the coach's words, with its unit where it has one
 * @param before what it was
 * @param after what it is
 */
public record Cause(Aspect aspect, boolean setting, String what, Object before, Object after) {
    public static Cause setting(Aspect aspect, String what, Object before, Object after) {
        return new Cause(aspect, true, what, before, after);
    }

    /** One that has a name of its own. */
    public static Cause circumstance(Aspect aspect, String what, Object before, Object after) {
        return new Cause(aspect, false, what, before, after);
    }

    /** One that is called as its aspect. */
    public static Cause circumstance(Aspect aspect, Object before, Object after) {
        return circumstance(aspect, aspect.word(), before, after);
    }
}
