package fahrbahn.core.maps;

import fahrbahn.core.check.Check;

/**
 * One axis of a map: values evenly spread between two ends.
 *
 * @param low value of the first cell
 * @param high value of the last cell, above {@code low}
 * @param cells 2 to 256
 */
public record Axis(double low, double high, int cells) {
    public Axis {
        Check.finite("low", low);
        Check.require(high > low && Double.isFinite(high), "high", high, "above the low end, " + low);
        Check.between("cells", cells, 2, 256);
    }

    public double value(int cell) {
        return low + (high - low) * cell / (cells - 1);
    }
}
