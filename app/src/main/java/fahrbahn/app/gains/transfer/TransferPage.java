package fahrbahn.app.gains.transfer;

import fahrbahn.app.kit.Action;
import fahrbahn.app.kit.Follow;
import fahrbahn.app.kit.Nodes;
import fahrbahn.app.kit.Pages;
import fahrbahn.app.kit.field.ChoiceField;
import fahrbahn.app.kit.field.NumberField;
import fahrbahn.app.kit.field.Questions;
import fahrbahn.app.state.Value;
import fahrbahn.core.difference.SetupField;
import fahrbahn.core.law.GainUnits;
import fahrbahn.core.setup.Loop;
import fahrbahn.core.setup.Mixing;
import fahrbahn.core.setup.Scale;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.tuning.Carried;
import fahrbahn.core.tuning.SensorHeight;
import fahrbahn.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;

/** What becomes of the gains when the robot changes, with the sums; and the gains in time beside those per loop. */
public final class TransferPage {
    private static final List<String> HEADS = List.of("way", "Kp", "Ki", "Kd", "finish the test bend", "RMS, mm");

    /** Three fields side by side. */
    private static final double UNITS_WIDTH = 360;

    private static final double LEAST_UNITS_WIDTH = 240;

    private final TransferModel model;
    private final Label verdict = Nodes.wrapped(TransferWords.TRYING, "bench-result");
    private final Label steering = Nodes.wrapped("", "reason");
    private final Label share = Nodes.wrapped("", "reason");
    private final VBox ways = Nodes.column();
    private final ProgressBar progress = new ProgressBar(0);
    private final List<Runnable> shown = new ArrayList<>();

    public TransferPage(TransferModel model) {
        this.model = model;
        verdict.setId("transferVerdict");
        steering.setId("transferSteering");
        share.setId("transferShare");
        progress.setId("transferProgress");
    }

    public Pages.Page page() {
        Action use = new Action("useTransfer", "Use on the robot", KeyCode.U, model::use);
        Action forget = new Action("forgetChanges", "The robot as it is", KeyCode.R, () -> {
            model.forget();
            refreshFields();
        });
        progress.visibleProperty().bind(model.answer().computingProperty());
        Follow.of(model.answer(), () -> refresh(use), steering, share, ways);
        VBox units = Nodes.panel(
                "The gains as set, per loop and in time",
                Nodes.flow(units()),
                Nodes.wrapped("Gains per loop change when the loop gets longer; gains in seconds stay.", "caption"));
        units.setMinWidth(LEAST_UNITS_WIDTH);
        units.setPrefWidth(UNITS_WIDTH);
        VBox body = Nodes.column(
                Nodes.panel(
                        "What changes on the robot",
                        verdict,
                        Nodes.flow(changes()),
                        Nodes.flow(use.button(), forget.button(), progress)),
                Nodes.row(Nodes.grow(Nodes.panel("The sums", steering, share, ways)), units));
        return new Pages.Page(body, List.of(use, forget), nowNs -> {
            model.answer().show();
            progress.setProgress(model.answer().progress());
        });
    }

    private Node[] changes() {
        return new Node[] {
            change(SetupField.BASE_COMMAND, "newBase", "Base speed: power of both wheels on a straight."),
            change(
                            SetupField.LOOP_TIME,
                            "newPeriod",
                            "Loop time; the reading delay grows with it.",
                            TransferPage::withPeriod)
                    .asks(Questions.LOOP_TIME),
            change(
                            SetupField.SENSOR_HEIGHT,
                            "newHeight",
                            "Sensor height; the spot grows with it; dark and light count as captured again.",
                            SensorHeight::moved)
                    .asks(Questions.SENSOR_HEIGHT),
            change(SetupField.TRACK_WIDTH, "newWidth", "Track width: between the middles of the wheels.")
                    .asks(Questions.TRACK_WIDTH),
            change(SetupField.FREE_SPEED, "newSpeed", "Free speed at max power, in proportion to wheel size.")
                    .asks(Questions.FREE_SPEED),
            choice(
                    SetupField.SCALE,
                    "newScale",
                    "sensor scale in the program",
                    "Sensor scale in the program; target and thresholds follow.",
                    Scale.NAMED.toArray(Scale[]::new),
                    Scale::word,
                    s -> s.law().scale(),
                    (s, v) -> s.withLaw(
                            GainUnits.rescaled(s.law(), v, s.lawSensors().get(0)))),
            choice(
                    SetupField.MIXING,
                    "newMixing",
                    "steering changes",
                    "Whether steering moves both wheels or slows the inner one alone.",
                    Mixing.values(),
                    m -> m == Mixing.DIFFERENCE ? "both wheels" : "the inner wheel",
                    s -> s.robot().drive().mixing(),
                    (s, v) -> s.withDrive(s.robot().drive().withMixing(v)))
        };
    }

    private static Setup withPeriod(Setup setup, double ms) {
        Loop loop = setup.robot().loop();
        return setup.withLoop(new Loop(ms / 1000, loop.delayS() * ms / 1000 / loop.periodS()));
    }

    private NumberField change(SetupField what, String id, String term) {
        return change(what, id, term, what::withTyped);
    }

    /** @param set to a number as it is typed, with what goes with it */
    private NumberField change(SetupField what, String id, String term, BiFunction<Setup, Double, Setup> set) {
        NumberField field = new NumberField(
                id, what.typedWord(), term, value -> model.change(what, setup -> set.apply(setup, value)));
        shown.add(() -> field.show(what.typed(model.to())));
        return field;
    }

    private <E> ChoiceField<E> choice(
            SetupField what,
            String id,
            String words,
            String term,
            E[] values,
            Function<E, String> word,
            Function<Setup, E> is,
            BiFunction<Setup, E, Setup> set) {
        ChoiceField<E> field = new ChoiceField<>(
                id, words, term, values, word, value -> model.change(what, setup -> set.apply(setup, value)));
        shown.add(() -> field.show(is.apply(model.to())));
        return field;
    }

    private Node[] units() {
        NumberField kp = new NumberField(
                        "unitKp",
                        "Kp",
                        "Proportional gain; the same in both",
                        v -> model.choose(model.law()
                                .withGains(v, model.law().ki(), model.law().kd())))
                .asks(Questions.gain("Kp", () -> new double[] {model.law().kp()}));
        NumberField ki = new NumberField(
                        "unitKi",
                        "Ki, per loop",
                        "Integral gain per loop: on the sum of the errors",
                        v -> model.choose(model.law()
                                .withGains(model.law().kp(), v, model.law().kd())))
                .asks(Questions.gain("Ki", () -> new double[] {model.law().ki()}));
        NumberField kiPerS = new NumberField(
                        "unitKiPerS",
                        "Ki, per second",
                        "Integral gain in time: Ki per loop over the loop period",
                        v -> {
                            GainUnits now = model.perSecond();
                            model.choose(new GainUnits(now.kp(), v, now.kdS()));
                        })
                .asks(Questions.gain("Ki", () -> new double[] {model.perSecond().kiPerS()}));
        NumberField kd = new NumberField(
                        "unitKd",
                        "Kd, per loop",
                        "Derivative gain per loop: on the change since the loop before",
                        v -> model.choose(model.law()
                                .withGains(model.law().kp(), model.law().ki(), v)))
                .asks(Questions.gain("Kd", () ->
                        new double[] {model.law().kd(), 2 * model.law().kp()}));
        NumberField kdS = new NumberField(
                        "unitKdS", "Kd, seconds", "Derivative gain in time: Kd per loop times the loop period", v -> {
                            GainUnits now = model.perSecond();
                            model.choose(new GainUnits(now.kp(), now.kiPerS(), v));
                        })
                .asks(Questions.gain("Kd", () ->
                        new double[] {model.perSecond().kdS(), 2 * model.law().kp() * model.periodS()}));
        shown.add(() -> {
            GainUnits now = model.perSecond();
            kp.show(model.law().kp());
            ki.show(model.law().ki());
            kiPerS.show(now.kiPerS());
            kd.show(model.law().kd());
            kdS.show(now.kdS());
        });
        return new Node[] {kp, ki, kiPerS, kd, kdS};
    }

    /** The robot has changed: its fields say so. */
    public void refreshFields() {
        shown.forEach(Runnable::run);
    }

    private void refresh(Action use) {
        refreshFields();
        Value<TransferModel.Answer> value = model.answer().value();
        Optional<TransferModel.Answer> answer = value.ready();
        use.button().setDisable(answer.map(TransferModel.Answer::sameRobot).orElse(true));
        verdict.setText(answer.map(TransferWords::verdict).orElseGet(() -> value.absence(TransferWords.TRYING)));
        answer.map(TransferWords::steering).ifPresent(steering::setText);
        answer.map(TransferWords::share).ifPresent(share::setText);
        answer.ifPresent(a -> ways.getChildren().setAll(table(a.carried())));
    }

    private static GridPane table(Carried carried) {
        GridPane grid = new GridPane();
        grid.getStyleClass().add("schools");
        for (int i = 0; i < HEADS.size(); i++) {
            grid.add(Nodes.cell(HEADS.get(i), "caption"), i, 0);
        }
        add(grid, 1, "unchanged", carried.unchanged());
        add(grid, 2, "same steering", carried.sameSteering());
        carried.sameShare().ifPresent(way -> add(grid, 3, "same share of the wiggle limit", way));
        return grid;
    }

    private static void add(GridPane grid, int row, String name, Carried.Way way) {
        grid.addRow(
                row,
                Nodes.cell(name),
                Nodes.cell(Words.number(way.law().kp())),
                Nodes.cell(Words.number(way.law().ki())),
                Nodes.cell(Words.number(way.law().kd())),
                Nodes.cell(way.chance().completed() + " of " + way.chance().runs()),
                Nodes.cell(Double.isNaN(way.rmsMm()) ? "" : Words.number(way.rmsMm(), 2)));
    }
}
