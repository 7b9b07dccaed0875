package fahrbahn.app.levels;

import fahrbahn.app.kit.Action;
import fahrbahn.app.kit.Follow;
import fahrbahn.app.kit.Nodes;
import fahrbahn.app.kit.Pages;
import fahrbahn.app.kit.SideBySide;
import fahrbahn.app.kit.field.SetupFields;
import fahrbahn.app.state.Value;
import fahrbahn.core.setup.Extent;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.setup.TurnMarks;
import fahrbahn.core.setup.TurnMarks.Looker;
import fahrbahn.core.setup.TurnMarks.Manoeuvre;
import fahrbahn.core.tuning.MarkTrial;
import fahrbahn.words.CrossingWords;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** Turn marks set up by hand and key, and what the twin makes of them at a crossing of each kind. */
final class TurnsPage {
    private static final double LEAST_EM = 60;

    private final TurnsModel model;
    private final SetupFields chosen;
    private final SetupFields fields;
    private final VBox rule = Nodes.column();
    private final VBox twin = Nodes.column();
    private final Label verdict = Nodes.wrapped(TurnsWords.OFF, "bench-result");
    private final Label extents = Nodes.wrapped("", "reason");
    private final Label colours = Nodes.wrapped("", "reason");
    private List<String> shownSensors = List.of();

    TurnsPage(TurnsModel model) {
        this.model = model;
        this.chosen = new SetupFields(model);
        this.fields = new SetupFields(model);
        verdict.setId("turnsVerdict");
        extents.setId("turnsExtents");
    }

    Pages.Page page() {
        Action take = new Action(
                "takeColours", "Use the captured colours", KeyCode.U, () -> model.tell(model.takeCaptured()));
        HBox looks = Nodes.row(
                chosen.choice(
                        "turnMarks",
                        "at a crossing",
                        "Whether the program looks for coloured marks beside the line and turns by them.",
                        new Boolean[] {false, true},
                        yes -> yes ? "turns by marks" : "follows the line",
                        s -> s.law().options().turnMarks().isPresent(),
                        model::looking),
                take.button());
        looks.setAlignment(Pos.BOTTOM_LEFT);
        VBox body = Nodes.column(Nodes.panel("Simulated, as set now", looks, verdict, twin), rule);
        model.shownProperty().addListener(o -> refresh());
        Follow.of(model.trial(), this::refresh, twin);
        return new Pages.Page(body, List.of(take), nowNs -> model.show());
    }

    private void refresh() {
        chosen.refresh();
        showRule(model.shown());
        fields.refresh();
        model.turnMarks().ifPresent(marks -> {
            extents.setText(TurnsWords.extents(marks, model.shown()));
            colours.setText(TurnsWords.eyes(marks, model.shown()));
        });
        Value<MarkTrial> trial = model.trial().value();
        verdict.setText(trial.ready().map(TurnsWords::verdict).orElseGet(() -> trial.absence("Simulating.")));
        if (model.turnMarks().isEmpty()) {
            twin.getChildren().clear();
        } else {
            trial.ready()
                    .ifPresent(met -> twin.getChildren()
                            .setAll(table(met, model.turnMarks().get())));
        }
    }

    private static GridPane table(MarkTrial trial, TurnMarks marks) {
        GridPane grid = new GridPane();
        grid.getStyleClass().add("schools");
        List<String> heads = List.of("mark", "means", "decided right", "and found the line", "commonest mistake");
        for (int i = 0; i < heads.size(); i++) {
            grid.add(Nodes.cell(heads.get(i), "caption"), i, 0);
        }
        int row = 1;
        for (MarkTrial.Met met : trial.met()) {
            grid.addRow(
                    row++,
                    Nodes.cell(TurnsWords.meaning(met.way())),
                    Nodes.cell(CrossingWords.way(met.way())),
                    Nodes.cell(met.right() + " of " + met.runs()),
                    Nodes.cell(met.through() + " of " + met.runs()),
                    Nodes.wrapped(met.commonest()
                            .map(p -> CrossingWords.cause(p, marks))
                            .orElse("")));
        }
        return grid;
    }

    /** Fields for the rule, made anew when there are other sensors to choose from. */
    private void showRule(Setup setup) {
        List<String> now = setup.law().options().turnMarks().isEmpty()
                ? List.of()
                : setup.robot().sensors().stream().map(Sensor::name).toList();
        if (now.equals(shownSensors)) {
            return;
        }
        shownSensors = now;
        fields.forget();
        rule.getChildren().clear();
        if (!now.isEmpty()) {
            rule.getChildren()
                    .setAll(
                            group("What it looks for", colours, looksFor(now.toArray(String[]::new))),
                            new SideBySide(
                                    group("How long", extents, howLong()),
                                    SetupFields.group("How it turns", turns()),
                                    0.45,
                                    LEAST_EM));
        }
    }

    private static VBox group(String title, Label below, Node... group) {
        VBox panel = SetupFields.group(title, group);
        panel.getChildren().add(below);
        return panel;
    }

    private Node[] looksFor(String[] sensors) {
        return new Node[] {
            fields.choice(
                    "markLeft",
                    "left mark sensor",
                    "Colour sensor that looks for marks on the left of the line.",
                    sensors,
                    s -> s,
                    s -> marks(s).left().sensor(),
                    (s, v) -> with(
                            s,
                            m -> m.withColours(
                                    m.colours(), new Looker(v, m.left().scale()), m.right()))),
            fields.choice(
                    "markRight",
                    "right mark sensor",
                    "Colour sensor that looks for marks on the right of the line.",
                    sensors,
                    s -> s,
                    s -> marks(s).right().sensor(),
                    (s, v) -> with(
                            s,
                            m -> m.withColours(
                                    m.colours(),
                                    m.left(),
                                    new Looker(v, m.right().scale())))),
            fields.choice(
                    "markPlace",
                    "marks count",
                    "Which side of the crossing counts, as the robot comes.",
                    TurnMarks.Place.values(),
                    TurnsWords::place,
                    s -> marks(s).place(),
                    (s, v) -> with(s, m -> m.withPlace(v))),
            fields.number(
                    "markReads",
                    "reads in a row",
                    "Readings in a row that must show a mark before it counts.",
                    s -> marks(s).reads(),
                    (s, v) -> with(s, m -> m.withReads((int) Math.round(v))))
        };
    }

    private Node[] howLong() {
        List<Node> all = new ArrayList<>();
        extent(
                all,
                "lookBack",
                "look back",
                "How long ago a mark may have been seen to count at the crossing; for marks behind it, how long to look.",
                TurnMarks::lookBack,
                TurnMarks::withLookBack);
        extent(
                all,
                "markBlank",
                "blanking",
                "Straight on this long over a crossing without marks; after a turn, marks and crossings are ignored this long.",
                TurnMarks::blank,
                TurnMarks::withBlank);
        return all.toArray(Node[]::new);
    }

    private Node[] turns() {
        List<Node> all = new ArrayList<>();
        extent(
                all,
                "turnAhead",
                "ahead first",
                "Straight on from the crossing until the wheels are over its middle.",
                m -> m.turn().ahead(),
                (m, v) ->
                        m.withTurn(new Manoeuvre(v, m.turn().command(), m.turn().quarter())));
        all.add(fields.number(
                "turnCommand",
                "turns with",
                "Power of the outer wheel while turning on the spot; the inner one runs backwards.",
                s -> marks(s).turn().command(),
                (s, v) -> with(
                        s,
                        m -> m.withTurn(
                                new Manoeuvre(m.turn().ahead(), v, m.turn().quarter())))));
        extent(
                all,
                "turnQuarter",
                "a quarter turn",
                "How long a quarter turn takes; half a turn takes twice as long.",
                m -> m.turn().quarter(),
                (m, v) -> m.withTurn(new Manoeuvre(m.turn().ahead(), m.turn().command(), v)));
        return all.toArray(Node[]::new);
    }

    private void extent(
            List<Node> all,
            String id,
            String words,
            String term,
            Function<TurnMarks, Extent> get,
            BiFunction<TurnMarks, Extent, TurnMarks> with) {
        all.add(fields.number(
                id,
                words,
                term,
                s -> get.apply(marks(s)).amount(),
                (s, v) -> with(s, m -> with.apply(m, new Extent(v, get.apply(m).unit())))));
        all.add(fields.choice(
                id + "Unit",
                "counted in",
                "What the program counts: loops, milliseconds or distance. Changing it converts the number.",
                Extent.Unit.values(),
                Extent.Unit::word,
                s -> get.apply(marks(s)).unit(),
                (s, v) -> with(
                        s, m -> with.apply(m, TurnsWords.rounded(get.apply(m).in(v, s))))));
    }

    private static TurnMarks marks(Setup setup) {
        return setup.law().options().turnMarks().orElseThrow();
    }

    private static Setup with(Setup setup, Function<TurnMarks, TurnMarks> change) {
        return TurnsModel.with(setup, Optional.of(change.apply(marks(setup))));
    }
}
