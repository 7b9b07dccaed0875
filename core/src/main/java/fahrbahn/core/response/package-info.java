/**
 * What a sensor reports near a line, and the error a law makes of it.
 *
 * <p>A sensor sees a Gaussian spot of standard deviation sigma. Over a straight line of width w, with the sensor at offset e
 * from the line's centre and Phi the normal distribution function, the line fills
 * {@code coverage(e) = Phi((w/2 - e)/sigma) - Phi((-w/2 - e)/sigma)} of the spot, and the reading lies that far between
 * ground and line.
 *
 * <p>From scaled readings n, {@link fahrbahn.core.response.ErrorRule} makes the error:
 *
 * <pre>
 * edge              n - target
 * pair              n(left) - n(right)
 * array-difference  sum of w*n                         weights w positive on the left
 * array-mean        sum of w*a / sum of a              a = share of the spot on the line, by the reading
 * </pre>
 *
 * {@link fahrbahn.core.response.ErrorCurve} is that error in closed form over the offset, and
 * {@link fahrbahn.core.response.CurveFeatures} what it offers: slope, straight part, ripple, blind band, fold-over, reach. A row
 * of on/off sensors has no error but patterns ({@link fahrbahn.core.setup.Options.Pattern}).
 *
 * <p>Offsets are lateral, in mm, left of the line's centre positive, of the point the law looks from: the sensor itself on an
 * edge, the middle of the others. Left out: noise, rounding, and that a row of sensors is tilted when the robot is.
 */
package fahrbahn.core.response;
