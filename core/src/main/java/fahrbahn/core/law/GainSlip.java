package fahrbahn.core.law;

import java.util.Arrays;
import java.util.Optional;

/**
 * A gain that lies ten or a hundred times beside what others say of it: a slipped decimal point, or a gain for another scale.
 *
 * @param times how many times as large as the largest of the others, or as the smallest where it is less
 * @param other that one
 */
public record GainSlip(double times, double other) {
    /** As far as no two ways to set a gain of one robot lie apart. */
    private static final double FAR_OFF = 8;

    /** @param others what else is said of this gain; those that are nothing or unknown do not count */
    public static Optional<GainSlip> of(double typed, double... others) {
        double[] said = Arrays.stream(others)
                .map(Math::abs)
                .filter(other -> other > 0 && Double.isFinite(other))
                .toArray();
        double size = Math.abs(typed);
        if (said.length == 0 || !(size > 0)) {
            return Optional.empty();
        }
        double most = Arrays.stream(said).max().orElseThrow();
        double least = Arrays.stream(said).min().orElseThrow();
        if (size >= FAR_OFF * most) {
            return Optional.of(new GainSlip(size / most, most));
        }
        return size <= least / FAR_OFF ? Optional.of(new GainSlip(size / least, least)) : Optional.empty();
    }
}
