package fahrbahn.store;

/** One number typed by hand, as a document. */
final class NumberJson {
    private NumberJson() {}

    static String write(Double number) {
        return Fields.JSON.createObjectNode().put("number", number).toString();
    }

    /** @throws BadFileException naming what is wrong in the document */
    static Double parse(String json) throws BadFileException {
        return Documents.parse(json, root -> root.number("number"));
    }
}
