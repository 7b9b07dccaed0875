package fahrbahn.app.state;

import java.util.Objects;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/** A choice made on a page, which derived values may rest on: what rests on the one before is let go when it is set. */
public final class Parameter<T> {
    private final T initial;
    private final ReadOnlyObjectWrapper<T> value;
    private final Runnable changed;

    Parameter(T initial, Runnable changed) {
        this.initial = initial;
        value = new ReadOnlyObjectWrapper<>(initial);
        this.changed = changed;
    }

    public T get() {
        return value.get();
    }

    public void set(T newValue) {
        if (!Objects.equals(value.get(), newValue)) {
            value.set(newValue);
            changed.run();
        }
    }

    /** Back to what it is before a choice is made. */
    public void reset() {
        set(initial);
    }

    public ReadOnlyObjectProperty<T> property() {
        return value.getReadOnlyProperty();
    }
}
