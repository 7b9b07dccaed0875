package fahrbahn.store.document;

import fahrbahn.store.file.BadFileException;
import fahrbahn.store.json.Shared;

/** How values of a kind are written and read. */
public interface Codec<T> {
    String write(T value, Shared shared);

    /** @throws BadFileException naming what is wrong in the document */
    T read(String id, String json, Shared shared) throws BadFileException;

    /** The same over an earlier state of the document, of which unknown fields are to be kept. */
    default String writeOver(String before, T value, Shared shared) throws BadFileException {
        return write(value, shared);
    }

    /** One that shares nothing and does not mind how its document is called. */
    static <T> Codec<T> plain(Writer<T> writer, Reader<T> reader) {
        return new Codec<>() {
            @Override
            public String write(T value, Shared shared) {
                return writer.write(value);
            }

            @Override
            public T read(String id, String json, Shared shared) throws BadFileException {
                return reader.read(json);
            }
        };
    }

    /** Writes alone. */
    interface Writer<T> {
        String write(T value);
    }

    /** Reads alone. */
    interface Reader<T> {
        T read(String json) throws BadFileException;
    }
}
