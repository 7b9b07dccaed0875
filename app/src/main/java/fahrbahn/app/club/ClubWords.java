package fahrbahn.app.club;

import fahrbahn.app.season.Entry;
import fahrbahn.app.season.Sort;

/** The club in a sentence. */
public final class ClubWords {
    private ClubWords() {}

    /** What the stations are about, and how to change it. */
    public static String inHand(ClubModel model) {
        Entry robot = model.inHand(Sort.ROBOT);
        Entry venue = model.inHand(Sort.VENUE);
        return "In hand: " + robot.name() + (robot.team().isEmpty() ? "" : " of the team " + robot.team()) + ", on "
                + model.inHand(Sort.TABLE).name()
                + (venue.name().isEmpty() ? "; no venue said" : ", in " + venue.name())
                + ". Everything on the stations is about them; F2, F3 and F4 take the next.";
    }
}
