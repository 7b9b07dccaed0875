/** Setting gains. */
package fahrbahn.app.gains.choice;
