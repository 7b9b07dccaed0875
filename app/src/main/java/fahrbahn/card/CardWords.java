package fahrbahn.card;

import fahrbahn.card.PitCard.Line;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.check.Rounding;
import fahrbahn.core.colour.ColourRule;
import fahrbahn.core.program.Grain;
import fahrbahn.core.program.HandOver;
import fahrbahn.core.program.ProgramConstant;
import fahrbahn.core.program.Taken;
import fahrbahn.core.setup.Law;
import fahrbahn.core.setup.Options.LostLine;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.tuning.LanePicture;
import fahrbahn.words.SignWords;
import fahrbahn.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/** Writes a {@link PitCard}. */
public final class CardWords {
    /** A step that is seen on the table and undoes nothing: a fifth. */
    private static final double LESS = 0.8;

    private static final double MORE = 1.2;

    /** Slower by so much, bends and wiggles get room both. */
    private static final double SLOWER = 0.85;

    /** Kp stays below this share of wiggle onset (Ziegler and Nichols 1942 take 0.45 to start with). */
    private static final double MOST_OF_ONSET = 0.7;

    private static final List<String> CAUTIONS = List.of(
            "Fingers, hair and sleeves away from wheels, gears and arms when a program starts.",
            "A hand ready at the table's edge; motors off while you measure.",
            "LiPos: charge where you can see them, in a fireproof bag; never a swollen pack.",
            "The venue's rules and local codes come first.");

    private CardWords() {}

    /**
     * @param whose team, table and venue, as far as they are known
     * @param when the card was made
     * @param last what was handed over before; empty when nothing was
     * @param stale what does not hold any more, and since what
     */
    public static PitCard card(Taken taken, String whose, String when, Optional<HandOver> last, List<String> stale) {
        Setup setup = taken.taken();
        Optional<LanePicture> lane = lane(setup);
        Set<String> changed = last.map(
                        h -> h.since(taken).stream().map(HandOver.Change::name).collect(Collectors.toSet()))
                .orElse(Set.of());
        return new PitCard(
                new PitCard.Heading(setup.robot().name(), whose, when),
                numbers(taken, changed, true),
                new PitCard.Marks(
                        numbers(taken, changed, false),
                        setup.law()
                                .options()
                                .turnMarks()
                                .map(marks -> colours(marks.colours()))
                                .orElse("")),
                taken.grain() == Grain.ANY ? "" : "rounded to " + taken.grain().words(),
                "BASE is " + Words.number(setup.speedMmPerS()) + " mm/s on the table",
                SignWords.turns(setup).stream()
                        .map(t -> new Line(t.held(), "turns " + t.turns()))
                        .toList(),
                faults(taken, lane),
                stale,
                CAUTIONS,
                lane);
    }

    private static List<PitCard.Number> numbers(Taken taken, Set<String> changed, boolean ofLaw) {
        return taken.constants().stream()
                .filter(c -> (c.part() == ProgramConstant.Part.LAW) == ofLaw)
                .map(c -> new PitCard.Number(
                        c.name(), typed(c, taken.grain()), words(c, taken.grain()), changed.contains(c.name())))
                .toList();
    }

    private static String colours(ColourRule rule) {
        String which = IntStream.range(0, rule.known().size())
                .mapToObj(i -> i + " is " + rule.surface(i))
                .collect(Collectors.joining(", "));
        return which
                + rule.cut()
                        .map(cut -> ", by " + rule.space().feature(cut.feature()))
                        .orElse("");
    }

    private static Optional<LanePicture> lane(Setup setup) {
        try {
            return Optional.of(LanePicture.of(setup));
        } catch (BadValueException noTheory) {
            return Optional.empty();
        }
    }

    /** As it is typed into the program. */
    public static String typed(ProgramConstant constant, Grain grain) {
        double value = constant.typed(grain);
        return grain == Grain.ANY ? Words.number(value, 4) : Words.exact(value);
    }

    private static String words(ProgramConstant constant, Grain grain) {
        return constant.gain() && grain.gainsInParts() ? constant.words() + ", in hundredths" : constant.words();
    }

    private static List<Line> faults(Taken taken, Optional<LanePicture> lane) {
        Setup setup = taken.taken();
        Law law = setup.law();
        boolean gains = law.steering() == Law.Steering.GAINS;
        String slower = "BASE " + number(taken.grain().number(SLOWER * law.baseCommand()));
        List<Line> faults = new ArrayList<>();
        if (gains) {
            faults.add(new Line("It wiggles", wiggles(taken, law) + "; still there: " + slower));
            faults.add(new Line("It leaves the bends", leaves(taken, law, lane) + slower));
        } else {
            faults.add(new Line("It wiggles or leaves the bends", slower));
        }
        faults.add(new Line("It turns away at once", "sensors swapped, or a sign: hold it by hand as above"));
        faults.add(
                new Line("It drifts to one side", "light and dark changed: capture both again, type DARK and LIGHT"));
        faults.add(new Line("It got slower, or soft", "the battery: swap it, then one slow run"));
        if (law.options().lost().action() == LostLine.Action.NONE) {
            faults.add(new Line("It loses the line in a gap", slower + ", and start it straight"));
        }
        if (law.options().obstacle().isPresent()) {
            faults.add(new Line(
                    "It misses the line behind an obstacle",
                    "the battery: turns are timed for a usual one; then O_TURN a tenth less"));
        }
        if (law.options().turnMarks().isPresent()) {
            faults.add(new Line("It misses a mark", "capture the marks again under these lamps; slower: " + slower));
        }
        return faults;
    }

    private static String wiggles(Taken taken, Law law) {
        String less = gain("KP", LESS * law.kp(), taken.grain());
        return law.kd() == 0 ? less + ", or " + gain("KD", law.kp(), taken.grain()) : less;
    }

    /** More Kp where the lane has room for it; nothing but slower where it has none. */
    private static String leaves(Taken taken, Law law, Optional<LanePicture> lane) {
        double more = MORE * law.kp();
        double room = lane.flatMap(LanePicture::wiggleKp)
                .map(kp -> MOST_OF_ONSET * kp)
                .orElse(Double.POSITIVE_INFINITY);
        return more <= room ? gain("KP", more, taken.grain()) + "; still there: " : "no room for more KP: ";
    }

    private static String gain(String name, double value, Grain grain) {
        ProgramConstant constant =
                new ProgramConstant(name, grain.gain(Rounding.significant(value, 3)), "", ProgramConstant.Part.LAW);
        return name + " " + typed(constant, grain);
    }

    private static String number(double value) {
        return Words.number(value);
    }
}
