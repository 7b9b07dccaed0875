package fahrbahn.app.handover;

import fahrbahn.app.errand.Ending;
import fahrbahn.app.errand.Errand;
import fahrbahn.app.errand.Errands;
import fahrbahn.app.measure.MeasureModel;
import fahrbahn.app.season.Season;
import fahrbahn.card.CardFile;
import fahrbahn.card.CardWords;
import fahrbahn.card.PitCard;
import fahrbahn.card.Stale;
import fahrbahn.core.knowledge.Basis;
import fahrbahn.core.program.HandOver;
import fahrbahn.core.program.Taken;
import fahrbahn.pen.Paper;
import java.awt.image.BufferedImage;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/** The pit card of the robot in hand, as it is printed. */
public final class CardModel {
    private static final float SHOWN_DPI = 140;

    private final Season season;
    private final MeasureModel measure;
    private final HandoverModel handover;
    private final Errand<Shown> errand;
    private final Errand<String> save;
    private final Consumer<String> tell;
    private final ReadOnlyObjectWrapper<Optional<Shown>> shown = new ReadOnlyObjectWrapper<>(Optional.empty());
    private final ReadOnlyObjectWrapper<Paper> paper = new ReadOnlyObjectWrapper<>(Paper.A4);
    private Wanted wanted;
    private String problem = "";
    private long lookedAtMinute = Long.MIN_VALUE;

    /** A card with its picture. */
    public record Shown(PitCard card, BufferedImage image) {}

    /** All that a card is made from. */
    private record Wanted(
            Taken taken, String whose, String when, Optional<HandOver> last, List<String> stale, Paper paper) {
        PitCard card() {
            return CardWords.card(taken, whose, when, last, stale);
        }
    }

    CardModel(Season season, HandoverModel handover, MeasureModel measure, Errands errands) {
        this.season = season;
        this.measure = measure;
        this.handover = handover;
        this.errand = errands.errand("The pit card");
        this.save = errands.errand("Saving the pit card");
        this.tell = errands.tell();
        season.ledger().listen(kinds -> lookedAtMinute = Long.MIN_VALUE);
        measure.surveyProperty().addListener(o -> lookedAtMinute = Long.MIN_VALUE);
        paper.addListener(o -> lookedAtMinute = Long.MIN_VALUE);
    }

    /** The newest; empty until the first is made. */
    public ReadOnlyObjectProperty<Optional<Shown>> shownProperty() {
        return shown.getReadOnlyProperty();
    }

    public ReadOnlyObjectProperty<Paper> paperProperty() {
        return paper.getReadOnlyProperty();
    }

    public void paper(Paper newPaper) {
        paper.set(newPaper);
    }

    /** Why there is no card; empty when there is one, or one is on its way. */
    String problem() {
        return handover.problem().isEmpty() ? problem : handover.problem();
    }

    /** Somebody looks: the card is drawn, unless it has been. */
    public void look() {
        long minute = season.now().getEpochSecond() / 60; // results age, and what has changed since is worked out
        if (minute == lookedAtMinute) {
            return;
        }
        lookedAtMinute = minute;
        Optional<Wanted> now = wanted();
        if (now.isEmpty()) {
            wanted = null;
            shown.set(Optional.empty());
            return;
        }
        Wanted asked = now.get();
        if (asked.equals(wanted)) {
            return;
        }
        wanted = asked;
        errand.runToEnd(
                job -> {
                    PitCard card = asked.card();
                    return new Shown(card, CardFile.image(card, asked.paper(), SHOWN_DPI));
                },
                ending -> {
                    problem = Ending.words(ending);
                    shown.set(
                            ending instanceof Ending.Done<Shown> done ? Optional.of(done.result()) : Optional.empty());
                });
    }

    private Optional<Wanted> wanted() {
        Basis now = season.basisNow();
        return handover.takenProperty()
                .get()
                .map(taken -> new Wanted(
                        taken,
                        season.whose(),
                        HandoverWords.day(now.at()),
                        handover.last(),
                        Stale.of(
                                now,
                                List.copyOf(season.captures()),
                                measure.surveyProperty().get(),
                                season.choices().chosenProperty().get(),
                                season.club()::venueName),
                        paper.get()));
    }

    /** SVG or PNG when the name ends so, else PDF. */
    public void save(Path file) {
        Optional<Wanted> now = wanted();
        if (now.isEmpty()) {
            tell.accept(problem());
            return;
        }
        save.run(
                job -> {
                    CardFile.write(List.of(now.get().card()), now.get().paper(), file);
                    return "Saved as " + file.getFileName() + ".";
                },
                tell);
    }
}
