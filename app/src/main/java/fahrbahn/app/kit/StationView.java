package fahrbahn.app.kit;

import java.util.List;
import java.util.function.Consumer;
import java.util.function.LongConsumer;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.scene.layout.Region;

/**
 * The bench of one station.
 *
 * @param content what fills the middle of the window
 * @param actions what keys do here, in the order they are offered
 * @param frame called once a frame while the station is shown, with its time, ns
 * @param page the title of the page that is up; empty where there is but one
 * @param turnTo turns to a page by its title
 */
public record StationView(
        Region content,
        List<Action> actions,
        LongConsumer frame,
        ReadOnlyStringProperty page,
        Consumer<String> turnTo) {
    public StationView {
        actions = List.copyOf(actions);
    }

    /** One page. */
    public StationView(Region content, List<Action> actions, LongConsumer frame) {
        this(content, actions, frame, new ReadOnlyStringWrapper("").getReadOnlyProperty(), title -> {});
    }
}
