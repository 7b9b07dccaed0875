package fahrbahn.core.program;

import static fahrbahn.core.program.ListingBuilder.NEVER;
import static fahrbahn.core.program.ListingBuilder.number;

import fahrbahn.core.colour.ColourRule;
import fahrbahn.core.colour.ColourSpace;
import fahrbahn.core.setup.Extent;
import fahrbahn.core.setup.Mixing;
import fahrbahn.core.setup.Polarity;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.setup.TurnMarks;
import java.util.ArrayList;
import java.util.List;

/** What a program does about marks at crossings, as {@link fahrbahn.core.law.MarkTurns} does it: phases with a count that runs down. */
final class MarkListing {
    private static final int P = ColourSpace.CHANNELS;

    /** Darker than a twentieth of the way from dark to light, shares are noise. */
    private static final double LEAST_SUM = 0.15;

    private final Setup setup;
    private final TurnMarks marks;
    private final ListingBuilder to;
    private final List<String> inputs;

    /** @param inputs gets the channels of both sensors */
    MarkListing(Setup setup, TurnMarks marks, ListingBuilder to, List<String> inputs) {
        this.setup = setup;
        this.marks = marks;
        this.to = to;
        this.inputs = inputs;
    }

    void write() {
        to.note(
                "Coloured marks: phase 0 follows, 1 looks behind the crossing, 2 goes ahead, 3 turns, 4 goes straight, 5 is blind");
        to.state("phase", 0);
        to.state("count", 0);
        to.state("gone_ahead", 0);
        to.state("turn_side", 0);
        to.state("quarters", 0);
        to.constant("SPEED", setup.speedMmPerS(), "mm/s at the base command");
        to.constant("READS", marks.reads(), "reads in a row that a mark needs");
        for (TurnMarks.Looker looker : List.of(marks.left(), marks.right())) {
            look(looker, looker == marks.left() ? "l" : "r");
        }
        to.set("before", "phase");
        to.when("before == 0 and l_line == 1 and r_line == 1", this::meetCrossing);
        to.when("before == 1", () -> {
            to.set("gone_ahead", "gone_ahead + " + passed(marks.turn().ahead()));
            over(marks.lookBack(), () -> decide(NEVER));
        });
        to.when(
                "before == 2",
                () -> over(marks.turn().ahead(), () -> {
                    to.set("phase", "3");
                    to.set(
                            "count",
                            "quarters * " + number(marks.turn().quarter().amount()));
                }));
        to.when(
                "before == 3",
                () -> over(marks.turn().quarter(), () -> {
                    to.set("phase", "5");
                    to.set("count", number(marks.blank().amount()));
                    forget();
                }));
        to.when(
                "before == 4 or before == 5",
                () -> over(marks.blank(), () -> {
                    to.set("phase", "0");
                    forget();
                }));
        turn();
    }

    private void turn() {
        boolean inner = setup.robot().drive().mixing() == Mixing.INNER_WHEEL;
        double command = marks.turn().command();
        double steering = inner ? Mixing.INNER_WHEEL.steeringLimit(setup.robot().drive()) : command;
        to.set("turn_steering", "0");
        to.set("turn_base", "BASE");
        to.when("phase == 3", () -> {
            to.set("turn_steering", "turn_side * " + number(steering));
            to.set("turn_base", number(inner ? command : 0));
        });
    }

    /** How much of an extent passes in a tick. */
    private static String passed(Extent extent) {
        return switch (extent.unit()) {
            case LOOPS -> "1";
            case MS -> "1000 * seconds";
            case MM -> "SPEED * seconds";
        };
    }

    private void over(Extent counted, Runnable then) {
        to.set("count", "count - " + passed(counted));
        to.when("count <= 0", then);
    }

    private void forget() {
        for (String side : List.of("l", "r")) {
            to.set(side + "_run", "0");
            to.set(side + "_since", NEVER);
        }
    }

    private void meetCrossing() {
        to.set("gone_ahead", "0");
        if (marks.place() == TurnMarks.Place.BEFORE) {
            decide(number(marks.lookBack().amount()));
        } else {
            forget();
            to.set("phase", "1");
            to.set("count", number(marks.lookBack().amount()));
        }
    }

    /** @param longestAgo a mark counts when it was last seen no longer ago */
    private void decide(String longestAgo) {
        for (String side : List.of("l", "r")) {
            to.set(side + "_counts", "0");
            to.when(
                    side + "_since <= " + longestAgo + " and " + side + "_since < " + NEVER,
                    () -> to.set(side + "_counts", "1"));
        }
        to.set("turn_side", "1");
        to.when("r_counts == 1 and l_counts == 0", () -> to.set("turn_side", "-1"));
        to.set("quarters", "1");
        to.when("l_counts == 1 and r_counts == 1", () -> to.set("quarters", "2"));
        to.when(
                "l_counts == 0 and r_counts == 0",
                () -> {
                    to.set("phase", "4");
                    to.set("count", number(marks.blank().amount()));
                },
                () -> {
                    to.set("phase", "2");
                    to.set("count", number(marks.turn().ahead().amount()) + " - gone_ahead");
                });
        forget();
    }

    private void look(TurnMarks.Looker looker, String side) {
        to.state(side + "_run", 0);
        to.state(side + "_since", Double.parseDouble(NEVER));
        String[] channels = new String[P];
        for (int i = 0; i < P; i++) {
            String name = ColourSpace.CHANNEL_NAMES.get(i);
            double dark = looker.scale().dark().get(i);
            double light = looker.scale().light().get(i);
            channels[i] = side + "_" + name;
            to.set(
                    channels[i],
                    "(readings[" + inputs.size() + "] - " + number(dark) + ") / (" + number(light) + " - "
                            + number(dark) + ")");
            inputs.add(looker.sensor() + "." + name);
        }
        features(channels);
        taken();
        to.set(side + "_line", "0");
        boolean dark = setup.line().polarity() == Polarity.DARK_ON_LIGHT;
        List<String> onLine = new ArrayList<>();
        for (String channel : channels) {
            onLine.add((dark ? "1 - " + channel : channel) + " >= 0.5");
        }
        to.when(
                "taken == " + marks.colours().indexOf(marks.mark()),
                () -> to.set(side + "_run", side + "_run + 1"),
                () -> {
                    to.set(side + "_run", "0");
                    to.when(String.join(" and ", onLine), () -> to.set(side + "_line", "1"));
                });
        to.set(side + "_since", side + "_since + " + passed(marks.lookBack()));
        to.when(side + "_run >= READS", () -> to.set(side + "_since", "0"));
    }

    /** Into f0, f1, f2: see {@link ColourSpace}. */
    private void features(String[] channels) {
        ColourSpace space = marks.colours().space();
        if (space == ColourSpace.SCALED) {
            for (int i = 0; i < P; i++) {
                to.set("f" + i, channels[i]);
            }
            return;
        }
        for (int i = 0; i < P; i++) {
            to.set("c" + i, "max(0.0, " + channels[i] + ")");
        }
        if (space == ColourSpace.SHARES) {
            to.set("sum", "c0 + c1 + c2");
            for (int i = 0; i < P; i++) {
                int channel = i;
                to.set("f" + i, "1.0 / 3.0");
                to.when("sum > " + LEAST_SUM, () -> to.set("f" + channel, "c" + channel + " / sum"));
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

    /** Which of the known surfaces it is: the nearest, or where they have borders the one it is deepest in. */
    private void taken() {
        List<ColourRule.Known> known = marks.colours().known();
        boolean bordered = !known.get(0).reach().isEmpty();
        to.set("taken", "-1");
        to.set("least", bordered ? "1" : NEVER);
        for (int k = 0; k < known.size(); k++) {
            String surface = String.valueOf(k);
            to.set("away", bordered ? furthest(known.get(k)) : distance(known.get(k)));
            to.when(bordered ? "away <= least" : "away < least", () -> {
                to.set("least", "away");
                to.set("taken", surface);
            });
        }
    }

    private static String off(ColourRule.Known known, int i) {
        return "(f" + i + " - " + number(known.centre().get(i)) + ")";
    }

    private static String furthest(ColourRule.Known known) {
        String furthest = "";
        for (int i = 0; i < P; i++) {
            String one = "abs(" + off(known, i) + ") / " + number(known.reach().get(i));
            furthest = i == 0 ? one : "max(" + furthest + ", " + one + ")";
        }
        return furthest;
    }

    private String distance(ColourRule.Known known) {
        List<Double> metric = marks.colours().metric();
        List<String> parts = new ArrayList<>();
        for (int i = 0; i < P; i++) {
            for (int j = 0; j < P; j++) {
                if (metric.isEmpty() && i == j) {
                    parts.add(off(known, i) + " * " + off(known, i));
                } else if (!metric.isEmpty()) {
                    int row = Math.max(i, j);
                    double weight = metric.get(row * (row + 1) / 2 + Math.min(i, j));
                    parts.add(off(known, i) + " * " + number(weight) + " * " + off(known, j));
                }
            }
        }
        return String.join(" + ", parts);
    }
}
