/**
 * The law as a program in the team's own language. {@link fahrbahn.core.program.LawListing} writes down once, as a {@link fahrbahn.core.program.Listing}
 * of assignments and decisions, what {@link fahrbahn.core.law.Program} does in a tick, in the same order of operations: readings first ({@link
 * fahrbahn.core.program.ReadListing}), then the law and what goes before it ({@link fahrbahn.core.program.ReflexListing}, {@link
 * fahrbahn.core.program.MarkListing}), then the wheels; a {@link fahrbahn.core.language.Language} puts that into words. So all languages say the same, and each equals the twin's program within rounding.
 *
 * <p>Readings come raw, one for each sensor of the robot from left to right, then red, green and blue of the sensor that looks for marks on the left and
 * of that on the right, where there are any. Commands of the left and the right wheel go out.
 *
 * <p>Left out: reading sensors and driving motors, which every robot does its own way.
 */
package fahrbahn.core.program;
