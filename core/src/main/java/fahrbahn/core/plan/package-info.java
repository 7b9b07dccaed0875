/**
 * A plan of trials: which crew runs which robot with which setting on which table and when, within the minutes there are.
 *
 * <p>{@link fahrbahn.core.plan.PlanRequest} is what is wanted, {@link fahrbahn.core.plan.Plan} a list of blocks that do not overlap on any table,
 * for any crew or for any robot, and end in time; what found no room is told with the reason.
 *
 * <p>A crew runs in <em>rounds</em>: each of its robots with each of its settings once, in a drawn order (randomised complete blocks; Fisher, The
 * Design of Experiments, 1935). Every second round is the one before it backwards, so that what drifts evenly with time or battery falls on all
 * settings alike. A round stays on one table and, where a battery lasts for one, on one battery; so no setting is tangled with table, battery or order,
 * and whenever the plan is cut off, the counts of a crew differ by one at most.
 */
package fahrbahn.core.plan;
