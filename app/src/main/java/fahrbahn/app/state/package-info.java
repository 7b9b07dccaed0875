/**
 * One way for a page to know anything. A {@link fahrbahn.app.state.Derived} value is worked out in the background from its inputs, when
 * somebody shows it, and belongs to just these inputs: as soon as one of them is another, it is gone, and what is being worked out is
 * marked so. So no page can show, print or use what was worked out for another robot, and none has to notice for itself that something
 * changed.
 *
 * <p>Begin reading at {@link fahrbahn.app.state.State}, which makes them.
 */
package fahrbahn.app.state;
