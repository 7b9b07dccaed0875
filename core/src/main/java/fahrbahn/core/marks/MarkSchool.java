package fahrbahn.core.marks;

import java.util.Map;
import java.util.function.Function;

/** A way to tell colours apart, as coaches have them. */
public enum MarkSchool {
    /** Nearest mean in scaled channels. */
    SCALED_CENTRES("scaled-centres", MarkSpace.SCALED, NearestCentre::of),
    /** Nearest mean in the cylinder of hue, saturation and value. */
    CYLINDER_CENTRES("cylinder-centres", MarkSpace.CYLINDER, NearestCentre::of),
    /** Nearest mean in the cone of hue, chroma and value. */
    CONE_CENTRES("cone-centres", MarkSpace.CONE, NearestCentre::of),
    /** Nearest mean by the readings' own scatter. */
    COVARIANCE("covariance", MarkSpace.SCALED, NearestByScatter::of),
    /** All channels within a tolerance of a mark's mean. */
    BOX("box", MarkSpace.SCALED, Boxes::of),
    /** One channel cut by levels. */
    ONE_CHANNEL("one-channel", MarkSpace.SCALED, OneFeature::of),
    /** The share of one channel cut by levels. */
    ONE_SHARE("one-share", MarkSpace.SHARES, OneFeature::of);

    private final String word;
    private final MarkSpace space;
    private final Function<Map<String, Moments>, MarkClassifier> learning;

    MarkSchool(String word, MarkSpace space, Function<Map<String, Moments>, MarkClassifier> learning) {
        this.word = word;
        this.space = space;
        this.learning = learning;
    }

    /** Its name in files. */
    public String word() {
        return word;
    }

    public MarkSpace space() {
        return space;
    }

    /** @param surfaces by name; those without a point are passed over */
    MarkClassifier learn(Map<String, Moments> surfaces) {
        return learning.apply(surfaces);
    }
}
