/** Gains and speed for a course: many are driven a few times, the best most often. */
package fahrbahn.core.tuning.race;
