/** Charts: axes from JavaFX, everything inside them painted on a canvas in colours that come from the style sheet. */
package fahrbahn.app.chart;
