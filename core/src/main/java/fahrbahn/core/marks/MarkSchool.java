package fahrbahn.core.marks;

import fahrbahn.core.colour.ColourSpace;
import java.util.Map;
import java.util.function.BiFunction;

/** A way to tell colours apart, as coaches have them. */
public enum MarkSchool {
    /** Nearest mean in scaled channels. */
    SCALED_CENTRES("scaled-centres", ColourSpace.SCALED, NearestCentre::of),
    /** Nearest mean in the cylinder of hue, saturation and value. */
    CYLINDER_CENTRES("cylinder-centres", ColourSpace.CYLINDER, NearestCentre::of),
    /** Nearest mean in the cone of hue, chroma and value. */
    CONE_CENTRES("cone-centres", ColourSpace.CONE, NearestCentre::of),
    /** Nearest mean by the readings' own scatter. */
    COVARIANCE("covariance", ColourSpace.SCALED, NearestByScatter::of),
    /** All channels within a tolerance of a mark's mean. */
    BOX("box", ColourSpace.SCALED, Boxes::of),
    /** One channel cut by levels. */
    ONE_CHANNEL("one-channel", ColourSpace.SCALED, OneFeature::of),
    /** The share of one channel cut by levels. */
    ONE_SHARE("one-share", ColourSpace.SHARES, OneFeature::of),
    /** Red, green and blue added, cut by levels. */
    ONE_SUM("one-sum", ColourSpace.SUM, OneFeature::of);

    private final String word;
    private final ColourSpace space;
    private final BiFunction<ColourSpace, Map<String, Moments>, Learnt> learning;

    MarkSchool(String word, ColourSpace space, BiFunction<ColourSpace, Map<String, Moments>, Learnt> learning) {
        this.word = word;
        this.space = space;
        this.learning = learning;
    }

    /** Its name in files. */
    public String word() {
        return word;
    }

    public ColourSpace space() {
        return space;
    }

    /** @param surfaces by name; those without a point are passed over */
    Learnt learn(Map<String, Moments> surfaces) {
        return learning.apply(space, surfaces);
    }
}
