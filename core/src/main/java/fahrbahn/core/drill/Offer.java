package fahrbahn.core.drill;

/**
 * One thing to do next, and what became of the robot with it.
 *
 * @param mends whether it came round each time and our own analysis sees nothing wrong any more
 * @param became a sentence with its number
 */
public record Offer(Remedy remedy, boolean mends, String became) {}
