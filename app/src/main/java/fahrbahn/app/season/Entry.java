package fahrbahn.app.season;

/**
 * One of the club's list.
 *
 * @param team what its team is called; empty for none, and for all but robots
 * @param inHand it is what the stations are about
 */
public record Entry(Sort sort, String id, String name, String team, boolean retired, boolean inHand) {}
