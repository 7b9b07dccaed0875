/**
 * What a sensor reports near a line, and the error a law makes of it.
 *
 * <p>A sensor sees a Gaussian spot of standard deviation sigma. Over a straight line of width w, with the sensor at offset e
 * from the line's centre and Phi the normal distribution function, the line fills
 * {@code coverage(e) = Phi((w/2 - e)/sigma) - Phi((-w/2 - e)/sigma)} of the spot, and the reading lies that far between
 * ground and line.
 *
 * <p>Offsets are lateral, in mm, left of the line's centre positive, of the point the law looks from: the sensor itself on an
 * edge, the middle between the two sensors of a pair. Start at {@link fahrbahn.core.response.ErrorCurve}.
 */
package fahrbahn.core.response;
