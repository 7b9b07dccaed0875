package fahrbahn.app.season;

import fahrbahn.store.season.Scribe;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/** How saving stands. */
public final class Saving implements Scribe.Saved {
    private final ReadOnlyObjectWrapper<State> state = new ReadOnlyObjectWrapper<>(State.FINE);

    /**
     * @param unsaved changes that are on the screen and not on the disk
     * @param trouble why, or what else is wrong with the file, in words; empty when everything is saved
     */
    public record State(int unsaved, String trouble) {
        static final State FINE = new State(0, "");

        public boolean fine() {
            return unsaved == 0 && trouble.isEmpty();
        }
    }

    @Override
    public void stands(int unsaved, String why) {
        state.set(new State(unsaved, why));
    }

    public ReadOnlyObjectProperty<State> stateProperty() {
        return state.getReadOnlyProperty();
    }
}
