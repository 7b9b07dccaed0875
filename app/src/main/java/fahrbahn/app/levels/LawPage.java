package fahrbahn.app.levels;

import fahrbahn.app.kit.Action;
import fahrbahn.app.kit.Follow;
import fahrbahn.app.kit.Nodes;
import fahrbahn.app.kit.Pages;
import fahrbahn.app.kit.SideBySide;
import fahrbahn.app.kit.field.ChoiceField;
import fahrbahn.app.kit.field.NumberField;
import fahrbahn.app.kit.field.Questions;
import fahrbahn.app.kit.field.SetupFields;
import fahrbahn.app.state.Value;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.law.UsualLaws;
import fahrbahn.core.setup.ErrorSignal;
import fahrbahn.core.setup.Law;
import fahrbahn.core.setup.Options;
import fahrbahn.core.setup.Options.Step;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.setup.Side;
import fahrbahn.core.tuning.LawTrial;
import fahrbahn.words.LawWords;
import fahrbahn.words.SignWords;
import fahrbahn.words.Words;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.ToDoubleFunction;
import java.util.function.UnaryOperator;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** Every law the engine knows, set up by hand: how it follows, steps, patterns, what happens when the line is lost, limits. */
final class LawPage {
    private static final int STEPS = 3;
    private static final double FOLLOWS_SHARE = 0.62;
    private static final double LEAST_EM = 70;

    private final LawModel model;
    private final SetupFields fields;
    private final ChoiceField<ErrorSignal> kinds;
    private List<ErrorSignal> offered = List.of();
    private final LawReflexes reflexes;
    private final LawRow row;
    private final List<Node> gains = new ArrayList<>();
    private final List<Node> stepNodes = new ArrayList<>();
    private final List<Node> zone = new ArrayList<>();
    private Node side;
    private Node steering;
    private final Label twin = Nodes.wrapped("Simulating.", "bench-result");
    private final Label sign = Nodes.wrapped("", "reason");
    private final Label told = Nodes.wrapped("", "reason");
    private final Label ticked = Nodes.label("", "strong");

    LawPage(LawModel model) {
        this.model = model;
        this.fields = new SetupFields(model);
        this.reflexes = new LawReflexes(fields);
        this.row = new LawRow(model);
        this.kinds = new ChoiceField<>(
                "lawKind",
                "it follows with",
                "Control: one sensor on an edge, two beside the line, a whole row by its error, or an on/off pattern.",
                ErrorSignal.values(),
                LawWords::kind,
                kind -> {
                    if (!model.change(s -> withKind(s, kind))) {
                        offerKinds();
                    }
                });
        twin.setId("lawOnTwin");
        sign.setId("lawSign");
        told.setId("lawTold");
        ticked.setId("signTicked");
        ticked.setMinWidth(Region.USE_PREF_SIZE);
    }

    Pages.Page page() {
        Action tick = new Action("tickSign", "It does", KeyCode.J, model::tickSign);
        tick.button().setMinWidth(Region.USE_PREF_SIZE);
        steering = steps();
        VBox body = Nodes.column(
                Nodes.panel("Simulated, as set now", twin, told, Nodes.row(Nodes.grow(sign), ticked, tick.button())),
                new SideBySide(follows(), reflexes.limits(), FOLLOWS_SHARE, LEAST_EM),
                steering,
                row.node(),
                reflexes.lost());
        model.shownProperty().addListener(o -> refresh());
        model.whenTicked(this::refresh);
        Follow.of(model.trial(), this::refresh, twin);
        return new Pages.Page(
                body, List.of(tick, row.fill()), nowNs -> model.trial().show());
    }

    /** Those the robot has enough sensors for: with arrows nobody comes past one that is refused. */
    private void offerKinds() {
        Setup shown = model.shown();
        List<ErrorSignal> now = Arrays.stream(ErrorSignal.values())
                .filter(k -> shown.row().size() >= k.leastSensors())
                .toList();
        if (now.equals(offered)) {
            kinds.show(shown.law().signal());
        } else {
            offered = now;
            kinds.offer(now, shown.law().signal());
        }
    }

    private void refresh() {
        fields.refresh();
        offerKinds();
        row.refresh(model.shown());
        ticked.setText(model.signSeen() ? "\u2713 seen" : "not seen yet");
        sign.setText(SignWords.sentence(model.shown()));
        told.setText(LawPageWords.told(model.shown()));
        Nodes.showIf(told, !told.getText().isEmpty());
        Law law = model.shown().law();
        showWhatItHas(law);
        reflexes.refresh(law.options());
        Value<LawTrial> trial = model.trial().value();
        twin.setText(trial.ready()
                .map(t -> LawPageWords.trial(t, model.shown()))
                .orElseGet(() -> trial.absence("Simulating.")));
    }

    static Setup options(Setup setup, UnaryOperator<Options> change) {
        return setup.withLaw(setup.law().withOptions(change.apply(setup.law().options())));
    }

    private Region follows() {
        gains.add(number(
                        "lawKp",
                        "Kp, per loop",
                        "Proportional gain, per loop.",
                        s -> s.law().kp(),
                        (s, v) -> s.withLaw(
                                s.law().withGains(v, s.law().ki(), s.law().kd())))
                .asks(Questions.gain(
                        "Kp", () -> new double[] {model.shown().law().kp()})));
        gains.add(number(
                        "lawKi",
                        "Ki, per loop",
                        "Integral gain, per loop.",
                        s -> s.law().ki(),
                        (s, v) -> s.withLaw(
                                s.law().withGains(s.law().kp(), v, s.law().kd())))
                .asks(Questions.gain(
                        "Ki", () -> new double[] {model.shown().law().ki()})));
        gains.add(number(
                        "lawKd",
                        "Kd, per loop",
                        "Derivative gain, per loop.",
                        s -> s.law().kd(),
                        (s, v) -> s.withLaw(
                                s.law().withGains(s.law().kp(), s.law().ki(), v)))
                .asks(Questions.gain("Kd", () -> new double[] {
                    model.shown().law().kd(), 2 * model.shown().law().kp()
                })));
        side = fields.choice(
                "lawSide",
                "edge",
                "Which edge of the line it follows, looking ahead.",
                Side.values(),
                Side::word,
                s -> s.law().side(),
                (s, v) -> s.withLaw(s.law().withSide(v)));
        List<Node> all = new ArrayList<>(List.of(kinds, side));
        all.addAll(gains);
        return SetupFields.group("How it follows", all.toArray(Node[]::new));
    }

    /** Only what the law has. */
    private void showWhatItHas(Law law) {
        boolean error = law.signal().hasError();
        Nodes.showIf(side, law.signal().tracksEdge());
        gains.forEach(gain -> Nodes.showIf(gain, error));
        Nodes.showIf(steering, error);
        boolean zoned = law.signal().tracksEdge() && law.steering() == Law.Steering.STEPS;
        zone.forEach(field -> Nodes.showIf(field, zoned));
        for (int i = 0; i < stepNodes.size(); i++) { // two for each step, and the hysteresis
            Nodes.showIf(
                    stepNodes.get(i),
                    i / 2 < law.options().steps().size() || i == 2 * STEPS && law.steering() == Law.Steering.STEPS);
        }
    }

    /** A pattern law begins with a table, and a law that makes an error of another size without its steps. */
    private static Setup withKind(Setup setup, ErrorSignal kind) {
        Options options = setup.law().options().withSteps(List.of(), 0);
        options = options.withPatterns(!kind.hasError() ? UsualLaws.patterns(setup) : List.of())
                .withThresholds(List.of());
        return setup.withLaw(setup.law().withOptions(options).withSignal(kind));
    }

    private NumberField number(
            String id, String words, String term, ToDoubleFunction<Setup> get, BiFunction<Setup, Double, Setup> with) {
        return fields.number(id, words, term, get, with);
    }

    private Node steps() {
        List<Node> all = new ArrayList<>();
        all.add(fields.choice(
                "lawSteps",
                "it steers",
                "By gains, in proportion to the error; or in steps: two, three with a straight zone, or graded.",
                Stairs.values(),
                Stairs::words,
                s -> Stairs.of(s.law()),
                (s, v) -> options(s, o -> o.withSteps(v.of(s), o.hysteresis()))));
        for (int i = 0; i < STEPS; i++) {
            int at = i;
            all.add(number(
                    "stepFrom" + (i + 1),
                    "step " + (i + 1) + " from",
                    "Error, without sign, above which this step begins.",
                    s -> step(s, at).map(Step::aboveError).orElse(Double.NaN),
                    (s, v) -> withStep(s, at, old -> new Step(v, old.steering()))));
            all.add(number(
                    "stepSteers" + (i + 1),
                    "step " + (i + 1) + " steers",
                    "Steering of this step, in motor units, towards the line.",
                    s -> step(s, at).map(Step::steering).orElse(Double.NaN),
                    (s, v) -> withStep(s, at, old -> new Step(old.aboveError(), v))));
        }
        all.add(number(
                "hysteresis",
                "hysteresis",
                "Hysteresis: a step ends only when the error is this far below where it begins.",
                s -> s.law().options().hysteresis(),
                (s, v) -> options(s, o -> o.withSteps(o.steps(), v))));
        stepNodes.addAll(all.subList(1, all.size()));
        zone.add(number(
                "zoneFrom",
                "straight from",
                "Scaled reading from which it goes straight, as in: straight from 38 to 57.",
                s -> s.law().target() - zoneHalf(s),
                (s, v) -> withZone(s, v, s.law().target() + zoneHalf(s))));
        zone.add(number(
                "zoneTo",
                "to",
                "Scaled reading up to which it goes straight.",
                s -> s.law().target() + zoneHalf(s),
                (s, v) -> withZone(s, s.law().target() - zoneHalf(s), v)));
        all.addAll(1, zone);
        return SetupFields.group("Steering", all.toArray(Node[]::new));
    }

    private static double zoneHalf(Setup setup) {
        return step(setup, 0).map(Step::aboveError).orElse(Double.NaN);
    }

    /** An edge rider's target is the middle of its straight zone. */
    private static Setup withZone(Setup setup, double from, double to) {
        if (!(from <= to)) {
            throw new BadValueException(
                    "straight from", Words.number(from), "at most the reading where it ends, " + Words.number(to));
        }
        Setup moved = setup.withLaw(setup.law().withTarget((from + to) / 2));
        return withStep(moved, 0, old -> new Step((to - from) / 2, old.steering()));
    }

    private static Optional<Step> step(Setup setup, int at) {
        List<Step> steps = setup.law().options().steps();
        return at < steps.size() ? Optional.of(steps.get(at)) : Optional.empty();
    }

    private static Setup withStep(Setup setup, int at, UnaryOperator<Step> change) {
        List<Step> steps = new ArrayList<>(setup.law().options().steps());
        if (at >= steps.size()) {
            throw new BadValueException(
                    "step " + (at + 1), "not there", "of a step that exists: choose it beside 'it steers' first");
        }
        steps.set(at, change.apply(steps.get(at)));
        return options(setup, o -> o.withSteps(steps, o.hysteresis()));
    }
}
