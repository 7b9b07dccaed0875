package fahrbahn.core.program;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.tuple;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.Repeated;
import fahrbahn.core.Setups;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.colour.ColourRule;
import fahrbahn.core.colour.ColourScale;
import fahrbahn.core.colour.ColourSpace;
import fahrbahn.core.job.Job;
import fahrbahn.core.law.DrawnLaws;
import fahrbahn.core.program.HandOver.Change;
import fahrbahn.core.review.TwoOnOneTable;
import fahrbahn.core.setup.ErrorSignal;
import fahrbahn.core.setup.Law;
import fahrbahn.core.setup.Options;
import fahrbahn.core.setup.Scale;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.setup.TurnMarks;
import fahrbahn.core.table.Course;
import fahrbahn.core.table.DemoCourses;
import java.time.Instant;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Numbers as the robot's program takes them: which change, by how much, and what that costs on the table. */
class TakenTest extends Repeated {
    private static final Setup PAIR =
            Setups.pair().withLaw(Setups.pair().law().withGains(0.237, 0, 0.854).withBaseCommand(40.4));

    private static double of(Taken taken, String name) {
        return taken.constants().stream()
                .filter(c -> c.name().equals(name))
                .findFirst()
                .orElseThrow()
                .value();
    }

    @Test
    void eachGrainTakesWhatItCan() {
        assertThat(of(Taken.of(PAIR, Grain.ANY), "KP")).isEqualTo(0.237);
        assertThat(of(Taken.of(PAIR, Grain.THREE), "KP")).isEqualTo(0.237);
        assertThat(of(Taken.of(PAIR, Grain.TWO), "KP")).isEqualTo(0.24);
        assertThat(of(Taken.of(PAIR, Grain.ONE), "KD")).isEqualTo(0.9);
        assertThat(of(Taken.of(PAIR, Grain.WHOLE), "BASE")).isEqualTo(40);
        assertThat(of(Taken.of(PAIR, Grain.WHOLE), "KP"))
                .as("nothing is left of it")
                .isZero();
        Taken parts = Taken.of(PAIR, Grain.HUNDREDTHS);
        assertThat(of(parts, "KP")).isEqualTo(0.24);
        assertThat(of(parts, "BASE")).isEqualTo(40);
        assertThat(parts.constants().stream()
                        .filter(ProgramConstant::gain)
                        .mapToDouble(c -> c.typed(Grain.HUNDREDTHS))
                        .boxed())
                .as("typed as hundredths")
                .contains(24.0, 85.0);
    }

    /** No number of a drawn setup moves by more than half a step of its grain, and rounding twice is rounding once. */
    @ParameterizedTest
    @EnumSource
    void roundingIsToTheNearest(Grain grain) {
        Random random = new Random(4);
        double step = switch (grain) {
            case ANY -> 0;
            case THREE -> 0.001;
            case TWO -> 0.01;
            case ONE -> 0.1;
            case HUNDREDTHS, WHOLE -> 1;
        };
        for (int i = 0; i < times(8, 60); i++) {
            Setup setup = PAIR.withLaw(PAIR.law()
                    .withGains(random.nextDouble(), random.nextDouble() / 10, 3 * random.nextDouble())
                    .withBaseCommand(20 + 60 * random.nextDouble()));
            Taken taken = Taken.of(setup, grain);
            for (Taken.Change change : taken.changes()) {
                assertThat(Math.abs(change.taken() - change.set()))
                        .as(change.name())
                        .isLessThanOrEqualTo(step / 2 + 1e-12);
            }
            assertThat(Taken.of(taken.taken(), grain).changes()).isEmpty();
        }
        assertThat(Taken.of(PAIR, Grain.ANY).matters()).isFalse();
    }

    /** Of what is done about marks too; places of colours are taken in thousandths by every program that takes fractions of a kind. */
    @ParameterizedTest
    @EnumSource(mode = EnumSource.Mode.EXCLUDE, names = "ANY")
    void whatIsDoneAboutMarksIsRoundedAsWell(Grain grain) {
        Random random = new Random(9);
        int drawn = 0;
        Set<String> surfaces = new HashSet<>();
        while (drawn < 40) {
            Setup setup = withMarks(random);
            if (stepsWithinOne(setup)) {
                continue; // refused, see below
            }
            drawn++;
            Taken taken = Taken.of(setup, grain);
            for (ProgramConstant constant : taken.constants()) {
                if (constant.part() == ProgramConstant.Part.COLOURS) {
                    double thousandths = constant.value() * 1000;
                    assertThat(thousandths).as(constant.name()).isCloseTo(Math.rint(thousandths), within(1e-6));
                    surfaces.add(constant.words());
                }
            }
            taken.changes().stream()
                    .filter(c -> c.name().startsWith("COLOUR") || c.name().startsWith("WEIGHT"))
                    .forEach(c -> assertThat(Math.abs(c.set() - c.taken()))
                            .as(c.name())
                            .isLessThanOrEqualTo(0.0005 + 1e-12));
            assertThat(taken.constants().stream().map(ProgramConstant::name))
                    .contains("L_RED_DARK", "R_BLUE_LIGHT", "QUARTER")
                    .containsAnyOf("COLOUR_0_0", "COLOUR_LEVEL_0");
            assertThat(of(taken, "L_GREEN_DARK"))
                    .isEqualTo(grain.number(setup.law()
                            .options()
                            .turnMarks()
                            .orElseThrow()
                            .left()
                            .scale()
                            .dark()
                            .get(1)));
            assertThat(Taken.of(taken.taken(), grain).changes()).isEmpty();
        }
        assertThat(surfaces)
                .contains("mark: share of red", "mark: towards green", "weight of a distance")
                .anyMatch(words -> words.endsWith(": dark below it, mark from it on"));
    }

    private static boolean stepsWithinOne(Setup setup) {
        List<Options.Step> steps = setup.law().options().steps();
        return IntStream.range(1, steps.size())
                .anyMatch(i -> steps.get(i).aboveError() - steps.get(i - 1).aboveError() < 1);
    }

    private static Setup withMarks(Random random) {
        Setup setup = DrawnLaws.drawn(random, ErrorSignal.PAIR);
        while (setup.law().options().turnMarks().isEmpty()
                || setup.robot().drive().fullCommand() < 100) {
            setup = DrawnLaws.drawn(random, ErrorSignal.PAIR);
        }
        return setup;
    }

    private static Setup withColours(Setup setup, ColourRule colours) {
        TurnMarks marks = setup.law().options().turnMarks().orElseThrow();
        return setup.withLaw(setup.law()
                .withOptions(setup.law()
                        .options()
                        .withTurnMarks(Optional.of(marks.withColours(colours, marks.left(), marks.right())))));
    }

    /** One level for each two neighbours on the one channel that counts: nobody types numbers of channels that do not. */
    @Test
    void coloursThatOneChannelTellsAreAFewLevels() {
        Setup setup = withMarks(new Random(11));
        List<String> surfaces = List.of("dark", "mark", "light");
        ColourRule.Cut cut = new ColourRule.Cut(1, List.of(0.21234, 0.6));
        Taken taken = Taken.of(withColours(setup, new ColourRule(ColourSpace.SCALED, cut, surfaces)), Grain.TWO);
        assertThat(taken.constants())
                .filteredOn(c -> c.part() == ProgramConstant.Part.COLOURS)
                .extracting(ProgramConstant::name, ProgramConstant::value, ProgramConstant::words)
                .containsExactly(
                        tuple("COLOUR_LEVEL_0", 0.212, "green: dark below it, mark from it on"),
                        tuple("COLOUR_LEVEL_1", 0.6, "green: mark below it, light from it on"));
        ColourRule narrow =
                new ColourRule(ColourSpace.SCALED, new ColourRule.Cut(1, List.of(0.21234, 0.21241)), surfaces);
        assertThatThrownBy(() -> Taken.of(withColours(setup, narrow), Grain.TWO))
                .hasMessageContaining("the values between which it is mark");
    }

    @Test
    void aChannelThatNothingIsLeftOfIsRefused() {
        Setup setup = withMarks(new Random(10));
        TurnMarks marks = setup.law().options().turnMarks().orElseThrow();
        TurnMarks.Looker dim = new TurnMarks.Looker(
                marks.left().sensor(), new ColourScale(List.of(5.0, 5.1, 5.0), List.of(90.0, 5.3, 90.0)));
        Setup faint = setup.withLaw(setup.law()
                .withOptions(setup.law()
                        .options()
                        .withTurnMarks(Optional.of(marks.withColours(marks.colours(), dim, marks.right())))));
        assertThatThrownBy(() -> Taken.of(faint, Grain.WHOLE)).hasMessageContaining("colour left, green");
        Setup slow = setup.withLaw(setup.law()
                .withOptions(setup.law()
                        .options()
                        .withTurnMarks(Optional.of(marks.withTurn(new TurnMarks.Manoeuvre(
                                marks.turn().ahead(), 0.2, marks.turn().quarter()))))));
        assertThatThrownBy(() -> Taken.of(slow, Grain.WHOLE)).hasMessageContaining("command of a turn");
    }

    /** Whether a raw reading lies on the line is judged by dark and light: what rests on it is typed, and rounded as it is typed. */
    @Test
    void rawNumbersOfWhoSeesTheLineAreTyped() {
        Law raw = PAIR.law().withScale(Scale.RAW);
        assertThat(names(PAIR.withLaw(raw))).doesNotContain("DARK_0", "LIGHT_1");
        Setup careful = PAIR.withLaw(raw.withOptions(
                Options.PLAIN.withLost(new Options.LostLine(Options.LostLine.Action.LAST_SIDE, 0.3, 40, 0))));
        assertThat(names(careful)).contains("DARK_0", "LIGHT_0", "DARK_1", "LIGHT_1");
        Setup fine = careful.withRobot(
                careful.robot().withSensor(0, careful.robot().sensors().get(0).withSurfaces(9.37, 81.44, 0.5)));
        assertThat(of(Taken.of(fine, Grain.WHOLE), "LIGHT_0")).isEqualTo(81.0);
        assertThat(Taken.of(fine, Grain.WHOLE).taken().robot().sensors().get(0).dark())
                .isEqualTo(9.0);
    }

    private static List<String> names(Setup setup) {
        return Taken.of(setup, Grain.ANY).constants().stream()
                .map(ProgramConstant::name)
                .toList();
    }

    @Test
    void whatNothingIsLeftOfIsRefused() {
        Sensor bright = new Sensor("bright", 55, 0, 3.4, 0.62, 0.81, 0.004, 0.01);
        Setup unit = Setups.edge().withRobot(Setups.edge().robot().withSensors(List.of(bright)));
        assertThatThrownBy(() -> Taken.of(unit, Grain.WHOLE))
                .isInstanceOf(BadValueException.class)
                .hasMessageContaining("dark and light of bright")
                .hasMessageContaining("whole numbers");
        assertThat(Taken.of(unit, Grain.TWO).changes()).isEmpty();
        Setup graded = PAIR.withLaw(PAIR.law()
                .withOptions(
                        Options.PLAIN.withSteps(List.of(new Options.Step(0.2, 10), new Options.Step(0.4, 20)), 0)));
        assertThatThrownBy(() -> Taken.of(graded, Grain.WHOLE))
                .hasMessageContaining("the error from step 1 to step 2 is 0.2")
                .hasMessageContaining("whole numbers");
        Setup slow = PAIR.withLaw(PAIR.law().withBaseCommand(0.3));
        assertThatThrownBy(() -> Taken.of(slow, Grain.HUNDREDTHS)).hasMessageContaining("base speed");
    }

    /** Without a change both drive the same runs; without any gain left no run comes round. */
    @Test
    void theCostIsWhatTheTwinSees() {
        Course table = DemoCourses.workshopLoop();
        TwoOnOneTable none = RoundingCost.drive(table, Taken.of(PAIR, Grain.ANY), Job.UNWATCHED);
        assertThat(none.chance().size()).isZero();
        assertThat(none.timeS().size()).isCloseTo(0, within(1e-9));
        TwoOnOneTable lost = RoundingCost.drive(
                table, Taken.of(PAIR.withLaw(PAIR.law().withGains(0.237, 0, 0.4)), Grain.WHOLE), Job.UNWATCHED);
        assertThat(lost.chance().a()).isGreaterThan(0.9);
        assertThat(lost.chance().b()).isLessThan(0.05);
        assertThat(lost.chance().shown()).isTrue();
    }

    /** What is to be typed anew is what differs, and nothing else. */
    @Test
    void whatDiffersFromTheLastHandOver() {
        HandOver last = HandOver.of(Instant.EPOCH, Taken.of(PAIR, Grain.TWO));
        assertThat(last.since(Taken.of(PAIR, Grain.TWO))).isEmpty();
        Setup other = PAIR.withLaw(PAIR.law().withGains(0.31, 0, 0.854));
        assertThat(last.since(Taken.of(other, Grain.TWO))).containsExactly(new Change("KP", 0.24, 0.31));
        assertThat(last.since(Taken.of(PAIR.withLaw(PAIR.law().withGains(0.2371, 0, 0.854)), Grain.TWO)))
                .as("too little to be typed")
                .isEmpty();
        Setup edge = PAIR.withLaw(PAIR.law().withSignal(fahrbahn.core.setup.ErrorSignal.EDGE));
        assertThat(last.since(Taken.of(edge, Grain.TWO)))
                .as("a target is new, the second sensor's levels are gone")
                .anyMatch(c -> c.name().equals("TARGET") && Double.isNaN(c.before()))
                .anyMatch(c -> c.name().equals("DARK_1") && Double.isNaN(c.now()));
    }
}
