/** The desktop app: where it starts, with which season, and what closes when it ends. */
package fahrbahn.app;
