/**
 * The loop from reading to steering, along a straight line, as an exact sampled-data model.
 *
 * <p>Heading theta, offset y, speed v, lead L, wheel lag tau, steering u, turn rate per command G, slope of the error g:
 * {@code y' = v*theta}, {@code theta' = omega}, {@code tau*omega' = G*u - omega}, sensed {@code e = y + L*theta}, error
 * {@code g*e}. Steering is held for a loop period T and applied a delay d after its reading, any d. Discretised exactly for a
 * zero-order hold with fractional delay (Astrom and Wittenmark, Computer-Controlled Systems, 3rd ed. 1997, ch. 3).
 *
 * <p>Left out: clamped commands, the curve of the error away from the riding point, noise. The twin has them.
 * Start at {@link fahrbahn.core.loop.SampledLoop}; {@link fahrbahn.core.loop.Lane} is what the coach sees of it.
 */
package fahrbahn.core.loop;
