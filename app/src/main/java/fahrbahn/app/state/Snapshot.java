package fahrbahn.app.state;

import java.util.List;

/** A long list as it was at one moment, as an input of derived values: equal to itself alone, for it is too long to be compared. */
public final class Snapshot<T> {
    private final List<T> values;

    public Snapshot(List<T> values) {
        this.values = List.copyOf(values);
    }

    public List<T> values() {
        return values;
    }
}
