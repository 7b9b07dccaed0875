/** Round an obstacle. */
package fahrbahn.app.drive.detour;
