package fahrbahn.app.kit.field;

import java.util.function.Function;
import javafx.util.StringConverter;

/** Shows values of a box by a word; nothing is ever read back from text. */
public final class Spoken<E> extends StringConverter<E> {
    private final Function<E, String> word;

    public Spoken(Function<E, String> word) {
        this.word = word;
    }

    @Override
    public String toString(E value) {
        return value == null ? "" : word.apply(value);
    }

    @Override
    public E fromString(String text) {
        throw new UnsupportedOperationException("the box is not editable");
    }
}
