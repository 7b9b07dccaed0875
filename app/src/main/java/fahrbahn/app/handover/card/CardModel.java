package fahrbahn.app.handover.card;

import fahrbahn.app.errand.Errand;
import fahrbahn.app.errand.RefusedException;
import fahrbahn.app.handover.program.ProgramModel;
import fahrbahn.app.measure.MeasureModel;
import fahrbahn.app.season.Season;
import fahrbahn.app.state.Derived;
import fahrbahn.app.state.State;
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
    private final ProgramModel program;
    private final Derived<Shown> shown;
    private final Errand<String> save;
    private final Consumer<String> tell;
    private final ReadOnlyObjectWrapper<Paper> paper = new ReadOnlyObjectWrapper<>(Paper.A4);

    /** A card with its picture. */
    public record Shown(PitCard card, BufferedImage image) {}

    /** All that a card is made from. */
    private record Written(
            Taken taken, String whose, String when, Optional<HandOver> last, List<String> stale, Paper paper) {
        PitCard card() {
            return CardWords.card(taken, whose, when, last, stale);
        }

        Shown shown() {
            PitCard card = card();
            return new Shown(card, CardFile.image(card, paper, SHOWN_DPI));
        }
    }

    public CardModel(Season season, ProgramModel program, MeasureModel measure, State state) {
        this.season = season;
        this.measure = measure;
        this.program = program;
        this.save = state.errands().errand("Saving the pit card");
        this.tell = state.errands().tell();
        this.shown = state.derive("The pit card", this::written, (written, job) -> written.shown());
    }

    /** As it is printed. */
    public Derived<Shown> shown() {
        return shown;
    }

    public ReadOnlyObjectProperty<Paper> paperProperty() {
        return paper.getReadOnlyProperty();
    }

    public void paper(Paper newPaper) {
        paper.set(newPaper);
    }

    /** @throws RefusedException when there is no program whose numbers could stand on it */
    private Written written() {
        Basis now = season.basisNow();
        return program.taken()
                .get()
                .map(taken -> new Written(
                        taken,
                        season.club().whose(season.tableNow().name()),
                        CardPageWords.day(now.at()),
                        program.last(),
                        Stale.of(
                                now,
                                List.copyOf(season.captures()),
                                measure.survey().need(),
                                season.changes().gainsFor().kept(),
                                season.club()::venueName),
                        paper.get()))
                .orElseThrow(() -> new RefusedException(program.taken().value().refusal()));
    }

    /** SVG or PNG when the name ends so, else PDF. */
    public void save(Path file) {
        try {
            Written now = written();
            save.run(
                    job -> {
                        CardFile.write(List.of(now.card()), now.paper(), file);
                        return "Saved as " + file.getFileName() + ".";
                    },
                    tell);
        } catch (RefusedException noProgram) {
            tell.accept(noProgram.getMessage());
        }
    }
}
