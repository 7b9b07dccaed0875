/** Pictures that come in: decoded apart, scaled, packed. */
package fahrbahn.store.picture;
