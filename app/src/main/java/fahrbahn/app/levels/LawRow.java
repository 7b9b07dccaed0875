package fahrbahn.app.levels;

import fahrbahn.app.kit.Action;
import fahrbahn.app.kit.Nodes;
import fahrbahn.app.kit.field.ChoiceField;
import fahrbahn.app.kit.field.SetupFields;
import fahrbahn.core.law.UsualLaws;
import fahrbahn.core.response.ErrorRule;
import fahrbahn.core.response.LineCodes;
import fahrbahn.core.setup.Options.Pattern;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import fahrbahn.words.Words;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import javafx.scene.Node;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.VBox;

/**
 * What a row of sensors has of its own: a weight for each where they make an error; where they show a pattern, a threshold for each and a steering for each
 * code.
 */
final class LawRow {
    private final SetupFields codes;
    private final SetupFields weightFields;
    private final SetupFields thresholdFields;
    private final ChoiceField<Boolean> codesShown;
    private final Action fill;
    private final VBox patterns = Nodes.column();
    private final VBox weights = Nodes.column();
    private final VBox thresholds = Nodes.column();
    private List<String> shownCodes = List.of();
    private List<String> shownWeights = List.of();
    private List<String> shownThresholds = List.of();
    private boolean everyCode;

    LawRow(LawModel model) {
        codes = new SetupFields(model);
        weightFields = new SetupFields(model);
        thresholdFields = new SetupFields(model);
        codesShown = new ChoiceField<>(
                "codesShown",
                "codes shown",
                "Show only the codes a plain line can give and those in the table, or every one.",
                new Boolean[] {false, true},
                every -> every ? "every one" : "those of a line",
                every -> {
                    everyCode = every;
                    refresh(model.shown());
                });
        codesShown.show(false);
        fill = new Action(
                "fillCodes", "Usual steering for empty codes", KeyCode.F, () -> model.change(LawRow::withUsual));
    }

    /** Gives each code that has none the steering it usually has. */
    Action fill() {
        return fill;
    }

    VBox node() {
        return Nodes.column(weights, thresholds, patterns);
    }

    void refresh(Setup setup) {
        showPatterns(setup);
        codes.refresh();
        showWeights(setup);
        weightFields.refresh();
        showThresholds(setup);
        thresholdFields.refresh();
        Nodes.showIf(thresholds, !shownThresholds.isEmpty());
        Nodes.showIf(weights, !shownWeights.isEmpty());
        Nodes.showIf(patterns, !shownCodes.isEmpty());
        Nodes.showIf(fill.button(), !shownCodes.isEmpty() && !withUsual(setup).equals(setup));
    }

    private static Setup withUsual(Setup setup) {
        Setup filled = setup;
        for (Pattern usual : UsualLaws.patterns(setup)) {
            if (Double.isNaN(steering(setup, usual.bits()))) {
                filled = withPattern(filled, usual.bits(), usual.steering());
            }
        }
        return filled;
    }

    /** A weight for each sensor of a row that makes an error; empty, the usual ones count. */
    private void showWeights(Setup setup) {
        boolean row = setup.law().signal().weighted();
        List<String> now = row ? setup.lawSensors().stream().map(Sensor::name).toList() : List.of();
        if (now.equals(shownWeights)) {
            return;
        }
        shownWeights = now;
        weightFields.forget();
        weights.getChildren().clear();
        List<Node> all = new ArrayList<>();
        for (int i = 0; i < now.size(); i++) {
            int at = i;
            all.add(weightFields.numberOrNothing(
                    "weight" + i,
                    now.get(i),
                    "Weight of this sensor in the error, positive on the left; empty: the usual ones (mm, or 1, 2, 3 outward).",
                    s -> s.law().options().weights().isEmpty()
                            ? Double.NaN
                            : s.law().options().weights().get(at),
                    (s, v) -> LawPage.options(s, o -> o.withWeights(withWeight(s, at, v)))));
        }
        if (!all.isEmpty()) {
            weights.getChildren().setAll(SetupFields.group("Weights; empty: the usual ones", all.toArray(Node[]::new)));
        }
    }

    /** A threshold for each sensor of a row of on and off; empty, the law's target is that of all. */
    private void showThresholds(Setup setup) {
        boolean onOff = !setup.law().signal().hasError();
        List<String> now = onOff ? setup.lawSensors().stream().map(Sensor::name).toList() : List.of();
        if (now.equals(shownThresholds)) {
            return;
        }
        shownThresholds = now;
        thresholdFields.forget();
        thresholds.getChildren().clear();
        List<Node> all = new ArrayList<>();
        for (int i = 0; i < now.size(); i++) {
            int at = i;
            all.add(thresholdFields.numberOrNothing(
                    "threshold" + i,
                    now.get(i),
                    "Scaled reading beyond which this sensor sees the line; empty: the target, for all sensors.",
                    s -> s.law().options().thresholds().isEmpty()
                            ? Double.NaN
                            : s.law().threshold(at),
                    (s, v) -> LawPage.options(s, o -> o.withThresholds(withThreshold(s, at, v)))));
        }
        if (!all.isEmpty()) {
            thresholds
                    .getChildren()
                    .setAll(SetupFields.group(
                            "Thresholds; empty: the target, for all of them", all.toArray(Node[]::new)));
        }
    }

    /** The first one that is typed leaves the others at the target; one that is emptied empties all. */
    private static List<Double> withThreshold(Setup setup, int at, double threshold) {
        if (Double.isNaN(threshold)) {
            return List.of();
        }
        List<Double> all = new ArrayList<>();
        for (int i = 0; i < setup.lawSensors().size(); i++) {
            all.add(i == at ? threshold : setup.law().threshold(i));
        }
        return all;
    }

    /** The first weight that is typed gives the others their usual ones; one that is emptied empties all. */
    private static List<Double> withWeight(Setup setup, int at, double weight) {
        if (Double.isNaN(weight)) {
            return List.of();
        }
        double[] all = ErrorRule.weights(setup);
        all[at] = weight;
        return Arrays.stream(all).boxed().toList();
    }

    /** Fields for the codes, made anew when there are others. */
    private void showPatterns(Setup setup) {
        List<String> now = !setup.law().signal().hasError() ? LawPageWords.codes(setup, everyCode) : List.of();
        if (now.equals(shownCodes)) {
            return;
        }
        shownCodes = now;
        codes.forget();
        Set<String> seen = now.isEmpty() ? Set.of() : LineCodes.of(setup);
        Map<String, Double> usual = now.isEmpty() ? Map.of() : usual(setup);
        List<Node> all = new ArrayList<>();
        for (String bits : now) {
            all.add(codes.numberOrNothing(
                    "code" + bits,
                    LawPageWords.code(bits, seen),
                    "Steering while the row shows this pattern, in motor units, left positive. Empty: keep the last steering"
                            + (usual.containsKey(bits) ? "; usual is " + Words.number(usual.get(bits)) : "") + ".",
                    s -> steering(s, bits),
                    (s, v) -> withPattern(s, bits, v)));
        }
        patterns.getChildren().clear();
        if (!all.isEmpty()) {
            if (LawPageWords.moreCodes(setup)) {
                all.add(0, codesShown);
            }
            patterns.getChildren()
                    .setAll(
                            SetupFields.group(LawPageWords.patterns(setup, now), all.toArray(Node[]::new)),
                            fill.button());
        }
    }

    private static Map<String, Double> usual(Setup setup) {
        return UsualLaws.patterns(setup).stream().collect(Collectors.toMap(Pattern::bits, Pattern::steering));
    }

    private static double steering(Setup setup, String bits) {
        return setup.law().options().patterns().stream()
                .filter(p -> p.bits().equals(bits))
                .mapToDouble(Pattern::steering)
                .findFirst()
                .orElse(Double.NaN);
    }

    /** @param steering NaN takes the pattern out of the table */
    private static Setup withPattern(Setup setup, String bits, double steering) {
        return LawPage.options(setup, o -> {
            List<Pattern> table = new ArrayList<>(o.patterns());
            table.removeIf(p -> p.bits().equals(bits));
            if (!Double.isNaN(steering)) {
                table.add(new Pattern(bits, steering));
            }
            table.sort(Comparator.comparingInt(Pattern::number));
            return o.withPatterns(table);
        });
    }
}
