package fahrbahn.app.kit;

import java.util.List;
import java.util.function.Consumer;
import java.util.function.LongConsumer;
import java.util.function.Predicate;
import java.util.function.Supplier;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.Region;

/**
 * The bench of one station.
 *
 * @param content what fills the middle of the window
 * @param actions what keys do here, in the order they are offered; asking for them builds pages that nobody has looked at yet
 * @param take true when this key was meant for something here, which is done then
 * @param frame called once a frame while the station is shown, with its time, ns
 * @param page the title of the page that is up; empty where there is but one
 * @param turnTo turns to a page by its title
 */
public record StationView(
        Region content,
        Supplier<List<Action>> actions,
        Predicate<KeyCode> take,
        LongConsumer frame,
        ReadOnlyStringProperty page,
        Consumer<String> turnTo) {

    /** One page. */
    public StationView(Region content, List<Action> actions, LongConsumer frame) {
        this(
                content,
                () -> actions,
                code -> take(actions, code),
                frame,
                new ReadOnlyStringWrapper("").getReadOnlyProperty(),
                title -> {});
    }

    /** True when this key was meant for one of them. */
    public static boolean take(List<Action> actions, KeyCode code) {
        return actions.stream().anyMatch(action -> action.take(code));
    }
}
