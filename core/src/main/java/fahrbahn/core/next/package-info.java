/** The next trial: what is worth trying, given what the trials so far say of the robot. */
package fahrbahn.core.next;
