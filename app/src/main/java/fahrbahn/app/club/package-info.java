/** The club: its teams, robots, tables and venues, and which of them are in hand. */
package fahrbahn.app.club;
