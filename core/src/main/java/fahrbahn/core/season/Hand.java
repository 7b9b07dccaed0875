package fahrbahn.core.season;

/**
 * What is in hand: everything on screen is about this robot, on this table, in this venue.
 *
 * @param robot identifier
 * @param table identifier
 * @param venue identifier; empty when nobody has said where
 */
public record Hand(String robot, String table, String venue) {
    /** The owner of everything in a season that has but one robot and one table, as older ones do. */
    public static final String ONLY = "main";

    public static final Hand FIRST = new Hand(ONLY, ONLY, "");

    public Hand withRobot(String newRobot) {
        return new Hand(newRobot, table, venue);
    }

    public Hand withTable(String newTable) {
        return new Hand(robot, newTable, venue);
    }

    public Hand withVenue(String newVenue) {
        return new Hand(robot, table, newVenue);
    }
}
