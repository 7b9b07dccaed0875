package fahrbahn.core.plan;

/**
 * Runs that found no room.
 *
 * @param planned of those asked for
 * @param reason in a sentence
 */
public record LeftOut(String team, String robot, String setting, int planned, int asked, String reason) {}
