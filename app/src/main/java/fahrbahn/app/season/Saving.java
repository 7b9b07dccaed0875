package fahrbahn.app.season;

import fahrbahn.store.Scribe;
import javafx.beans.property.ReadOnlyIntegerProperty;
import javafx.beans.property.ReadOnlyIntegerWrapper;

/** How saving stands. */
public final class Saving implements Scribe.Saved {
    private final ReadOnlyIntegerWrapper unsaved = new ReadOnlyIntegerWrapper(0);
    private String why = "";

    @Override
    public void stands(int newUnsaved, String newWhy) {
        why = newWhy;
        unsaved.set(newUnsaved);
    }

    /** Changes that are on the screen and not on the disk. */
    public ReadOnlyIntegerProperty unsavedProperty() {
        return unsaved.getReadOnlyProperty();
    }

    /** Why, in words; empty when everything is saved. */
    public String why() {
        return why;
    }
}
