package fahrbahn.app.kit;

import java.util.List;
import java.util.function.LongConsumer;
import javafx.scene.layout.Region;

/**
 * The bench of one station.
 *
 * @param content what fills the middle of the window
 * @param actions what keys do here, in the order they are offered
 * @param frame called once a frame while the station is shown, with its time, ns
 */
public record StationView(Region content, List<Action> actions, LongConsumer frame) {
    public StationView {
        actions = List.copyOf(actions);
    }
}
