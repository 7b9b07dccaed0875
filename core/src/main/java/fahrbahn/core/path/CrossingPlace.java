package fahrbahn.core.path;

/** A crossing and where its middle lies along the path. */
public record CrossingPlace(Part.Crossing crossing, double middleMm) {}
