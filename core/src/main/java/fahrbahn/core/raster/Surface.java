package fahrbahn.core.raster;

import fahrbahn.core.check.Check;
import fahrbahn.core.colour.Channel;

/** How much light a surface sends back, 0 to 1 of white paper in each channel; above 1 where it shines. At most 3. */
public record Surface(double red, double green, double blue) {
    /** No surface shines brighter. */
    public static final double MOST = 3;

    public Surface {
        Check.between("red", red, 0, MOST);
        Check.between("green", green, 0, MOST);
        Check.between("blue", blue, 0, MOST);
    }

    public static Surface grey(double reflectance) {
        return new Surface(reflectance, reflectance, reflectance);
    }

    public double reflectance(Channel channel) {
        return switch (channel) {
            case ALL -> (red + green + blue) / 3;
            case RED -> red;
            case GREEN -> green;
            case BLUE -> blue;
        };
    }
}
