package fahrbahn.app.handover.lists;

import fahrbahn.app.kit.Action;
import fahrbahn.app.kit.Nodes;
import fahrbahn.app.kit.Pages;
import fahrbahn.app.kit.field.Fields;
import fahrbahn.core.hall.Checklist.Occasion;
import fahrbahn.core.trials.Run;
import java.util.List;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.VBox;

/** Round by round, in large words; and a screen on which nothing moves between two of them. */
public final class RoundsPage {
    private final RoundsModel model;
    private final Label next = Nodes.wrapped("", "hall-now");
    private final Label soFar = Nodes.wrapped("", "reason");
    private final VBox rounds = Nodes.column();
    private final VBox left = Nodes.column();
    private final TextField words = new TextField();
    private List<Run> shown;
    private List<String> shownLeft;

    public RoundsPage(RoundsModel model) {
        this.model = model;
        next.setId("roundNext");
        soFar.setId("roundSoFar");
        rounds.setId("rounds");
        left.setId("roundLeft");
        words.setId("roundWords");
        words.setPromptText("to remember");
        words.setPrefColumnCount(24);
        words.setAccessibleText("to remember");
        Fields.describe(words, "to remember", "Note for this round; it goes into the log book.");
    }

    public Pages.Page page() {
        Action ran = new Action("roundRan", "Finished", KeyCode.R, () -> over(true, false));
        Action lost = new Action("roundLost", "Lost", KeyCode.X, () -> over(false, false));
        Action first = new Action("roundFirst", "Finished: first round of the day", KeyCode.B, () -> over(true, true));
        Action note = new Action("roundNote", "Remember", KeyCode.A, () -> Nodes.writeIn(words));
        Action quiet = new Action(
                "roundQuiet",
                "Quiet",
                KeyCode.Q,
                () -> model.quiet(!model.quietProperty().get()));
        words.setOnAction(e -> words.getScene().getRoot().requestFocus());
        VBox asks = Nodes.column(
                Nodes.flow(ran.button(), lost.button(), first.button(), note.button(), words),
                Nodes.panel("Left on the list before a run", left),
                Nodes.panel("Rounds so far", soFar, rounds),
                Nodes.wrapped(ListWords.caution(Occasion.BEFORE_RUN), "caution"));
        model.quietProperty()
                .addListener(o -> Nodes.showIf(asks, !model.quietProperty().get()));
        return new Pages.Page(
                Nodes.column(next, Nodes.flow(quiet.button()), asks),
                List.of(ran, lost, first, note, quiet),
                nowNs -> refresh(),
                () -> model.quiet(false));
    }

    private void over(boolean ran, boolean firstOfDay) {
        if (firstOfDay) {
            model.first(ran, words.getText());
        } else {
            model.over(ran, words.getText());
        }
        words.clear();
    }

    private void refresh() {
        next.setText(RoundsWords.next(model.next(), model.quietProperty().get()));
        List<Run> now = model.rounds();
        if (!now.equals(shown)) {
            shown = now;
            soFar.setText(RoundsWords.soFar(now));
            rounds.getChildren()
                    .setAll(now.stream()
                            .map(run -> Nodes.wrapped(RoundsWords.line(run), "reason"))
                            .toList());
        }
        List<String> open = model.left();
        if (!open.equals(shownLeft)) {
            shownLeft = open;
            left.getChildren()
                    .setAll((open.isEmpty() ? List.of("Nothing: all done.") : open)
                            .stream().map(line -> Nodes.wrapped(line, "reason")).toList());
        }
    }
}
