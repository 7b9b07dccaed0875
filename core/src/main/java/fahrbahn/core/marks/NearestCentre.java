package fahrbahn.core.marks;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** The surface whose mean is nearest, as the crow flies. */
record NearestCentre(Map<String, double[]> centres) implements MarkClassifier {
    static NearestCentre of(Map<String, Moments> surfaces) {
        return new NearestCentre(means(surfaces));
    }

    static Map<String, double[]> means(Map<String, Moments> surfaces) {
        Map<String, double[]> centres = new LinkedHashMap<>();
        surfaces.forEach((surface, moments) -> {
            if (moments.n() > 0) {
                centres.put(surface, moments.mean());
            }
        });
        return centres;
    }

    @Override
    public String take(double[] features) {
        String nearest = NONE;
        double least = Double.POSITIVE_INFINITY;
        for (Map.Entry<String, double[]> centre : centres.entrySet()) {
            double distance = 0;
            for (int i = 0; i < features.length; i++) {
                double off = features[i] - centre.getValue()[i];
                distance += off * off;
            }
            if (distance < least) {
                least = distance;
                nearest = centre.getKey();
            }
        }
        return nearest;
    }

    @Override
    public List<Constant> constants() {
        List<Constant> constants = new ArrayList<>();
        centres.forEach((surface, centre) -> {
            for (int i = 0; i < centre.length; i++) {
                constants.add(new Constant(surface + " " + (i + 1), centre[i]));
            }
        });
        return constants;
    }
}
