package fahrbahn.core.marks;

import java.util.Map;

/** A way to tell colours apart, as coaches have them. */
public enum MarkSchool {
    /** Nearest mean in scaled channels. */
    SCALED_CENTRES("scaled-centres", MarkSpace.SCALED) {
        @Override
        MarkClassifier learn(Map<String, Moments> surfaces) {
            return NearestCentre.of(surfaces);
        }
    },
    /** Nearest mean in the cylinder of hue, saturation and value. */
    CYLINDER_CENTRES("cylinder-centres", MarkSpace.CYLINDER) {
        @Override
        MarkClassifier learn(Map<String, Moments> surfaces) {
            return NearestCentre.of(surfaces);
        }
    },
    /** Nearest mean in the cone of hue, chroma and value. */
    CONE_CENTRES("cone-centres", MarkSpace.CONE) {
        @Override
        MarkClassifier learn(Map<String, Moments> surfaces) {
            return NearestCentre.of(surfaces);
        }
    },
    /** Nearest mean by the readings' own scatter. */
    COVARIANCE("covariance", MarkSpace.SCALED) {
        @Override
        MarkClassifier learn(Map<String, Moments> surfaces) {
            return NearestByScatter.of(surfaces);
        }
    },
    /** All channels within a tolerance of a mark's mean. */
    BOX("box", MarkSpace.SCALED) {
        @Override
        MarkClassifier learn(Map<String, Moments> surfaces) {
            return Boxes.of(surfaces);
        }
    },
    /** One channel cut by levels. */
    ONE_CHANNEL("one-channel", MarkSpace.SCALED) {
        @Override
        MarkClassifier learn(Map<String, Moments> surfaces) {
            return OneFeature.of(surfaces);
        }
    },
    /** The share of one channel cut by levels. */
    ONE_SHARE("one-share", MarkSpace.SHARES) {
        @Override
        MarkClassifier learn(Map<String, Moments> surfaces) {
            return OneFeature.of(surfaces);
        }
    };

    private final String word;
    private final MarkSpace space;

    MarkSchool(String word, MarkSpace space) {
        this.word = word;
        this.space = space;
    }

    /** Its name in files. */
    public String word() {
        return word;
    }

    public MarkSpace space() {
        return space;
    }

    /** @param surfaces by name; those without a point are passed over */
    abstract MarkClassifier learn(Map<String, Moments> surfaces);
}
