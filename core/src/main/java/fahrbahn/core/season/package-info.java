/**
 * A season belongs to a club: teams with their robots, tables, venues. {@link fahrbahn.core.season.Listing} is one of them in the
 * club's list, {@link fahrbahn.core.season.Hand} says which robot, table and venue are in hand.
 */
package fahrbahn.core.season;
