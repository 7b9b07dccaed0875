package fahrbahn.card;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.knowledge.Basis;
import fahrbahn.core.language.Style;
import fahrbahn.core.program.Grain;
import fahrbahn.core.program.Taken;
import fahrbahn.core.quality.Survey;
import fahrbahn.core.readings.Capture;
import fahrbahn.core.readings.Conditions;
import fahrbahn.core.season.Hand;
import fahrbahn.core.season.Listing;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.Draft;
import fahrbahn.store.document.Kind;
import fahrbahn.store.document.Kinds;
import fahrbahn.store.file.BadFileException;
import fahrbahn.store.json.Shared;
import fahrbahn.store.json.TablePrints;
import fahrbahn.store.season.Ledger;
import fahrbahn.store.season.Scribe;
import fahrbahn.store.season.SeasonFile;
import fahrbahn.store.season.SeasonFiles;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** The pit cards of a season file's robots, read without a window. Nothing is written to the file. */
public final class SeasonCards {
    private final Ledger ledger;
    private final Hand hand;
    private final Instant now;
    private final String day;
    private final Optional<Grain> grain;

    private SeasonCards(Ledger ledger, Instant now, String day, Optional<Grain> grain) {
        this.ledger = ledger;
        this.hand = ledger.get(Kinds.HAND, "").orElse(Hand.FIRST);
        this.now = now;
        this.day = day;
        this.grain = grain;
    }

    /**
     * The robot in hand first, then the others that are not retired, by name.
     *
     * @param day as it stands on the cards
     * @param grain of the programs' numbers; empty for each robot's own
     * @throws BadFileException when it is no season, is open elsewhere, or has no robot whose numbers can be typed
     */
    public static List<PitCard> of(Path file, Clock clock, String day, Optional<Grain> grain) throws BadFileException {
        try (SeasonFile season = SeasonFiles.openToRead(file, clock)) {
            Scribe.Desk nobody = new Scribe.Desk(Runnable::run, Runnable::run, (unsaved, why) -> {});
            return new SeasonCards(Ledger.open(season, nobody), clock.instant(), day, grain).all();
        }
    }

    private List<PitCard> all() {
        List<PitCard> cards = new ArrayList<>();
        ledger.owners(Kinds.SETUP).stream()
                .filter(robot -> !listing(Kinds.ROBOT, robot).retired())
                .sorted(Comparator.<String, Boolean>comparing(robot -> !robot.equals(hand.robot()))
                        .thenComparing(robot -> ledger.get(Kinds.SETUP, robot)
                                .map(s -> s.robot().name())
                                .orElse("")))
                .forEach(robot -> ledger.get(Kinds.SETUP, robot).ifPresent(setup -> cards.add(card(robot, setup))));
        return cards;
    }

    private PitCard card(String robot, Setup setup) {
        Style style = ledger.get(Kinds.STYLE, robot).orElse(Style.USUAL);
        Conditions conditions = ledger.get(Kinds.CONDITIONS, robot)
                .orElse(Conditions.UNKNOWN)
                .withVenue(hand.venue())
                .withSensorHeightMm(setup.robot().chassis().sensorHeightMm());
        Basis here = Basis.of(now, conditions).withSetting(Shared.setting(setup));
        Optional<Draft> course = ledger.get(Kinds.COURSE, hand.table());
        Basis basis = course.map(draft -> here.withTable(TablePrints.of(hand.table(), draft)))
                .orElse(here);
        List<Capture> captures = ledger.all(Kinds.CAPTURE, robot).values().stream()
                .sorted(Comparator.comparing(Capture::at))
                .toList();
        String whose = Stream.of(
                        listing(Kinds.TEAM, "", listing(Kinds.ROBOT, robot).team())
                                .name(),
                        course.map(Draft::name).orElse(""),
                        venue(hand.venue()))
                .filter(word -> !word.isEmpty())
                .collect(Collectors.joining(", "));
        try {
            return CardWords.card(
                    Taken.of(setup, grain.orElse(style.grain())),
                    whose,
                    day,
                    ledger.get(Kinds.HANDED, robot),
                    Stale.of(
                            basis, captures, Survey.of(captures, setup), ledger.get(Kinds.CHOSEN, robot), this::venue));
        } catch (BadValueException refused) {
            throw refused.inside(setup.robot().name());
        }
    }

    private String venue(String id) {
        String name = listing(Kinds.VENUE, id).name();
        return name.isEmpty() ? id : name;
    }

    private Listing listing(Kind<Listing> kind, String owner) {
        return ledger.get(kind, owner).orElse(Listing.PLAIN);
    }

    private Listing listing(Kind<Listing> kind, String owner, String id) {
        return ledger.get(kind, owner, id).orElse(Listing.PLAIN);
    }
}
