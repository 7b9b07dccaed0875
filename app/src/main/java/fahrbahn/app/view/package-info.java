/** The window: nodes and bindings only. What is shown and done is in {@link fahrbahn.app.model}. */
package fahrbahn.app.view;
