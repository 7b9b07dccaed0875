/** The commands without a window: JSON on standard output, messages on standard error, exit 0 on success and 2 on bad input. */
package fahrbahn.headless;
