/** What coaches exchange as JSON: setups, courses, plans, stories; every refusal names field, value and rule. */
package fahrbahn.store.json;
