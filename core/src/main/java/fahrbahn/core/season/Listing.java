package fahrbahn.core.season;

/**
 * A team, robot, table or venue in the club's list. Robots and tables have their name where they are described.
 *
 * @param name of a team or venue; empty for the others
 * @param team identifier of a robot's team; empty for the others, and for a robot of none
 * @param retired not offered any more; nothing of it is deleted
 */
public record Listing(String name, String team, boolean retired) {
    /** One nobody has listed yet. */
    public static final Listing PLAIN = new Listing("", "", false);

    public Listing withName(String newName) {
        return new Listing(newName, team, retired);
    }

    public Listing withTeam(String newTeam) {
        return new Listing(name, newTeam, retired);
    }

    public Listing withRetired(boolean newRetired) {
        return new Listing(name, team, newRetired);
    }
}
