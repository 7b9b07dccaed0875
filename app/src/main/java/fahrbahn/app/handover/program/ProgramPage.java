package fahrbahn.app.handover.program;

import fahrbahn.app.kit.Action;
import fahrbahn.app.kit.FileAsk;
import fahrbahn.app.kit.Nodes;
import fahrbahn.app.kit.Pages;
import fahrbahn.app.kit.SideBySide;
import fahrbahn.app.kit.field.ChoiceField;
import fahrbahn.app.kit.field.Fields;
import fahrbahn.card.CardWords;
import fahrbahn.core.language.Language;
import fahrbahn.core.program.Grain;
import fahrbahn.core.program.HandOver;
import fahrbahn.core.program.ProgramConstant;
import fahrbahn.words.HandOverWords;
import fahrbahn.words.Words;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import javafx.css.PseudoClass;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.control.TextArea;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ClipboardContent;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser.ExtensionFilter;

/** The law in the team's language, its numbers as they are typed, and what rounding them costs. */
public final class ProgramPage {
    private static final PseudoClass CHANGED = PseudoClass.getPseudoClass("chosen");
    private static final double MAIN_SHARE = 0.52;
    private static final double LEAST_EM = 66;

    private final ProgramModel model;
    private final TextArea program = new TextArea();
    private final GridPane numbers = new GridPane();
    private final Label rounding = Nodes.wrapped("", "reason");
    private final ProgressBar progress = new ProgressBar(0);

    public ProgramPage(ProgramModel model) {
        this.model = model;
        program.setId("program");
        program.setEditable(false);
        program.getStyleClass().add("program");
        program.setAccessibleText("The control program");
        Fields.describe(program, "program", "The control program in the team's language.");
        numbers.setId("programNumbers");
        numbers.getStyleClass().add("schools");
        rounding.setId("programRounding");
    }

    public Pages.Page page() {
        ChoiceField<Language> language = new ChoiceField<>(
                "programLanguage",
                "language",
                "Language of the team's program; blocks as numbered steps.",
                Language.values(),
                ProgramWords::language,
                model::language);
        ChoiceField<Grain> grain = new ChoiceField<>(
                "programGrain",
                "its numbers",
                "How many decimals the program takes, or whole numbers only.",
                Grain.values(),
                Grain::words,
                model::grain);
        Action use = new Action("handOver", "All typed in", KeyCode.U, model::handOver);
        Action copy = new Action("programCopy", "Copy", KeyCode.C, this::copy);
        Action save = new Action("programSave", "Save", KeyCode.V, this::save);
        Runnable refresh = () -> {
            language.show(model.style().language());
            grain.show(model.style().grain());
            refresh(use);
        };
        model.handedProperty().addListener(o -> refresh.run());
        model.taken().valueProperty().addListener(o -> refresh.run());
        model.cost().valueProperty().addListener(o -> sayRounding());
        refresh.run();
        VBox main = Nodes.column(Nodes.flow(language.inARow(), copy.button(), save.button()), Nodes.grow(program));
        VBox side = Nodes.column(
                Nodes.panel("Type these; new ones are marked", numbers, Nodes.flow(use.button())),
                Nodes.panel("Rounding", grain.inARow(), rounding, progress),
                Nodes.wrapped(HandOverWords.CAUTION, "caution"));
        return new Pages.Page(new SideBySide(main, side, MAIN_SHARE, LEAST_EM), List.of(use, copy, save), nowNs -> {
            model.cost().show();
            progress.setProgress(model.cost().progress());
            Nodes.showIf(progress, model.cost().computingProperty().get());
            sayRounding();
        });
    }

    private void refresh(Action use) {
        use.button().setDisable(model.taken().get().isEmpty());
        String text = model.program();
        if (!program.getText().equals(text)) {
            program.setText(text);
        }
        Map<String, HandOver.Change> changes =
                model.toType().stream().collect(Collectors.toMap(HandOver.Change::name, Function.identity()));
        numbers.getChildren().clear();
        Grain grain = model.style().grain();
        int row = 0;
        for (ProgramConstant constant : model.constants()) {
            HandOver.Change change = changes.remove(constant.name());
            row(row++, constant.name(), CardWords.typed(constant, grain), constant.words(), change);
        }
        for (HandOver.Change gone : changes.values()) {
            row(row++, gone.name(), "gone", "not needed", gone);
        }
        sayRounding();
    }

    private void row(int row, String name, String value, String words, HandOver.Change change) {
        Label mark = Nodes.cell(change == null ? "" : "new", "caption");
        Label number = Nodes.cell(value, "figure-small");
        number.pseudoClassStateChanged(CHANGED, change != null);
        String before = change == null || Double.isNaN(change.before())
                ? words
                : words + "; was " + Words.number(change.before(), 4);
        numbers.addRow(row, mark, Nodes.cell(name, "reason"), number, Nodes.wrapped(before, "caption"));
    }

    private void sayRounding() {
        rounding.setText(model.taken()
                .get()
                .map(t -> ProgramWords.rounding(t, model.cost().value()))
                .orElse(model.taken().value().refusal()));
    }

    private void copy() {
        ClipboardContent content = new ClipboardContent();
        content.putString(program.getText());
        Clipboard.getSystemClipboard().setContent(content);
    }

    private void save() {
        FileAsk.save(
                program,
                ProgramWords.fileName(model.style().language()),
                model::save,
                new ExtensionFilter("A program", "*.py", "*.hpp", "*.java", "*.txt"));
    }
}
