/** The law as a program in the team's language, its numbers as they are typed, and what stands on the robot held against them. */
package fahrbahn.app.handover.program;
