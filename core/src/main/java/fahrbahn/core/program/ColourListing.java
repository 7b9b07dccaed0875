package fahrbahn.core.program;

import static fahrbahn.core.program.ListingBuilder.NEVER;
import static fahrbahn.core.program.ListingBuilder.number;

import fahrbahn.core.colour.ColourRule;
import fahrbahn.core.colour.ColourSpace;
import fahrbahn.core.setup.TurnMarks;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** What surface a program takes a colour for, as {@link ColourRule} and {@link ColourSpace} say it, with its numbers as constants. */
final class ColourListing {
    private static final int P = ColourSpace.CHANNELS;

    private final ColourRule rule;
    private final ListingBuilder to;
    private final List<String> inputs;

    /** @param inputs gets the channels of what is looked with */
    ColourListing(ColourRule rule, ListingBuilder to, List<String> inputs) {
        this.rule = rule;
        this.to = to;
        this.inputs = inputs;
    }

    /** The levels, or the places of the surfaces, their reaches or the metric; those of a sensor come with its {@link #channels}. */
    void constants() {
        rule.cut().ifPresentOrElse(this::levels, this::places);
    }

    private void levels(ColourRule.Cut cut) {
        for (int i = 0; i < cut.levels().size(); i++) {
            to.colourConstant(
                    level(i),
                    cut.levels().get(i),
                    rule.space().feature(cut.feature()) + ": " + rule.surface(i) + " below it, " + rule.surface(i + 1)
                            + " from it on");
        }
    }

    private void places() {
        List<ColourRule.Known> known = rule.known();
        for (int k = 0; k < known.size(); k++) {
            ColourRule.Known one = known.get(k);
            for (int i = 0; i < P; i++) {
                to.colourConstant(
                        centre(k, i),
                        one.centre().get(i),
                        one.surface() + ": " + rule.space().feature(i));
            }
            for (int i = 0; i < one.reach().size(); i++) {
                to.colourConstant(
                        reach(k, i),
                        one.reach().get(i),
                        one.surface() + ": how far from it, " + rule.space().feature(i));
            }
        }
        for (int j = 0; j < rule.metric().size(); j++) {
            to.colourConstant(metric(j), rule.metric().get(j), "weight of a distance");
        }
    }

    private static String level(int i) {
        return "COLOUR_LEVEL_" + i;
    }

    private static String centre(int surface, int i) {
        return "COLOUR_" + surface + "_" + i;
    }

    private static String reach(int surface, int i) {
        return "REACH_" + surface + "_" + i;
    }

    private static String metric(int j) {
        return "WEIGHT_" + j;
    }

    /** Sets the scaled channels of a sensor. @param side its letter @return their names */
    List<String> channels(TurnMarks.Looker looker, String side) {
        List<String> channels = new ArrayList<>();
        for (int i = 0; i < P; i++) {
            String name = ColourSpace.CHANNEL_NAMES.get(i);
            String upper = (side + "_" + name).toUpperCase(Locale.ROOT);
            String on = looker.sensor() + ": " + name + " on ";
            String dark = to.markConstant(upper + "_DARK", looker.scale().dark().get(i), on + "dark");
            String light =
                    to.markConstant(upper + "_LIGHT", looker.scale().light().get(i), on + "light");
            channels.add(side + "_" + name);
            to.set(
                    channels.get(i),
                    "(readings[" + inputs.size() + "] - " + dark + ") / (" + light + " - " + dark + ")");
            inputs.add(looker.sensor() + "." + name);
        }
        return channels;
    }

    /**
     * Sets {@code taken}: which of the known surfaces it is, the one between whose levels it lies, the nearest, or where they have borders the one it is
     * deepest in.
     */
    void taken(List<String> channels) {
        features(channels);
        rule.cut().ifPresentOrElse(this::between, this::nearest);
    }

    private void between(ColourRule.Cut cut) {
        to.set("taken", "0");
        for (int i = 0; i < cut.levels().size(); i++) {
            String next = String.valueOf(i + 1);
            to.when("f" + cut.feature() + " >= " + level(i), () -> to.set("taken", next));
        }
    }

    private void nearest() {
        List<ColourRule.Known> known = rule.known();
        boolean bordered = !known.get(0).reach().isEmpty();
        to.set("taken", "-1");
        to.set("least", bordered ? "1" : NEVER);
        for (int k = 0; k < known.size(); k++) {
            String surface = String.valueOf(k);
            to.set("away", bordered ? furthest(k) : distance(k));
            to.when(bordered ? "away <= least" : "away < least", () -> {
                to.set("least", "away");
                to.set("taken", surface);
            });
        }
    }

    /** Into f0, f1, f2, channels that do not matter left out: see {@link ColourSpace}. */
    private void features(List<String> channels) {
        ColourSpace space = rule.space();
        if (space == ColourSpace.SCALED) {
            for (int i = 0; i < P; i++) {
                int channel = i;
                if (rule.cut().map(cut -> cut.feature() == channel).orElse(true)) {
                    to.set("f" + i, channels.get(i));
                }
            }
            return;
        }
        if (space == ColourSpace.SUM) {
            to.set("f0", "(" + String.join(" + ", channels) + ") / 3.0");
            to.set("f1", "0");
            to.set("f2", "0");
            return;
        }
        for (int i = 0; i < P; i++) {
            to.set("c" + i, "max(0.0, " + channels.get(i) + ")");
        }
        if (space == ColourSpace.SHARES) {
            to.set("sum", "c0 + c1 + c2");
            for (int i = 0; i < P; i++) {
                int channel = i;
                to.set("f" + i, "1.0 / 3.0");
                to.when("sum > " + ColourSpace.LEAST_SUM, () -> to.set("f" + channel, "c" + channel + " / sum"));
            }
            return;
        }
        to.set("most", "max(c0, max(c1, c2))");
        to.set("range", "most - min(c0, min(c1, c2))");
        to.set("hue", "0");
        String sextant = number(Math.PI / 3);
        to.when(
                "range > 0",
                () -> to.when(
                        "most == c0",
                        () -> to.set("hue", sextant + " * ((c1 - c2) / range)"),
                        () -> to.when(
                                "most == c1",
                                () -> to.set("hue", sextant + " * ((c2 - c0) / range + 2)"),
                                () -> to.set("hue", sextant + " * ((c0 - c1) / range + 4)"))));
        to.set("radius", "range");
        if (space == ColourSpace.CYLINDER) {
            to.when("most > 0", () -> to.set("radius", "range / most"), () -> to.set("radius", "0"));
        }
        to.set("f0", "radius * cos(hue)");
        to.set("f1", "radius * sin(hue)");
        to.set("f2", "most");
    }

    private static String off(int surface, int i) {
        return "(f" + i + " - " + centre(surface, i) + ")";
    }

    private static String furthest(int surface) {
        String furthest = "";
        for (int i = 0; i < P; i++) {
            String one = "abs(" + off(surface, i) + ") / " + reach(surface, i);
            furthest = i == 0 ? one : "max(" + furthest + ", " + one + ")";
        }
        return furthest;
    }

    private String distance(int surface) {
        boolean plain = rule.metric().isEmpty();
        List<String> parts = new ArrayList<>();
        for (int i = 0; i < P; i++) {
            for (int j = 0; j < P; j++) {
                if (plain && i == j) {
                    parts.add(off(surface, i) + " * " + off(surface, i));
                } else if (!plain) {
                    int row = Math.max(i, j);
                    String weight = metric(row * (row + 1) / 2 + Math.min(i, j));
                    parts.add(off(surface, i) + " * " + weight + " * " + off(surface, j));
                }
            }
        }
        return String.join(" + ", parts);
    }
}
