package fahrbahn.app.state;

import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/** A choice made on a page, which derived values may rest on: what rests on the one before is let go when it is set. */
public final class Parameter<T> {
    private final ReadOnlyObjectWrapper<T> value;
    private final Runnable changed;

    Parameter(T initial, Runnable changed) {
        value = new ReadOnlyObjectWrapper<>(initial);
        this.changed = changed;
    }

    public T get() {
        return value.get();
    }

    public void set(T newValue) {
        value.set(newValue);
        changed.run();
    }

    public ReadOnlyObjectProperty<T> property() {
        return value.getReadOnlyProperty();
    }
}
