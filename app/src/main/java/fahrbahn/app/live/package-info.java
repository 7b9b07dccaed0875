/**
 * The connected robot: readings taken out of the link once a frame, and what was heard of late.
 */
package fahrbahn.app.live;
