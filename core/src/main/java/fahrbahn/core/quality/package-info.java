/**
 * Whether readings can be trusted.
 *
 * <p>{@link fahrbahn.core.quality.CaptureQuality} looks at one capture, {@link fahrbahn.core.quality.SurfacePair} at dark against
 * light, {@link fahrbahn.core.quality.Agreement} at two sensors against each other, {@link fahrbahn.core.quality.RoomLight} at
 * lamp on against lamp off. What they find are {@link fahrbahn.core.quality.Finding}s: values, not sentences; the interface makes
 * the words.
 */
package fahrbahn.core.quality;
