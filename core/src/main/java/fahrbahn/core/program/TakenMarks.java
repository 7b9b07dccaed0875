package fahrbahn.core.program;

import fahrbahn.core.colour.ColourRule;
import fahrbahn.core.colour.ColourScale;
import fahrbahn.core.colour.ColourSpace;
import fahrbahn.core.setup.Extent;
import fahrbahn.core.setup.TurnMarks;
import java.util.List;

/**
 * What a program does about marks, with its numbers as the robot takes them. Places of colours lie between 0 and 1: a program that tells them
 * apart has fractions, and takes them in thousandths whatever its other numbers are.
 */
final class TakenMarks {
    private static final double PER_ONE = 1000;

    private TakenMarks() {}

    /** @throws fahrbahn.core.check.BadValueException naming the channel, the reach or the surface that nothing is left of */
    static TurnMarks of(TurnMarks marks, Grain grain) {
        TurnMarks.Manoeuvre turn = marks.turn();
        double command = grain.number(turn.command());
        if (command <= 0) {
            throw Taken.lost("the command of a turn", turn.command(), grain);
        }
        return marks.withColours(
                        rounded(marks.colours(), grain), rounded(marks.left(), grain), rounded(marks.right(), grain))
                .withLookBack(rounded(marks.lookBack(), grain))
                .withBlank(rounded(marks.blank(), grain))
                .withTurn(
                        new TurnMarks.Manoeuvre(rounded(turn.ahead(), grain), command, rounded(turn.quarter(), grain)));
    }

    /** One that nothing would be left of stays as it is: a program without fractions counts it in a smaller unit. */
    static Extent rounded(Extent extent, Grain grain) {
        double amount = grain.number(extent.amount());
        return amount > 0 || extent.amount() == 0 ? new Extent(amount, extent.unit()) : extent;
    }

    private static TurnMarks.Looker rounded(TurnMarks.Looker looker, Grain grain) {
        List<Double> dark = looker.scale().dark().stream().map(grain::number).toList();
        List<Double> light = looker.scale().light().stream().map(grain::number).toList();
        for (int i = 0; i < ColourSpace.CHANNELS; i++) {
            if (dark.get(i).equals(light.get(i))) {
                String what = "dark and light of " + looker.sensor() + ", " + ColourSpace.CHANNEL_NAMES.get(i);
                throw Taken.lost(
                        what,
                        looker.scale().light().get(i) - looker.scale().dark().get(i),
                        grain);
            }
        }
        return new TurnMarks.Looker(looker.sensor(), new ColourScale(dark, light));
    }

    private static ColourRule rounded(ColourRule rule, Grain grain) {
        return new ColourRule(
                rule.space(),
                thousandths(rule.metric()),
                rule.known().stream()
                        .map(known ->
                                new ColourRule.Known(known.surface(), thousandths(known.centre()), reach(known, grain)))
                        .toList(),
                rule.cut().map(cut -> rounded(rule, cut, grain)));
    }

    private static ColourRule.Cut rounded(ColourRule rule, ColourRule.Cut cut, Grain grain) {
        List<Double> levels = thousandths(cut.levels());
        for (int i = 1; i < levels.size(); i++) {
            double between = cut.levels().get(i) - cut.levels().get(i - 1);
            if (levels.get(i).equals(levels.get(i - 1)) && between > 0) {
                throw Taken.lost("the values between which it is " + rule.surface(i), between, grain);
            }
        }
        return new ColourRule.Cut(cut.feature(), levels);
    }

    private static List<Double> reach(ColourRule.Known known, Grain grain) {
        List<Double> reach = thousandths(known.reach());
        if (reach.contains(0.0)) {
            throw Taken.lost("the reach of " + known.surface(), known.reach().get(reach.indexOf(0.0)), grain);
        }
        return reach;
    }

    private static List<Double> thousandths(List<Double> values) {
        return values.stream().map(v -> Math.rint(v * PER_ONE) / PER_ONE).toList();
    }
}
