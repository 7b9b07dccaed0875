package fahrbahn.core.marks;

import fahrbahn.core.check.Check;

/**
 * One reading of a colour sensor over a surface whose name is known.
 *
 * @param surface its name, not blank
 * @param capture of which capture it is; empty where that is not known
 */
public record MarkSample(String surface, String capture, double red, double green, double blue) {
    /** The darker and the lighter of the two surfaces that scale the channels, and their border. */
    public static final String DARK = "dark";

    public static final String LIGHT = "light";
    public static final String EDGE = "edge";

    public MarkSample {
        Check.text("surface", surface, "the name of a surface");
        Check.finite("red", red);
        Check.finite("green", green);
        Check.finite("blue", blue);
    }

    /** In the sensor's own numbers. */
    double[] rgb() {
        return new double[] {red, green, blue};
    }

    /** Whether a surface is the table itself and no mark: dark, light and the edge between them. */
    public static boolean ground(String surface) {
        return surface.equals(DARK) || surface.equals(LIGHT) || surface.equals(EDGE);
    }
}
