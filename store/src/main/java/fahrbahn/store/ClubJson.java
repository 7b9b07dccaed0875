package fahrbahn.store;

import fahrbahn.core.season.Hand;
import fahrbahn.core.season.Listing;

/** The club's list, and what of it is in hand, as documents. */
final class ClubJson {
    private ClubJson() {}

    static String write(Hand hand) {
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

    static String write(Listing listing) {
        return Fields.JSON
                .createObjectNode()
                .put("name", listing.name())
                .put("team", listing.team())
                .put("retired", listing.retired())
                .toString();
    }

    static Listing parseListing(String json) throws BadFileException {
        return Documents.parse(
                json, root -> new Listing(root.text("name", ""), root.text("team", ""), root.truth("retired", false)));
    }
}
