package fahrbahn.app.runs;

import fahrbahn.app.kit.Action;
import fahrbahn.app.kit.FileAsk;
import fahrbahn.app.kit.Nodes;
import fahrbahn.app.kit.Pages;
import fahrbahn.app.kit.SeenActions;
import fahrbahn.app.kit.SideBySide;
import fahrbahn.app.kit.StopwatchBar;
import fahrbahn.app.kit.field.Fields;
import fahrbahn.app.runs.plan.PlanModel;
import fahrbahn.app.runs.stops.StopsModel;
import fahrbahn.app.runs.stops.StopsPicture;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.trials.Outcome;
import fahrbahn.core.trials.Outcome.Seen;
import fahrbahn.words.Refusals;
import fahrbahn.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import javafx.css.PseudoClass;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;

/** Logging at the table: the clock, what was measured and seen, where it stopped or was lost, and the newest runs. */
final class QuickLogPage {
    private static final PseudoClass SAID = PseudoClass.getPseudoClass("said");
    private static final double MAIN_SHARE = 0.68;
    private static final double LEAST_EM = 66;

    private final QuickLog model;
    private final StopsModel stops;
    private final PlanModel plan;
    private final BookModel book;
    private final RunsTable table;
    private final TextField time = new TextField();
    private final TextField along = new TextField();
    private final TextField across = new TextField();
    private final TextField lostAt = new TextField();
    private final TextField volts = new TextField();
    private final TextField note = new TextField();
    private final Label logged = Nodes.label("", "reason");
    private final Label problem = Nodes.wrapped("", "problem");
    private final Label robotSays = Nodes.label("", "reason");
    private final Label clock = Nodes.label("", "minutes-left");
    private final Label next = Nodes.wrapped("", "bench-result");
    private final StopsPicture target = new StopsPicture();
    private final CourseTarget course;

    QuickLogPage(RunsModel runs) {
        this.model = runs.log();
        this.stops = runs.stops();
        this.plan = runs.plan();
        this.book = runs.book();
        this.table = new RunsTable("runs", "The log book, newest run first", false);
        this.course = new CourseTarget((x, y) -> lostAt.setText(model.pointed(x, y)));
        table.show(runs.runs());
    }

    Pages.Page page() {
        fields();
        Action ran = new Action("ran", "Finished", KeyCode.R, () -> log(true));
        Action lost = new Action("lost", "Lost", KeyCode.X, () -> log(false));
        Action back = new Action("takeRunBack", "Undo last", KeyCode.BACK_SPACE, model::takeBack);
        Action photo = new Action("runPhoto", "Photo", KeyCode.P, this::takePhoto);
        back.button().setDisable(true);
        model.loggedProperty()
                .addListener(o ->
                        back.button().setDisable(model.loggedProperty().get().isEmpty()));
        logged.setId("logged");
        logged.textProperty().bind(model.loggedProperty());
        List<Action> sights = sights();
        StopwatchBar watch = new StopwatchBar(model.watch(), ran.button(), lost.button());
        List<Action> inNumbers = new ArrayList<>(watch.actions());
        inNumbers.addAll(List.of(ran, lost));
        List.of(time, along, across, volts).forEach(number -> Action.alsoIn(number, inNumbers));
        follow(photo);
        problem.setId("runProblem");
        robotSays.setId("robotSays");
        next.setId("planNext");
        FlowPane seen = Nodes.flow(sights.stream().map(Action::button).toArray(Node[]::new));
        seen.getChildren().addAll(photo.button(), back.button(), logged, robotSays);
        say("");
        VBox main = Nodes.column(
                Nodes.row(clock, Nodes.grow(next)),
                watch,
                Nodes.flow(time, along, across, lostAt, volts, note),
                seen,
                problem,
                Nodes.wrapped("Fingers and hair away from the wheels, a hand ready at the table's edge.", "caution"),
                Nodes.grow(table));
        VBox side = Nodes.column(
                Nodes.grow(Nodes.panel("Where it stopped: click, or type along and across", Nodes.grow(target))),
                Nodes.grow(Nodes.panel("Where it was lost: click, or type the part", Nodes.grow(course))));
        List<Action> actions = new ArrayList<>(List.of(ran, lost, back, photo));
        actions.addAll(sights);
        actions.addAll(watch.actions());
        return new Pages.Page(new SideBySide(main, side, MAIN_SHARE, LEAST_EM), actions, nowNs -> {
            watch.frame();
            plan.watch();
            book.makeReady();
            String words = plan.nextForRobot();
            next.setText(words);
            clock.setText(plan.left());
            Nodes.showIf(next.getParent(), !words.isEmpty());
            course.show(model.ground(), model.lineWidthMm(), lostNow());
        });
    }

    private void follow(Action photo) {
        model.watch().tapsProperty().addListener(o -> fillIn());
        robotSays.textProperty().bind(model.robotSaysProperty());
        model.robotTookProperty().addListener((o, before, took) -> {
            if (!took.isEmpty()) {
                time.setText(took);
            }
        });
        model.photoProperty()
                .addListener(
                        o -> photo.button().setText(model.photoProperty().get().isPresent() ? "Photo taken" : "Photo"));
        target.clicked((a, b) -> {
            along.setText(Words.number(a, 2));
            across.setText(Words.number(b, 2));
        });
        along.textProperty().addListener(o -> mark());
        across.textProperty().addListener(o -> mark());
        stops.stopsProperty().addListener(o -> target.show(stops.stopsProperty().get()));
        target.show(stops.stopsProperty().get());
    }

    private List<Double> lostNow() {
        return stops.counted().stream()
                .map(run -> run.outcome().lostMm())
                .filter(mm -> !Double.isNaN(mm))
                .toList();
    }

    private List<Action> sights() {
        Map<Seen, Action> bySeen = SeenActions.of("saw-", model::see);
        model.seenProperty()
                .addListener(o -> bySeen.forEach((seen, action) -> action.button()
                        .pseudoClassStateChanged(
                                SAID,
                                model.seenProperty().get().filter(seen::equals).isPresent())));
        return List.copyOf(bySeen.values());
    }

    private void fields() {
        field(time, "runTime", "time, s", 5, "How long the run took; empty if not timed.");
        field(
                along,
                "runAlong",
                "along, mm",
                5,
                "How far beyond its place it stopped, negative before it; empty if not measured.");
        field(
                across,
                "runAcross",
                "across, mm",
                6,
                "How far left of its place it stopped, negative to the right; empty if not measured.");
        field(
                lostAt,
                "runLostAt",
                "lost at",
                5,
                "Where it was lost: a piece of the table by number or name, or how far along, like 1.2 m.");
        field(volts, "runVolts", "volts", 4, "Battery voltage, if you read it.");
        field(note, "runNote", "note, #tags", 10, "Anything about this run; words with # are tags.");
    }

    private static void field(TextField field, String id, String words, int columns, String what) {
        field.setId(id);
        field.setAccessibleText(words);
        field.setPromptText(words);
        field.setPrefColumnCount(columns);
        Fields.describe(field, words, what);
    }

    private void takePhoto() {
        FileAsk.open(table, model::takePhoto, RunDetail.PHOTOS);
    }

    /** The latest lap is the time of the run. */
    private void fillIn() {
        if (model.watch().tapsProperty().get().count() > 0) {
            time.setText(Words.hundredths(model.watch().tapsProperty().get().lastS()));
        }
    }

    private void mark() {
        Outcome.Stop typed = QuickLog.stop(along.getText(), across.getText());
        target.mark(typed.alongMm(), typed.acrossMm());
    }

    private void log(boolean completed) {
        try {
            model.log(
                    completed,
                    new QuickLog.Typed(
                            time.getText(),
                            along.getText(),
                            across.getText(),
                            lostAt.getText(),
                            volts.getText(),
                            note.getText()));
            say("");
            List.of(time, along, across, lostAt, volts, note).forEach(TextField::clear);
            model.watch().clear();
        } catch (BadValueException refused) {
            say(Refusals.sentence(refused));
        }
    }

    private void say(String words) {
        problem.setText(words);
        Nodes.showIf(problem, !words.isEmpty());
    }
}
