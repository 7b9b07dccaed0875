package fahrbahn.core.belief;

/** A setting that can be tried. Gains per loop. */
public record Candidate(double kp, double kd, double baseCommand) {}
