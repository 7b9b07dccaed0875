/**
 * What the window shows and does, without nodes: observable values, commands and sentences. Everything here runs on the
 * interface thread; work that takes time goes through {@link fahrbahn.app.model.Background}.
 *
 * <p>{@link fahrbahn.app.model.Workshop} holds it all: the season, the live readings and one model per station.
 */
package fahrbahn.app.model;
