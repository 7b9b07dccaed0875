package fahrbahn.app.handover.card;

import fahrbahn.app.kit.Action;
import fahrbahn.app.kit.FileAsk;
import fahrbahn.app.kit.Follow;
import fahrbahn.app.kit.Nodes;
import fahrbahn.app.kit.Pages;
import fahrbahn.app.kit.SideBySide;
import fahrbahn.app.kit.field.ChoiceField;
import fahrbahn.app.state.Value;
import fahrbahn.card.PitCard;
import fahrbahn.pen.Paper;
import fahrbahn.words.HandOverWords;
import java.util.List;
import java.util.Optional;
import javafx.embed.swing.SwingFXUtils;
import javafx.scene.control.Label;
import javafx.scene.image.ImageView;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser.ExtensionFilter;

/** The pit card as it is printed, and what does not hold any more. */
public final class CardPage {
    private static final double CARD_SHARE = 0.58;
    private static final double LEAST_EM = 60;
    private static final double LEAST_HEIGHT = 320;

    private final CardModel model;
    private final ImageView card = new ImageView();
    private final StackPane frame = new StackPane(card);
    private final Label state = Nodes.wrapped("", "bench-result");
    private final VBox stale = Nodes.column();
    private boolean close;

    public CardPage(CardModel model) {
        this.model = model;
        card.setId("card");
        card.setPreserveRatio(true);
        card.setSmooth(true);
        state.setId("cardState");
        stale.setId("cardStale");
        frame.setMinHeight(LEAST_HEIGHT);
        frame.widthProperty().addListener(o -> fit());
        frame.heightProperty().addListener(o -> fit());
    }

    public Pages.Page page() {
        ChoiceField<Paper> paper =
                new ChoiceField<>("cardPaper", "paper", "Paper size.", Paper.values(), Paper::word, model::paper);
        paper.show(model.paperProperty().get());
        Action closer = new Action("cardCloser", "Closer", KeyCode.Z, this::closer);
        Action save = new Action("cardSave", "Save or print", KeyCode.V, this::save);
        Follow.of(model.shown(), this::refresh, card);
        VBox side = Nodes.column(
                Nodes.panel("The card", state, stale, Nodes.flow(paper.inARow(), closer.button(), save.button())),
                Nodes.panel(
                        "How it is used",
                        Nodes.wrapped(
                                "One page for the crew at the table: what to type, which way it must turn, what to do for"
                                        + " a symptom.",
                                "reason")),
                Nodes.wrapped(HandOverWords.CAUTION, "caution"));
        return new Pages.Page(
                new SideBySide(frame, side, CARD_SHARE, LEAST_EM),
                List.of(closer, save),
                nowNs -> model.shown().show());
    }

    private void closer() {
        close = !close;
        fit();
    }

    /** Whole, or as wide as there is room for. */
    private void fit() {
        card.setFitWidth(frame.getWidth());
        card.setFitHeight(close ? 0 : frame.getHeight());
        frame.setMinHeight(
                close && card.getImage() != null
                        ? card.getImage().getHeight()
                                * frame.getWidth()
                                / card.getImage().getWidth()
                        : LEAST_HEIGHT);
    }

    private void refresh() {
        Value<CardModel.Shown> value = model.shown().value();
        Optional<CardModel.Shown> shown = value.ready();
        shown.ifPresent(s -> card.setImage(SwingFXUtils.toFXImage(s.image(), null)));
        card.setAccessibleText(shown.map(s -> CardPageWords.says(s.card())).orElse("Drawing the card."));
        List<String> lines =
                shown.map(CardModel.Shown::card).map(PitCard::stale).orElse(List.of());
        state.setText(
                shown.isEmpty()
                        ? value.absence("Drawing the card.")
                        : lines.isEmpty() ? "Card is up to date." : "Card is out of date:");
        stale.getChildren()
                .setAll(lines.stream()
                        .map(line -> Nodes.wrapped(line, "reason"))
                        .toList());
        fit();
    }

    private void save() {
        FileAsk.save(
                card,
                "pit card.pdf",
                model::save,
                new ExtensionFilter("To print (PDF)", "*.pdf"),
                new ExtensionFilter("A picture (PNG)", "*.png"),
                new ExtensionFilter("A drawing (SVG)", "*.svg"));
    }
}
