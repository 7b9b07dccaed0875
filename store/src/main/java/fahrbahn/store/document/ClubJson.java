package fahrbahn.store.document;

import fahrbahn.core.season.Hand;
import fahrbahn.core.season.Listing;
import fahrbahn.store.file.BadFileException;
import fahrbahn.store.json.Documents;
import fahrbahn.store.json.Fields;

/** The club's list, and what of it is in hand, as documents. */
public final class ClubJson {
    private ClubJson() {}

    public static String write(Hand hand) {
        return Fields.JSON
                .createObjectNode()
                .put("robot", hand.robot())
                .put("table", hand.table())
                .put("venue", hand.venue())
                .toString();
    }

    static Hand parseHand(String json) throws BadFileException {
        return Documents.parse(json, root -> new Hand(root.text("robot"), root.text("table"), root.text("venue", "")));
    }

    public static String write(Listing listing) {
        return Fields.JSON
                .createObjectNode()
                .put("name", listing.name())
                .put("team", listing.team())
                .put("retired", listing.retired())
                .toString();
    }

    public static Listing parseListing(String json) throws BadFileException {
        return Documents.parse(
                json, root -> new Listing(root.text("name", ""), root.text("team", ""), root.truth("retired", false)));
    }
}
