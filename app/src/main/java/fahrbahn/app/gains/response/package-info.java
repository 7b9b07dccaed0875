/** How gains answer to a step and a bend, and what Ki buys. */
package fahrbahn.app.gains.response;
