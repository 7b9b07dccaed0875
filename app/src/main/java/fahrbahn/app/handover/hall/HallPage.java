package fahrbahn.app.handover.hall;

import fahrbahn.app.kit.Action;
import fahrbahn.app.kit.Nodes;
import fahrbahn.app.kit.Pages;
import fahrbahn.app.kit.SideBySide;
import fahrbahn.app.kit.field.Fields;
import fahrbahn.app.kit.field.NumberField;
import fahrbahn.app.measure.TypingBar;
import fahrbahn.card.CardWords;
import fahrbahn.core.hall.HallAdvice;
import fahrbahn.core.hall.HallDay;
import fahrbahn.core.hall.HallStep;
import fahrbahn.core.program.Grain;
import fahrbahn.core.program.ProgramConstant;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import javafx.css.PseudoClass;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** One page, one key a step, a clock, and what to do now in words that are read from two metres. */
public final class HallPage {
    private static final PseudoClass NOW = PseudoClass.getPseudoClass("chosen");
    private static final double MAIN_SHARE = 0.6;
    private static final double LEAST_EM = 62;
    private static final double USUAL_MINUTES = 5;
    private static final long SHOWN_EVERY_NS = 200_000_000L;

    private final HallModel model;
    private final Label clock = Nodes.label("", "minutes-left");
    private final Label now = Nodes.wrapped("", "hall-now");
    private final Label why = Nodes.wrapped("", "reason");
    private final FlowPane numbers = Nodes.flow();
    private final Label stillOld = Nodes.wrapped(HallWords.STILL_OLD, "caution");
    private final GridPane steps = new GridPane();
    private final Map<HallStep, Label> names = new EnumMap<>(HallStep.class);
    private final Map<HallStep, Label> states = new EnumMap<>(HallStep.class);
    private final NumberField minutes;
    private long shownNs;
    private double minutesWanted = USUAL_MINUTES;
    private List<ProgramConstant> shown = List.of();

    public HallPage(HallModel model) {
        this.model = model;
        clock.setId("hallClock");
        clock.setMinWidth(Region.USE_PREF_SIZE);
        now.setId("hallNow");
        why.setId("hallWhy");
        numbers.setId("hallNumbers");
        steps.setId("hallSteps");
        steps.getStyleClass().add("schools");
        minutes = new NumberField(
                "hall-minutes", "minutes", "Minutes until the robot must start.", v -> minutesWanted = v);
        minutes.show(minutesWanted);
    }

    public Pages.Page page() {
        Action begin = new Action("hallBegin", "Begin", KeyCode.B, () -> model.begin(minutesWanted));
        Action light = new Action("hallLight", "Light", KeyCode.L, () -> model.capture(HallStep.LIGHT));
        Action dark = new Action("hallDark", "Dark", KeyCode.D, () -> model.capture(HallStep.DARK));
        Action marks = new Action("hallMarks", "Marks", KeyCode.M, () -> model.capture(HallStep.MARKS));
        Action typed = new Action("hallTyped", "Typed", KeyCode.T, model::typed);
        Action sign = new Action("hallSign", "Direction right", KeyCode.G, () -> model.tick(HallStep.SIGN));
        Action ran = new Action("hallRan", "Finished", KeyCode.R, () -> model.run(model.nextRun(), true));
        Action lost = new Action("hallLost", "Lost", KeyCode.X, () -> model.run(model.nextRun(), false));
        Action end = new Action("hallEnd", "End", KeyCode.E, model::end);
        List<Action> within = List.of(light, dark, marks, typed, sign, ran, lost, end);
        for (HallStep step : HallStep.values()) {
            Label name = Nodes.cell(HallWords.name(step), "reason");
            Label state = Nodes.wrapped("", "caption");
            names.put(step, name);
            states.put(step, state);
            steps.addRow(step.ordinal(), name, state);
        }
        VBox main = Nodes.column(
                Nodes.row(clock, Nodes.grow(new VBox(now, why))),
                new TypingBar(model.measure()),
                Nodes.panel("Numbers for this venue", stillOld, numbers),
                Nodes.wrapped(HallWords.CAUTION, "caution"));
        VBox side = Nodes.column(
                Nodes.panel("Time left", Nodes.flow(minutes, begin.button(), end.button())),
                Nodes.panel(
                        "The steps",
                        steps,
                        Nodes.flow(
                                light.button(),
                                dark.button(),
                                marks.button(),
                                typed.button(),
                                sign.button(),
                                ran.button(),
                                lost.button())));
        return new Pages.Page(
                new SideBySide(main, side, MAIN_SHARE, LEAST_EM),
                List.of(begin, light, dark, marks, typed, sign, ran, lost, end),
                nowNs -> {
                    // Often enough for a clock.
                    if (nowNs - shownNs > SHOWN_EVERY_NS) {
                        shownNs = nowNs;
                        model.show();
                        refresh(within, marks);
                    }
                });
    }

    private void refresh(List<Action> within, Action marks) {
        Optional<HallDay> day = model.day();
        within.forEach(action -> action.button().setDisable(day.isEmpty()));
        Nodes.showIf(marks.button(), model.looksForMarks());
        Nodes.showIf(names.get(HallStep.MARKS), model.looksForMarks());
        Nodes.showIf(states.get(HallStep.MARKS), model.looksForMarks());
        Optional<HallAdvice> advice = model.advice();
        double leftS = model.leftS();
        clock.setText(HallWords.clock(leftS));
        Nodes.showIf(clock, day.isPresent());
        now.setText(HallWords.next(advice, leftS));
        why.setText(model.alike()
                .map(HallWords::alike)
                .or(model::marksRefused)
                .orElseGet(() -> HallWords.why(advice, model.worth().value())));
        Nodes.showIf(stillOld, day.isPresent() && !model.fresh());
        Set<HallStep> done = day.map(HallDay::steps).orElse(Set.of());
        Optional<HallStep> next = advice.flatMap(HallAdvice::next).map(HallAdvice.Offer::step);
        for (HallStep step : HallStep.values()) {
            states.get(step).setText(HallWords.line(step, done.contains(step), advice));
            names.get(step)
                    .pseudoClassStateChanged(NOW, next.filter(n -> n == step).isPresent());
        }
        showNumbers();
    }

    private void showNumbers() {
        List<ProgramConstant> now = model.numbers();
        if (now.equals(shown)) {
            return;
        }
        shown = now;
        Grain grain = model.grain();
        numbers.getChildren().setAll(now.stream().map(c -> number(c, grain)).toList());
    }

    private static VBox number(ProgramConstant constant, Grain grain) {
        VBox box = Nodes.figure(
                Nodes.cell(CardWords.typed(constant, grain), "hall-number"), constant.name(), constant.words());
        Fields.describe(box, constant.name(), constant.words() + ": " + CardWords.typed(constant, grain));
        return box;
    }
}
