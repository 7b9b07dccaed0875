package fahrbahn.app.robot.bench;

import fahrbahn.app.kit.Action;
import fahrbahn.app.kit.Nodes;
import fahrbahn.app.kit.Pages;
import fahrbahn.app.kit.StopwatchBar;
import fahrbahn.app.kit.field.Fields;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.measuring.Taps;
import fahrbahn.core.readings.Capture;
import fahrbahn.core.setup.Setup;
import fahrbahn.words.Refusals;
import fahrbahn.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import javafx.css.PseudoClass;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** Bench measurements, a card each: what to do, what to type, what it comes to, and 'use it'. */
public final class BenchPage {
    private static final PseudoClass CHOSEN = PseudoClass.getPseudoClass("chosen");

    private final BenchModel model;
    private final VBox card = Nodes.column();
    private final List<Button> chips = new ArrayList<>();
    private final Action use = new Action("useResult", "Use on the robot", KeyCode.U, this::use);
    private final Action slide = new Action("slide", "Slide: begin or end", KeyCode.S, this::slide);
    private final Action practise = new Action("practise", "Practice robot", KeyCode.P, this::practise);
    private final Action letGo = new Action("letGo", "End practice", KeyCode.G, this::letGo);
    private final Label secret = Nodes.label("", "bench-result");
    private final VBox results = Nodes.column();
    private final HBox doing = Nodes.row();
    private Optional<PracticeCanvas> canvas = Optional.empty();
    private final StopwatchBar watch;
    private List<TextField> fields = List.of();
    private BenchCard shown = BenchCard.ROLL;

    public BenchPage(BenchModel model) {
        this.model = model;
        this.watch = new StopwatchBar(model.watch());
    }

    public Pages.Page page() {
        FlowPane row = Nodes.flow();
        for (BenchCard each : BenchCard.values()) {
            Button chip = new Button(each.title());
            chip.setId("card-" + each.name().toLowerCase(Locale.ROOT));
            chip.getStyleClass().add("chip");
            chip.setOnAction(e -> model.show(each));
            chips.add(chip);
            row.getChildren().add(chip);
        }
        HBox head = Nodes.row(Nodes.grow(row), doing);
        model.whenTyped(this::refreshResults);
        model.setupNowProperty().addListener(o -> refreshResults());
        model.measure().survey().lastProperty().addListener(o -> refreshResults());
        model.measure().capturingProperty().addListener(o -> refreshResults());
        show(shown);
        model.cardProperty().addListener(o -> show(model.cardProperty().get()));
        model.watch().tapsProperty().addListener(o -> fillIn());
        model.practice().stageProperty().addListener((o, before, now) -> {
            if (before.card().equals(now.card()) && before.hidden() == now.hidden()) {
                refreshResults();
            } else {
                show(shown);
            }
        });
        secret.setId("practiceSecret");
        secret.setWrapText(true);
        secret.setMinHeight(Region.USE_PREF_SIZE);
        List<Action> actions = new ArrayList<>(List.of(use, slide, practise, letGo));
        actions.addAll(watch.actions());
        return new Pages.Page(Nodes.column(head, Nodes.grow(card)), actions, nowNs -> {
            watch.frame();
            canvas.ifPresent(PracticeCanvas::frame);
        });
    }

    /** What the watch says stands in the fields at once; Enter adds it. */
    private void fillIn() {
        Taps taps = model.watch().tapsProperty().get();
        if (taps.count() == 0) {
            return;
        }
        shown.field(BenchCard.Filled.BY_TIME).ifPresent(i -> fields.get(i).setText(Words.hundredths(taps.totalS())));
        if (taps.count() > 1) {
            shown.field(BenchCard.Filled.BY_COUNT).ifPresent(i -> fields.get(i).setText(Words.exact(taps.count())));
        }
    }

    /** Begins; the second time it shows what was hidden; the third begins with another robot. */
    private void practise() {
        Practice practice = model.practice();
        if (practice.on(shown) && practice.stageProperty().get().secret().isEmpty()) {
            practice.reveal(model.result(shown));
        } else {
            practice.begin(shown);
        }
    }

    private void letGo() {
        boolean commanded = shown.fields().get(0).words().equals("command");
        if (commanded && fields.get(0).getText().isBlank()) {
            fields.get(0).setText(Words.exact(model.usualCommand()));
        }
        model.practice().letGo(fields.get(0).getText());
    }

    private void use() {
        model.use(shown);
    }

    private void slide() {
        model.measure().toggle(Capture.SLIDE);
    }

    private void show(BenchCard each) {
        shown = each;
        for (int i = 0; i < chips.size(); i++) {
            chips.get(i).pseudoClassStateChanged(CHOSEN, i == each.ordinal());
        }
        boolean practising = model.practice().on(each);
        Supplier<Setup> inHand = model.setupNowProperty()::get;
        canvas = practising ? Optional.of(new PracticeCanvas(each, model.practice(), inHand)) : Optional.empty();
        Region sketch = practising ? canvas.get() : new CardSketch(each, inHand);
        sketch.setPrefSize(practising ? 560 : 330, practising ? 230 : 200);
        sketch.setMinSize(practising ? 460 : 300, 170);
        sketch.setMaxHeight(practising ? 300 : 200);
        Label steps = Nodes.label(each.steps(), "reason");
        steps.setWrapText(true);
        steps.setMinHeight(Region.USE_PREF_SIZE);
        Label caution = Nodes.label(each.caution(), "caution");
        caution.setWrapText(true);
        caution.setMinHeight(Region.USE_PREF_SIZE);
        VBox words = Nodes.column(steps, practising ? hint() : caution, entry(each));
        VBox top = Nodes.panel(each.title(), Nodes.row(sketch, Nodes.grow(words)));
        refreshResults();
        card.getChildren().setAll(top, Nodes.grow(Nodes.panel("Result", results)));
    }

    /** The fields to type one entry; Enter in any of them adds it. */
    private Node entry(BenchCard each) {
        FlowPane row = Nodes.flow();
        fields = new ArrayList<>();
        Label problem = Nodes.label("", "problem");
        problem.setId("entryProblem");
        problem.managedProperty().bind(problem.textProperty().isNotEmpty());
        problem.setWrapText(true);
        Runnable add = () -> add(each, problem);
        List<Action> keys = new ArrayList<>(List.of(use, slide, practise, letGo));
        if (each.timed()) {
            keys.addAll(watch.actions());
        }
        for (int i = 0; i < each.fields().size(); i++) {
            BenchCard.Field field = each.fields().get(i);
            TextField text = new TextField(field.usual() == 0 ? "" : Words.exact(field.usual()));
            text.setId("entry-" + i);
            text.setAccessibleText(field.words());
            Fields.describe(text, field.words(), EntryWords.what(field));
            text.setPrefColumnCount(field.filled() == BenchCard.Filled.BY_SEVERAL ? 14 : 6);
            text.setOnAction(e -> add.run());
            Action.alsoIn(text, keys);
            fields.add(text);
            row.getChildren().add(new VBox(Nodes.label(field.words(), "caption"), text));
        }
        Button button = new Button("Add");
        button.setId("addEntry");
        button.setOnAction(e -> add.run());
        row.getChildren().add(new VBox(Nodes.label(" ", "caption"), button));
        doing.getChildren().setAll(practise.button());
        letGo.button().setDisable(!model.practice().on(each));
        letGo.button().setText(each == BenchCard.SLIDE ? "Move it on" : "End practice");
        doing.getChildren()
                .add(each == BenchCard.SLIDE && !model.practice().on(each) ? slide.button() : letGo.button());
        return each.timed() ? Nodes.column(watch, row, problem) : Nodes.column(row, problem);
    }

    private Label hint() {
        Label hint = Nodes.label(
                "Practice robot: like yours, with other numbers. G starts it; measure it as usual; P shows its numbers. Nothing"
                        + " is kept.",
                "caution");
        hint.setWrapText(true);
        hint.setMinHeight(Region.USE_PREF_SIZE);
        return hint;
    }

    private void add(BenchCard each, Label problem) {
        List<String> typed = fields.stream().map(TextField::getText).toList();
        try {
            List<Double> row = model.row(each, typed);
            model.add(each, row);
            problem.setText("");
            model.watch().clear();
            next(each, row);
        } catch (BadValueException refused) {
            problem.setText(Refusals.sentence(refused));
            fields.stream()
                    .filter(f -> refused.getMessage().startsWith(f.getAccessibleText()))
                    .findFirst()
                    .orElse(fields.get(fields.size() - 1))
                    .requestFocus();
        }
    }

    /** Ready for the next row: on a slide as far on as the last two places were apart. */
    private void next(BenchCard each, List<Double> row) {
        if (each == BenchCard.SLIDE) {
            List<List<Double>> rows = model.entries(each);
            double step =
                    rows.size() > 1 ? row.get(0) - rows.get(rows.size() - 2).get(0) : 0;
            fields.get(0).setText(step == 0 ? "" : Words.exact(row.get(0) + step));
            fields.get(1).clear();
            Nodes.writeIn(fields.get(step == 0 ? 0 : 1));
        } else {
            Nodes.writeIn(fields.get(each == BenchCard.CREEP ? 1 : fields.size() > 2 ? 2 : fields.size() - 1));
        }
    }

    private void refreshResults() {
        FlowPane rows = Nodes.flow();
        rows.getStyleClass().add("figures");
        List<List<Double>> entries = model.entries(shown);
        for (int i = 0; i < entries.size(); i++) {
            int index = i;
            Button away = new Button("Remove");
            away.getStyleClass().add("small");
            away.setOnAction(e -> model.remove(shown, index));
            rows.getChildren().add(Nodes.row(new Label((i + 1) + ".  " + BenchWords.row(shown, entries.get(i))), away));
        }
        boolean practising = model.practice().on(shown);
        if (shown == BenchCard.SLIDE && entries.isEmpty() && !practising) {
            boolean sliding = model.measure().capturingProperty().get().equals(Capture.SLIDE);
            String slid = model.measure()
                    .latest(Capture.SLIDE)
                    .map(c -> "Latest slide: " + c.readings().size() + " readings from " + c.source() + ".")
                    .orElse("No slide yet.");
            rows.getChildren().add(new Label(sliding ? "Sliding. Press S at the end." : slid));
        } else if (entries.isEmpty()) {
            rows.getChildren()
                    .add(Nodes.label(
                            shown == BenchCard.SLIDE
                                    ? "Nothing typed yet. Type at least fifteen places, a spot apart."
                                    : "Nothing typed yet. Three entries show how well it repeats.",
                            "caption"));
        }
        Label result = Nodes.label(
                model.result(shown).map(BenchCard.Result::words).orElse("Nothing to use yet."), "bench-result");
        result.setId("benchResult");
        result.setWrapText(true);
        result.setMinHeight(Region.USE_PREF_SIZE);
        use.button()
                .setDisable(practising
                        || model.result(shown).map(r -> r.found().isEmpty()).orElse(true));
        secret.setText(model.practice().stageProperty().get().secret());
        practise.button()
                .setText(
                        !practising
                                ? "Practice robot"
                                : secret.getText().isEmpty() ? "Show its numbers" : "Another practice robot");
        results.getChildren().clear();
        if (!secret.getText().isEmpty()) {
            results.getChildren().add(secret);
        }
        results.getChildren().addAll(result, Nodes.row(use.button(), Nodes.label(uses(), "caption")), rows);
    }

    private String uses() {
        return model.result(shown)
                .filter(r -> !r.found().isEmpty())
                .map(r ->
                        "sets " + r.found().keySet().stream().map(c -> c.word()).collect(Collectors.joining(", "))
                                + (shown == BenchCard.SLIDE ? " of each sensor, its dark and light" : ""))
                .orElse("");
    }
}
