package fahrbahn.app.runs;

import fahrbahn.app.kit.Follow;
import fahrbahn.app.kit.Nodes;
import fahrbahn.app.kit.Pictures;
import fahrbahn.app.kit.field.Fields;
import fahrbahn.app.kit.field.NumberField;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.mat.Picture;
import fahrbahn.core.trials.Outcome;
import fahrbahn.core.trials.Run;
import fahrbahn.words.Refusals;
import fahrbahn.words.Words;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.image.ImageView;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser;

/** The run in hand: every figure of it can be mended; what it was before stands below. */
final class RunDetail {
    static final FileChooser.ExtensionFilter PHOTOS =
            new FileChooser.ExtensionFilter("Photographs (PNG, JPEG)", "*.png", "*.jpg", "*.jpeg");

    private static final double PHOTO_WIDTH = 280;

    private final BookModel model;
    private final Label what = Nodes.wrapped("", "bench-result");
    private final Label history = Nodes.wrapped("", "reason");
    private final Label problem = Nodes.wrapped("", "problem");
    private final ImageView photo = new ImageView();
    private final NumberField time;
    private final NumberField along;
    private final NumberField across;
    private final TextField lostAt = new TextField();
    private final TextField note = new TextField();

    RunDetail(BookModel model) {
        this.model = model;
        time = new NumberField(
                        "mendTime",
                        "time, s",
                        "How long the run took; empty if not timed.",
                        v -> model.mend(o -> o.withTimeS(v)))
                .orNothing();
        along = new NumberField(
                        "mendAlong",
                        "along, mm",
                        "How far beyond its place it stopped along the line; empty if not measured.",
                        v -> model.mend(o -> o.withStop(v, o.stop().acrossMm())))
                .orNothing();
        across = new NumberField(
                        "mendAcross",
                        "across, mm",
                        "How far left of its place it stopped; empty if not measured.",
                        v -> model.mend(o -> o.withStop(o.stop().alongMm(), v)))
                .orNothing();
        what.setId("bookRun");
        history.setId("bookHistory");
        problem.setId("bookProblem");
        text(
                lostAt,
                "mendLostAt",
                "lost at",
                "Where it was lost: a piece of the table by number or name, or how far along, like 1.2 m.",
                model::mendLostAt);
        text(note, "mendNote", "note, #tags", "Anything about this run; words with # are tags.", model::mendNote);
        photo.setId("photoShown");
        photo.setPreserveRatio(true);
        photo.setFitWidth(PHOTO_WIDTH);
    }

    private void text(TextField field, String id, String words, String sentence, Consumer<String> set) {
        field.setId(id);
        field.setAccessibleText(words);
        field.setPromptText(words);
        field.setPrefColumnCount(id.equals("mendNote") ? 20 : 8);
        Fields.describe(field, words, sentence);
        Fields.onGivingUp(field, this::refresh);
        field.setOnAction(e -> {
            try {
                set.accept(field.getText());
                say("");
                Fields.next(field);
            } catch (BadValueException refused) {
                say(Refusals.sentence(refused));
            }
        });
    }

    VBox panel() {
        model.inHandProperty().addListener(o -> refresh());
        Follow.of(model.picture(), this::showPhoto);
        refresh();
        showPhoto();
        return Nodes.panel(
                "Selected run (edits keep a history)",
                what,
                Nodes.flow(time, along, across),
                Nodes.flow(lostAt, note),
                problem,
                history,
                photo);
    }

    private void refresh() {
        Optional<Run> run = model.inHandProperty().get();
        say("");
        for (NumberField field : new NumberField[] {time, along, across}) {
            field.setDisable(run.isEmpty());
        }
        lostAt.setDisable(run.isEmpty());
        note.setDisable(run.isEmpty());
        if (run.isEmpty()) {
            what.setText("Up and Down select a run.");
            history.setText("");
            return;
        }
        Outcome outcome = run.get().outcome();
        what.setText(BookWords.run(run.get()));
        time.show(outcome.timeS());
        along.show(outcome.stop().alongMm());
        across.show(outcome.stop().acrossMm());
        lostAt.setText(Double.isNaN(outcome.lostMm()) ? "" : Words.number(outcome.lostMm() / 1000) + " m");
        note.setText(run.get().note());
        String id = run.get().id();
        model.history(states -> {
            if (model.inHandProperty().get().filter(r -> r.id().equals(id)).isPresent()) {
                history.setText(BookWords.history(states));
            }
        });
    }

    private void say(String words) {
        problem.setText(words);
        Nodes.showIf(problem, !words.isEmpty());
    }

    private void showPhoto() {
        Optional<Picture> picture = model.picture().get();
        photo.setImage(picture.map(Pictures::image).orElse(null));
        Nodes.showIf(photo, picture.isPresent());
    }
}
