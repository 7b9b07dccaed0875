/**
 * Coloured marks: which of the named surfaces a colour reading shows, by every school that coaches use, and how often each errs.
 *
 * <p>A {@link fahrbahn.core.marks.MarkSample} is one reading in three channels of a named surface. {@link fahrbahn.core.marks.ColourScale} scales
 * it by dark and light, {@link fahrbahn.core.marks.ColourSpace} turns it into features, a {@link fahrbahn.core.marks.MarkSchool} learns from the
 * samples' moments, and {@link fahrbahn.core.marks.MarkComparison} judges each school by readings, and whole captures, that it has not seen.
 * {@link fahrbahn.core.marks.MarkTiming} says how long a mark must be for so many confirming reads.
 */
package fahrbahn.core.marks;
