package fahrbahn.app.drive.detour;

import fahrbahn.app.drive.detour.DetourModel.Answer;
import fahrbahn.app.kit.Action;
import fahrbahn.app.kit.Nodes;
import fahrbahn.app.kit.Pages;
import fahrbahn.app.kit.field.ChoiceField;
import fahrbahn.app.kit.field.NumberField;
import fahrbahn.app.state.Value;
import fahrbahn.core.detour.Approach;
import fahrbahn.core.detour.Detour;
import fahrbahn.core.detour.DetourTrial;
import fahrbahn.core.detour.DetourTrial.End;
import fahrbahn.core.detour.Task;
import fahrbahn.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;

/** Round an obstacle: the arc and its commands, where it meets the line again, and touch against distance. */
public final class DetourPage {
    private static final double SIDE_WIDTH = 430;
    private static final List<Integer> TURNS = List.of(0, 45, 60, 75, 90);

    private final DetourModel model;
    private final DetourPicture picture = new DetourPicture();
    private final Label verdict = Nodes.wrapped(DetourWords.DRIVING, "bench-result");
    private final Label where = Nodes.wrapped("", "reason");
    private final Label drawn = Nodes.wrapped("", "strong");
    private final GridPane table = new GridPane();
    private final ProgressBar progress = new ProgressBar(0);
    private final List<Runnable> shown = new ArrayList<>();

    public DetourPage(DetourModel model) {
        this.model = model;
        verdict.setId("detourVerdict");
        where.setId("detourWhere");
        drawn.setId("detourDrawn");
        table.setId("detourTable");
        table.getStyleClass().add("table");
        progress.setId("detourProgress");
    }

    public Pages.Page page() {
        Action other = new Action("otherApproach", "Touch or distance", KeyCode.A, model::otherApproach);
        Action use = new Action("useDetour", "Use in the program", KeyCode.U, model::useShown);
        Action out = new Action("takeOutDetour", "Remove it", KeyCode.X, model::takeOut);
        progress.visibleProperty().bind(model.answer().computingProperty());
        progress.managedProperty().bind(progress.visibleProperty());
        model.answer().valueProperty().addListener(o -> refresh());
        model.byTouchProperty().addListener(o -> refresh());
        model.setupProperty().addListener(o -> refresh());
        refresh();
        VBox side = Nodes.column(
                Nodes.panel("Touch against distance", table),
                Nodes.flow(other.button(), use.button(), out.button(), progress));
        side.setMinWidth(SIDE_WIDTH);
        side.setMaxWidth(SIDE_WIDTH);
        VBox body = Nodes.column(
                Nodes.panel("The obstacle and the robot", verdict, where, fields()),
                Nodes.grow(Nodes.row(Nodes.grow(Nodes.panel("From above", drawn, Nodes.grow(picture))), side)));
        return new Pages.Page(body, List.of(other, use, out), nowNs -> {
            model.answer().show();
            progress.setProgress(model.answer().progress());
        });
    }

    private FlowPane fields() {
        FlowPane fields = Nodes.flow(
                field(
                        "obstacle",
                        "radius, mm",
                        "Half the width of the obstacle, by ruler.",
                        Task::obstacleRadiusMm,
                        Task::withObstacleRadiusMm),
                field(
                        "clearance",
                        "clear by, mm",
                        "Gap to keep between obstacle and robot.",
                        Task::clearanceMm,
                        Task::withClearanceMm),
                field(
                        "front",
                        "front, mm",
                        "From the axle to the front of the robot.",
                        Task::frontMm,
                        Task::withFrontMm),
                field("width", "width, mm", "Overall width of the robot.", Task::widthMm, Task::withWidthMm),
                touch(
                        "touchBack",
                        "touch: back, mm",
                        "How far it backs off after touching.",
                        Approach.Touch::backMm,
                        (t, v) -> new Approach.Touch(v, t.missShare())),
                touch(
                        "touchMiss",
                        "touch: missed, %",
                        "How often in 100 the bumper misses.",
                        t -> 100 * t.missShare(),
                        (t, v) -> new Approach.Touch(t.backMm(), v / 100)),
                distance(
                        "distanceAt",
                        "seen at, mm",
                        "Distance at which it stops, from its front.",
                        Approach.Distance::atMm,
                        (d, v) -> new Approach.Distance(v, d.noiseMm(), d.missShare())),
                distance(
                        "distanceError",
                        "seen to, mm",
                        "Standard deviation of a distance reading.",
                        Approach.Distance::noiseMm,
                        (d, v) -> new Approach.Distance(d.atMm(), v, d.missShare())),
                distance(
                        "distanceMiss",
                        "not seen, %",
                        "How many of 100 readings see nothing.",
                        d -> 100 * d.missShare(),
                        (d, v) -> new Approach.Distance(d.atMm(), d.noiseMm(), v / 100)),
                turn());
        fields.getStyleClass().addAll("narrow", "by-bottom");
        return fields;
    }

    private NumberField touch(
            String id,
            String words,
            String term,
            ToDoubleFunction<Approach.Touch> value,
            BiFunction<Approach.Touch, Double, Approach.Touch> with) {
        return field(
                id, words, term, t -> value.applyAsDouble(t.touch()), (t, v) -> t.withTouch(with.apply(t.touch(), v)));
    }

    private NumberField distance(
            String id,
            String words,
            String term,
            ToDoubleFunction<Approach.Distance> value,
            BiFunction<Approach.Distance, Double, Approach.Distance> with) {
        return field(
                id,
                words,
                term,
                t -> value.applyAsDouble(t.distance()),
                (t, v) -> t.withDistance(with.apply(t.distance(), v)));
    }

    private ChoiceField<Integer> turn() {
        ChoiceField<Integer> choice = new ChoiceField<>(
                "detourTurn",
                "turns by",
                "Turn to the side before the arc; 'the best' has the best chance.",
                TURNS.toArray(Integer[]::new),
                degrees -> degrees == 0 ? "the best" : degrees + " degrees",
                degrees -> model.change(
                        t -> t.withTurnRad(degrees == 0 ? Optional.empty() : Optional.of(Math.toRadians(degrees)))));
        shown.add(() -> choice.show(model.task()
                .turnRad()
                .map(t -> (int) Math.rint(Math.toDegrees(t)))
                .orElse(0)));
        return choice;
    }

    private NumberField field(
            String id, String words, String term, ToDoubleFunction<Task> value, BiFunction<Task, Double, Task> with) {
        NumberField field = new NumberField(id, words, term, v -> model.change(t -> with.apply(t, v)));
        shown.add(() -> field.show(value.applyAsDouble(model.task())));
        return field;
    }

    private void refresh() {
        shown.forEach(Runnable::run);
        Value<Answer> value = model.answer().value();
        Optional<Answer> answer = value.ready();
        boolean byTouch = model.byTouchProperty().get();
        picture.show(answer.orElse(null), byTouch);
        where.setText(DetourWords.where(model.standing()) + " "
                + DetourWords.inProgram(model.moveOfProgram(), model.shownMove()));
        drawn.setText("The way when it is found by " + (byTouch ? "touch" : "distance"));
        verdict.setText(answer.map(DetourWords::verdict).orElseGet(() -> value.absence(DetourWords.DRIVING)));
        table.getChildren().clear();
        answer.ifPresent(this::fill);
    }

    private void fill(Answer answer) {
        table.add(Nodes.cell("by touch", "caption"), 1, 0);
        table.add(Nodes.cell("by distance", "caption"), 2, 0);
        line(
                answer,
                1,
                "stands off",
                byTouch -> Words.number(answer.approach(byTouch).usualStandOffMm(answer.setup()), 2) + " mm");
        driven(
                answer,
                2,
                "turns, arc",
                t -> DetourWords.degrees(t.turnRad()) + ", " + Words.number(t.radiusMm(), 3) + " mm");
        driven(answer, 3, "wheels", t -> {
            double[] commands = Detour.commands(answer.setup(), t.radiusMm());
            return Words.number(commands[0], 3) + ", " + Words.number(commands[1], 3);
        });
        driven(answer, 4, "meets the line", DetourWords::meets);
        driven(answer, 5, "then on, back", t -> Words.number(t.onMm(), 2) + " mm, " + DetourWords.degrees(t.backRad()));
        driven(answer, 6, "chance", t -> DetourWords.chance(t.kept()));
        int row = 7;
        for (End end : List.of(End.RAN_INTO_IT, End.TOUCHED_IT, End.MISSED_THE_LINE, End.LOST_THE_LINE)) {
            if (answer.touch().best().map(t -> t.count(end)).orElse(0)
                            + answer.distance().best().map(t -> t.count(end)).orElse(0)
                    > 0) {
                driven(answer, row++, DetourWords.end(end), t -> DetourWords.count(t, end));
            }
        }
    }

    private void driven(Answer answer, int row, String what, Function<DetourTrial, String> words) {
        line(answer, row, what, byTouch -> answer.of(byTouch).best().map(words).orElse("no arc"));
    }

    private void line(Answer answer, int row, String what, Function<Boolean, String> words) {
        Node head = Nodes.cell(what, "caption");
        table.add(head, 0, row);
        table.add(Nodes.wrapped(words.apply(true)), 1, row);
        table.add(Nodes.wrapped(words.apply(false)), 2, row);
    }
}
