package fahrbahn.app.levels;

import fahrbahn.app.kit.Nodes;
import fahrbahn.app.kit.SetupFields;
import fahrbahn.core.response.ErrorRule;
import fahrbahn.core.response.LineCodes;
import fahrbahn.core.setup.Law;
import fahrbahn.core.setup.Options.Pattern;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import javafx.scene.Node;
import javafx.scene.layout.VBox;

/** What a row of sensors has of its own: a weight for each where they make an error, a code for each pattern where they show one. */
final class LawRow {
    private final SetupFields codes;
    private final SetupFields weightFields;
    private final VBox patterns = Nodes.column();
    private final VBox weights = Nodes.column();
    private List<String> shownCodes = List.of();
    private List<String> shownWeights = List.of();

    LawRow(LawModel model) {
        codes = new SetupFields(model);
        weightFields = new SetupFields(model);
    }

    VBox node() {
        return Nodes.column(weights, patterns);
    }

    void refresh(Setup setup) {
        showPatterns(setup);
        codes.refresh();
        showWeights(setup);
        weightFields.refresh();
        Nodes.showIf(weights, !shownWeights.isEmpty());
        Nodes.showIf(patterns, !shownCodes.isEmpty());
    }

    /** A weight for each sensor of a row that makes an error; empty, the usual ones count. */
    private void showWeights(Setup setup) {
        boolean row = setup.law().kind() == Law.Kind.ARRAY_MEAN || setup.law().kind() == Law.Kind.ARRAY_DIFFERENCE;
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
                    "Weight of this sensor in the error, positive on the left; emptied, all have the usual ones: places in mm, or 1, 2, 3 outward.",
                    s -> s.law().options().weights().isEmpty()
                            ? Double.NaN
                            : s.law().options().weights().get(at),
                    (s, v) -> LawPage.options(s, o -> o.withWeights(withWeight(s, at, v)))));
        }
        if (!all.isEmpty()) {
            weights.getChildren().setAll(SetupFields.group("Weights; empty: the usual ones", all.toArray(Node[]::new)));
        }
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
        List<String> now = setup.law().kind() == Law.Kind.PATTERN ? LawPageWords.codes(setup) : List.of();
        if (now.equals(shownCodes)) {
            return;
        }
        shownCodes = now;
        codes.forget();
        Set<String> seen = now.isEmpty() ? Set.of() : LineCodes.of(setup);
        List<Node> all = new ArrayList<>();
        for (String bits : now) {
            all.add(codes.numberOrNothing(
                    "code" + bits,
                    bits + LawPageWords.code(bits, seen),
                    "Steering while the row shows this pattern, outer left sensor first, 1 sees the line; command units, left positive. Empty keeps the steering there was.",
                    s -> steering(s, bits),
                    (s, v) -> withPattern(s, bits, v)));
        }
        patterns.getChildren().clear();
        if (!all.isEmpty()) {
            patterns.getChildren()
                    .setAll(SetupFields.group(LawPageWords.patterns(setup, now), all.toArray(Node[]::new)));
        }
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
