package fahrbahn.core.program;

import static fahrbahn.core.program.ListingBuilder.NEVER;
import static fahrbahn.core.program.ListingBuilder.number;

import fahrbahn.core.check.Rounding;
import fahrbahn.core.setup.Extent;
import fahrbahn.core.setup.Mixing;
import fahrbahn.core.setup.Polarity;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.setup.TurnMarks;
import java.util.ArrayList;
import java.util.List;

/** What a program does about marks at crossings, as {@link fahrbahn.core.law.MarkTurns} does it: phases with a count that runs down. */
final class MarkListing {
    private static final int DIGITS = 12;
    private static final String LOOK_BACK = "LOOK_BACK";
    private static final String AHEAD = "AHEAD";
    private static final String QUARTER = "QUARTER";
    private static final String MARK_BLANK = "MARK_BLANK";

    private final Setup setup;
    private final TurnMarks marks;
    private final ListingBuilder to;
    private final ColourListing colours;
    private final Countdown phase;

    /** @param inputs gets the channels of both sensors */
    MarkListing(Setup setup, TurnMarks marks, ListingBuilder to, List<String> inputs) {
        this.setup = setup;
        this.marks = marks;
        this.to = to;
        this.phase = new Countdown(to, "count", "SPEED");
        this.colours = new ColourListing(marks.colours(), to, inputs);
    }

    void write() {
        to.note(
                "Coloured marks: phase 0 follows, 1 looks behind the crossing, 2 goes ahead, 3 turns, 4 goes straight, 5 is blind");
        to.state("phase", 0);
        to.state("count", 0);
        to.state("gone_ahead", 0);
        to.state("turn_side", 0);
        to.state("quarters", 0);
        constants();
        for (TurnMarks.Looker looker : List.of(marks.left(), marks.right())) {
            look(looker, looker == marks.left() ? "l" : "r");
        }
        to.set("before", "phase");
        to.when("before == 0 and l_line == 1 and r_line == 1", this::meetCrossing);
        to.when("before == 1", () -> {
            to.set("gone_ahead", "gone_ahead + " + phase.passed(marks.turn().ahead()));
            phase.over(marks.lookBack(), () -> decide(NEVER));
        });
        to.when(
                "before == 2",
                () -> phase.over(marks.turn().ahead(), () -> {
                    to.set("phase", "3");
                    to.set("count", "quarters * " + QUARTER);
                }));
        to.when(
                "before == 3",
                () -> phase.over(marks.turn().quarter(), () -> {
                    to.set("phase", "5");
                    to.set("count", MARK_BLANK);
                    forget();
                }));
        to.when(
                "before == 4 or before == 5",
                () -> phase.over(marks.blank(), () -> {
                    to.set("phase", "0");
                    forget();
                }));
        turn();
    }

    private void constants() {
        // As many digits as anybody can type; what is cut is a millionth of a millimetre over any look back.
        to.markConstant("SPEED", Rounding.significant(setup.speedMmPerS(), DIGITS), "mm/s at the base speed");
        to.markConstant("READS", marks.reads(), "reads in a row that a mark needs");
        extent(LOOK_BACK, marks.lookBack(), "that a mark is looked for");
        extent(AHEAD, marks.turn().ahead(), "straight on before a turn");
        extent(QUARTER, marks.turn().quarter(), "that a quarter turn takes");
        extent(MARK_BLANK, marks.blank(), "blind after a crossing");
        to.markConstant("TURN", marks.turn().command(), "command of the outer wheel in a turn");
        colours.constants();
    }

    private void extent(String name, Extent extent, String words) {
        to.markConstant(name, extent.amount(), extent.unit().word() + " " + words);
    }

    private void turn() {
        boolean inner = setup.robot().drive().mixing() == Mixing.INNER_WHEEL;
        String steering =
                inner ? number(Mixing.INNER_WHEEL.steeringLimit(setup.robot().drive())) : "TURN";
        to.set("turn_steering", "0");
        to.set("turn_base", "BASE");
        to.when("phase == 3", () -> {
            to.set("turn_steering", "turn_side * " + steering);
            to.set("turn_base", inner ? "TURN" : "0");
        });
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
            decide(LOOK_BACK);
        } else {
            forget();
            to.set("phase", "1");
            to.set("count", LOOK_BACK);
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
                    to.set("count", MARK_BLANK);
                },
                () -> {
                    to.set("phase", "2");
                    to.set("count", AHEAD + " - gone_ahead");
                });
        forget();
    }

    private void look(TurnMarks.Looker looker, String side) {
        to.state(side + "_run", 0);
        to.state(side + "_since", Double.parseDouble(NEVER));
        List<String> channels = colours.channels(looker, side);
        colours.taken(channels);
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
        to.set(side + "_since", side + "_since + " + phase.passed(marks.lookBack()));
        to.when(side + "_run >= READS", () -> to.set(side + "_since", "0"));
    }
}
