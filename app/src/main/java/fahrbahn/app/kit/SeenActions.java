package fahrbahn.app.kit;

import fahrbahn.core.trials.Outcome.Seen;
import fahrbahn.words.RunWords;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.function.BiConsumer;
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

    /** Where nothing else says how the run ended: this one wiggled until it was lost. */
    private static final KeyCode WIGGLED_LOST = KeyCode.X;

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

    /** What was seen, and whether it finished: a robot that wiggles may have. @param prefix of their identifiers */
    public static List<Action> withFinish(String prefix, BiConsumer<Seen, Boolean> see) {
        List<Action> actions = new ArrayList<>();
        of(prefix, seen -> see.accept(seen, finishes(seen))).forEach((seen, action) -> {
            actions.add(action);
            if (seen == Seen.WIGGLES) {
                action.button().setText("wiggles, finished");
                actions.add(new Action(
                        prefix + "wiggles-lost", "wiggles, lost", WIGGLED_LOST, () -> see.accept(seen, false)));
            }
        });
        return List.copyOf(actions);
    }

    private static boolean finishes(Seen seen) {
        return switch (seen) {
            case SMOOTH, WIGGLES, RIDES_LIGHT, RIDES_DARK -> true;
            case LOST_STRAIGHT, LOST_BEND, LOST_CORNER, LOST_GAP, TURNS_AWAY, OTHER -> false;
        };
    }
}
