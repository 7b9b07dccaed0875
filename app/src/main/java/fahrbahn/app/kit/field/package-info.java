/** Fields to type numbers and choose. */
package fahrbahn.app.kit.field;
