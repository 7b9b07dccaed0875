/** Before a season is open: the folder of seasons, the start page, opening, beginning, salvaging and bringing back. */
package fahrbahn.app.start;
