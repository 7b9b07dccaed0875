package fahrbahn.core.marks;

import fahrbahn.core.colour.ColourRule;
import fahrbahn.core.colour.ColourSpace;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;

/** The surface whose mean is nearest, as the crow flies. */
final class NearestCentre {
    private NearestCentre() {}

    static Learnt of(ColourSpace space, Map<String, Moments> surfaces) {
        List<ColourRule.Known> known = means(surfaces);
        return new Learnt(new ColourRule(space, List.of(), known), constants(known));
    }

    static List<ColourRule.Known> means(Map<String, Moments> surfaces) {
        List<ColourRule.Known> known = new ArrayList<>();
        surfaces.forEach((surface, moments) -> {
            if (moments.n() > 0) {
                List<Double> mean = Arrays.stream(moments.mean()).boxed().toList();
                known.add(new ColourRule.Known(surface, mean, List.of()));
            }
        });
        return known;
    }

    static List<Learnt.Constant> constants(List<ColourRule.Known> known) {
        List<Learnt.Constant> constants = new ArrayList<>();
        for (ColourRule.Known one : known) {
            for (int i = 0; i < one.centre().size(); i++) {
                constants.add(new Learnt.Constant(
                        one.surface() + " " + (i + 1), one.centre().get(i)));
            }
        }
        return constants;
    }
}
