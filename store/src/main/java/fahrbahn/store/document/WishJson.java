package fahrbahn.store.document;

import fahrbahn.core.belief.Wish;
import fahrbahn.core.tuning.race.Goal;
import fahrbahn.store.file.BadFileException;
import fahrbahn.store.json.Documents;
import fahrbahn.store.json.Fields;

/** What trials are for, as a document. */
final class WishJson {
    private WishJson() {}

    static String write(Wish wish) {
        return Fields.JSON
                .createObjectNode()
                .put("for", wish.goal().word())
                .put("trialsLeft", wish.trialsLeft())
                .put("at", wish.since().toString())
                .toString();
    }

    /** @throws BadFileException naming what is wrong in the document */
    static Wish parse(String json) throws BadFileException {
        return Documents.parse(
                json,
                root -> new Wish(
                        root.oneOf("for", Goal.values(), Goal::word),
                        (int) root.number("trialsLeft"),
                        CaptureCodec.instant(root)));
    }
}
