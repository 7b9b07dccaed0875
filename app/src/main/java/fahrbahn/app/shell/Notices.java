package fahrbahn.app.shell;

import java.time.Clock;
import java.time.Instant;
import java.util.regex.Pattern;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.collections.FXCollections;
import javafx.collections.ObservableList;

/** What was told: the newest on the notice line until it is over, and the ones before to be read again. */
public final class Notices {
    private static final int MOST = 40;

    /** Characters that break a line or turn the direction of reading, as a file may bring them into a message. */
    private static final Pattern NOT_WORDS =
            Pattern.compile("[\\p{Cntrl}\\u200e\\u200f\\u202a-\\u202e\\u2066-\\u2069]+");

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
        String line = NOT_WORDS.matcher(words).replaceAll(" ").strip();
        if (!line.isEmpty()) {
            told.add(0, new Notice(clock.instant(), line));
            if (told.size() > MOST) {
                told.remove(MOST);
            }
        }
        shown.set(line);
    }

    /** The next success, another station, or Esc: what it said is over. */
    void over() {
        shown.set("");
    }
}
