package fahrbahn.app.state;

import fahrbahn.app.errand.Ending;
import fahrbahn.app.errand.Errand;
import fahrbahn.app.errand.RefusedException;
import fahrbahn.core.job.Job;
import fahrbahn.store.file.BadFileException;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/**
 * A value worked out in the background from inputs. It is of these inputs alone: whoever asks for it when one of them has become another
 * gets nothing, and whoever shows it has it worked out again. Belongs to the interface thread; made by {@link State#derive}.
 */
public final class Derived<V> {
    private final Errand<V> errand;
    private final Recipe<?, V> recipe;
    private final State state;
    private final ReadOnlyObjectWrapper<Value<V>> value = new ReadOnlyObjectWrapper<>(new Value.Unasked<>());

    private final ReadOnlyObjectWrapper<Optional<V>> last = new ReadOnlyObjectWrapper<>(Optional.empty());

    /** What was selected when there last was a value. */
    private Optional<?> before = Optional.empty();

    /** The inputs that the value, or the work on it, is of; empty while nobody has shown it. */
    private Optional<?> of = Optional.empty();

    /** Whether it is worked out whenever its inputs change, whoever may show it. */
    private boolean eager;

    /** Makes a value of inputs, off the interface thread. */
    @FunctionalInterface
    public interface Work<K, V> {
        V of(K inputs, Job job) throws BadFileException;
    }

    /** The same with something to show before it is done. */
    @FunctionalInterface
    public interface PartWork<K, V> {
        /** @param part takes what there is so far */
        V of(K inputs, Job job, Consumer<V> part) throws BadFileException;
    }

    /** @param inputs as they are now; equal ones give the same value */
    record Recipe<K, V>(Supplier<K> inputs, PartWork<K, V> work) {
        Errand.PartWork<V> with(Object of) {
            @SuppressWarnings("unchecked") // it came from the inputs of this recipe
            K inputs = (K) of;
            return (job, part) -> work.of(inputs, job, part);
        }
    }

    Derived(Errand<V> errand, Recipe<?, V> recipe, State state) {
        this.errand = errand;
        this.recipe = recipe;
        this.state = state;
        value.addListener(o -> keepLast());
    }

    private void keepLast() {
        Value<V> now = value.get();
        if (now instanceof Value.Ready) {
            last.set(now.ready());
        } else if (now instanceof Value.Refused || beforeIsOfAnother()) {
            last.set(Optional.empty());
        }
    }

    /**
     * The newest value of what is selected, also while a newer one is worked out: for lists and pictures that are to stay meanwhile, never to
     * be used, saved or printed.
     */
    public ReadOnlyObjectProperty<Optional<V>> lastProperty() {
        return last.getReadOnlyProperty();
    }

    /**
     * The value, as an input of another derived value.
     *
     * @throws RefusedException in the words in which it was refused
     * @throws PendingException while it is being worked out: so is what rests on it
     */
    public V need() {
        Value<V> now = value();
        if (now instanceof Value.Refused<V> refused) {
            throw new RefusedException(refused.words());
        }
        return now.ready().orElseThrow(PendingException::new);
    }

    /** An input is not there yet. */
    static final class PendingException extends RuntimeException {
        private static final long serialVersionUID = 1L;

        PendingException() {
            super("is being worked out", null, false, false);
        }
    }

    boolean isEager() {
        return eager;
    }

    /** From now on it is worked out whenever its inputs change: for what other values are worked out from. */
    public Derived<V> eagerly() {
        eager = true;
        show();
        return this;
    }

    /** Whether the value before was of another robot, table or venue than is selected now: then nothing of it may still be seen. */
    public boolean beforeIsOfAnother() {
        return before.isPresent() && !before.get().equals(state.selection().get());
    }

    /** How it stands; a page that is up follows it. */
    public ReadOnlyObjectProperty<Value<V>> valueProperty() {
        return value.getReadOnlyProperty();
    }

    /** How it stands for the inputs as they are now. */
    public Value<V> value() {
        check();
        return value.get();
    }

    /** The value for the inputs as they are now: what may be printed, saved or used. */
    public Optional<V> get() {
        return value().ready();
    }

    /** Somebody shows it: it is worked out, unless it has been. Called at each frame. */
    public void show() {
        Object now = inputs();
        if (!of.equals(Optional.of(now))) {
            begin(now);
        }
    }

    /** Lets go of what is not of the inputs as they are now, or begins it again. */
    void check() {
        if (eager) {
            show();
        } else if (of.isPresent() && !isOfItsInputs()) {
            forget();
        }
    }

    /** Inputs that are not there, and what there is of the value instead. */
    private record Missing(Value<?> instead) {}

    /** Whether what there is of it is of the inputs as they are now. */
    boolean isOfItsInputs() {
        return of.equals(Optional.of(inputs()));
    }

    private Object inputs() {
        try {
            return recipe.inputs().get();
        } catch (RefusedException missing) {
            return new Missing(new Value.Refused<>(missing.getMessage()));
        } catch (PendingException notYet) {
            return new Missing(new Value.Computing<>(Optional.empty()));
        }
    }

    /** Nobody wants it any more: work on it is stopped, a value that is there stays. */
    public void hide() {
        if (errand.runningProperty().get()) {
            forget();
        }
    }

    /** Ends the work on it early: what is done of it is its value, where the work can be so. */
    public void endEarly() {
        errand.endEarly();
        if (!errand.runningProperty().get() && value.get() instanceof Value.Computing) {
            value.set(new Value.Unasked<>()); // nothing was done of it yet
        }
    }

    /** Stops the work on it; it is not begun again until an input is another, or {@link #again}. */
    public void stop() {
        if (errand.runningProperty().get()) {
            errand.stop();
            value.set(new Value.Unasked<>());
        }
    }

    /** Works it out, even if that was stopped for just these inputs. */
    public void again() {
        if (value() instanceof Value.Unasked) {
            of = Optional.empty();
        }
        show();
    }

    private void forget() {
        of = Optional.empty();
        errand.stop();
        value.set(new Value.Unasked<>());
    }

    private void begin(Object now) {
        of = Optional.of(now);
        if (now instanceof Missing missing) {
            errand.stop();
            value.set(instead(missing));
            state.check();
            return;
        }
        value.set(new Value.Computing<>(Optional.empty()));
        errand.runInParts(recipe.with(now), part -> value.set(new Value.Computing<>(Optional.of(part))), ending -> {
            before = Optional.of(state.selection().get());
            value.set(ended(ending));
            state.check(); // other values may be worked out from it
        });
    }

    @SuppressWarnings("unchecked") // there is no value in it
    private static <V> Value<V> instead(Missing missing) {
        return (Value<V>) missing.instead();
    }

    private static <V> Value<V> ended(Ending<V> ending) {
        if (ending instanceof Ending.Done<V> done) {
            return new Value.Ready<>(done.result());
        }
        return ending instanceof Ending.Stopped<V> ? new Value.Unasked<>() : new Value.Refused<>(Ending.words(ending));
    }

    public ReadOnlyBooleanProperty computingProperty() {
        return errand.runningProperty();
    }

    /** How far the work is, 0 to 1. */
    public double progress() {
        return errand.progress();
    }
}
