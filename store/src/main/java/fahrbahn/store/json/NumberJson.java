package fahrbahn.store.json;

import fahrbahn.store.file.BadFileException;

/** One number typed by hand, as a document. */
public final class NumberJson {
    private NumberJson() {}

    public static String write(Double number) {
        return Fields.JSON.createObjectNode().put("number", number).toString();
    }

    /** @throws BadFileException naming what is wrong in the document */
    public static Double parse(String json) throws BadFileException {
        return Documents.parse(json, root -> root.number("number"));
    }
}
