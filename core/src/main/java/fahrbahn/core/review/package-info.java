/**
 * What runs of the twin show: why one was lost ({@link fahrbahn.core.review.Loss}), what happened in it
 * ({@link fahrbahn.core.review.RunEvents}), what made the lost ones of many lost ({@link fahrbahn.core.review.LossFactors}), where many went
 * ({@link fahrbahn.core.review.ManyRuns}), and how two robots or settings differ on the same starts
 * ({@link fahrbahn.core.review.TwoOnOneTable}).
 *
 * <p>A run departs at the tick after which its law's point does not come back into the usable band, where the error still tells how far
 * off it is. What the robot did just before, and what the line asks there, tell why; each reason carries its figures.
 */
package fahrbahn.core.review;
