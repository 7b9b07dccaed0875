package fahrbahn.core.raster;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.colour.Channel;
import fahrbahn.core.setup.Polarity;

/**
 * The surfaces of a table. Which of dark and light is the line, and how wide, the setup says: the same course can be taped
 * either way.
 */
public record Palette(Surface dark, Surface light, Surface mark, Surface entry, Surface stop, Surface crease) {
    /** Our own: matt black and white, marks in violet, a foil strip, a rust-red strip, a glossy fold. */
    public static final Palette USUAL = new Palette(
            new Surface(0.06, 0.06, 0.07),
            new Surface(0.86, 0.85, 0.82),
            new Surface(0.42, 0.20, 0.55),
            Surface.grey(1.25),
            new Surface(0.70, 0.24, 0.10),
            Surface.grey(1.0));

    /** What is painted beside the line and its ground, by the name under which it is captured. */
    public enum Painted {
        MARK("mark"),
        ENTRY("shiny"),
        STOP("stop");

        private final String word;

        Painted(String word) {
            this.word = word;
        }

        public String word() {
            return word;
        }
    }

    public Surface surface(Painted painted) {
        return switch (painted) {
            case MARK -> mark;
            case ENTRY -> entry;
            case STOP -> stop;
        };
    }

    public Palette with(Painted painted, Surface surface) {
        return switch (painted) {
            case MARK -> new Palette(dark, light, surface, entry, stop, crease);
            case ENTRY -> new Palette(dark, light, mark, surface, stop, crease);
            case STOP -> new Palette(dark, light, mark, entry, surface, crease);
        };
    }

    public Palette {
        for (Channel channel : Channel.values()) {
            double below = dark.reflectance(channel);
            double above = light.reflectance(channel);
            if (!(above > below)) {
                throw new BadValueException(
                        "palette.light", above + " in channel " + channel.word(), "above that of dark, " + below);
            }
        }
    }

    /** A surface in units of contrast: 0 the ground, 1 the line. */
    public double contrast(Surface surface, Polarity polarity, Channel channel) {
        boolean darkLine = polarity == Polarity.DARK_ON_LIGHT;
        double ground = (darkLine ? light : dark).reflectance(channel);
        double line = (darkLine ? dark : light).reflectance(channel);
        return (surface.reflectance(channel) - ground) / (line - ground);
    }
}
