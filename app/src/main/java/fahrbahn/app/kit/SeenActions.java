package fahrbahn.app.kit;

import fahrbahn.core.trials.Outcome.Seen;
import fahrbahn.words.RunWords;
import java.util.EnumMap;
import java.util.Map;
import java.util.function.Consumer;
import javafx.scene.input.KeyCode;

/** One key for each thing that may be seen of a run, the same wherever it is asked. */
public final class SeenActions {
    private static final Map<Seen, KeyCode> KEYS = Map.of(
            Seen.SMOOTH, KeyCode.S,
            Seen.WIGGLES, KeyCode.W,
            Seen.LOST_STRAIGHT, KeyCode.T,
            Seen.LOST_BEND, KeyCode.E,
            Seen.LOST_CORNER, KeyCode.C,
            Seen.LOST_GAP, KeyCode.G,
            Seen.RIDES_LIGHT, KeyCode.L,
            Seen.RIDES_DARK, KeyCode.K,
            Seen.TURNS_AWAY, KeyCode.A,
            Seen.OTHER, KeyCode.O);

    private SeenActions() {}

    /** In the order of what may be seen. @param prefix of their identifiers */
    public static Map<Seen, Action> of(String prefix, Consumer<Seen> see) {
        Map<Seen, Action> actions = new EnumMap<>(Seen.class);
        for (Seen seen : Seen.values()) {
            actions.put(
                    seen,
                    new Action(prefix + seen.word(), RunWords.seen(seen), KEYS.get(seen), () -> see.accept(seen)));
        }
        return actions;
    }
}
