/**
 * What a crew takes to the table: {@link fahrbahn.card.PitCard}, the page of one robot, and the picture of the lane that stands on it and on the
 * screen alike. Drawn by any pen; no window.
 */
package fahrbahn.card;
