/** Which results still hold, and why not. */
package fahrbahn.app.freshness;
