package fahrbahn.core.difference;

/**
 * One thing that is no longer what it was: why a result may not stand any more, or what two groups of runs did differently. Values,
 * not words: the interface says them.
 *
 * @param aspect what sort of thing
 * @param what the setting or circumstance, in the coach's words, with its unit where it has one
 * @param before what it was
 * @param after what it is
 */
public record Cause(Aspect aspect, String what, Object before, Object after) {}
