package fahrbahn.app.shell;

import java.time.Clock;
import java.time.Instant;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.collections.FXCollections;
import javafx.collections.ObservableList;

/** What was told: the newest on the notice line until it is over, and the ones before to be read again. */
public final class Notices {
    private static final int MOST = 40;

    private final Clock clock;
    private final ReadOnlyStringWrapper shown = new ReadOnlyStringWrapper("");
    private final ObservableList<Notice> told = FXCollections.observableArrayList();
    private final ObservableList<Notice> read = FXCollections.unmodifiableObservableList(told);

    /** Words and when they were told. */
    public record Notice(Instant at, String words) {}

    Notices(Clock clock) {
        this.clock = clock;
    }

    /** On the notice line; empty when it is over. */
    public ReadOnlyStringProperty shownProperty() {
        return shown.getReadOnlyProperty();
    }

    /** Newest first. */
    public ObservableList<Notice> told() {
        return read;
    }

    void tell(String words) {
        if (!words.isEmpty()) {
            told.add(0, new Notice(clock.instant(), words));
            if (told.size() > MOST) {
                told.remove(MOST);
            }
        }
        shown.set(words);
    }

    /** The next success, another station, or Esc: what it said is over. */
    void over() {
        shown.set("");
    }
}
