/** The one way to work in the background: {@link fahrbahn.app.errand.Errand}, which ends in one of four ways. */
package fahrbahn.app.errand;
