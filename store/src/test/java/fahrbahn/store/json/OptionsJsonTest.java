package fahrbahn.store.json;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import fahrbahn.core.colour.Channel;
import fahrbahn.core.colour.ColourRule;
import fahrbahn.core.colour.ColourScale;
import fahrbahn.core.colour.ColourSpace;
import fahrbahn.core.difference.Aspect;
import fahrbahn.core.difference.Cause;
import fahrbahn.core.difference.SetupDifference;
import fahrbahn.core.setup.Chassis;
import fahrbahn.core.setup.Drive;
import fahrbahn.core.setup.ErrorSignal;
import fahrbahn.core.setup.Extent;
import fahrbahn.core.setup.Law;
import fahrbahn.core.setup.Line;
import fahrbahn.core.setup.Loop;
import fahrbahn.core.setup.Mixing;
import fahrbahn.core.setup.ObstacleMove;
import fahrbahn.core.setup.Options;
import fahrbahn.core.setup.Options.Limits;
import fahrbahn.core.setup.Options.LostLine;
import fahrbahn.core.setup.Options.Outer;
import fahrbahn.core.setup.Options.Pattern;
import fahrbahn.core.setup.Options.Step;
import fahrbahn.core.setup.Polarity;
import fahrbahn.core.setup.Robot;
import fahrbahn.core.setup.Scale;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.setup.Side;
import fahrbahn.core.setup.SpeedCurve;
import fahrbahn.core.setup.Traits;
import fahrbahn.core.setup.TurnMarks;
import fahrbahn.store.file.BadFileException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** What a setup may have beyond the plain robot and law: written, read, compared and refused. */
class OptionsJsonTest {
    private static Setup row(ErrorSignal kind, Options options) {
        List<Sensor> sensors = new ArrayList<>();
        for (int i = 0; i < 5; i++) {
            sensors.add(new Sensor("s" + i, 50 + i, 24 - 12 * i, 3, 10, 80, 1, 1, Channel.values()[i % 4]));
        }
        Traits traits = new Traits(false, 0.95, new SpeedCurve(6, 0.2, 9, 7), 0.02, 0.03, 1.2);
        Drive drive = new Drive(120, 500, 0.04, Mixing.DIFFERENCE, 100, traits);
        Robot robot = new Robot("row", drive, new Loop(0.01, 0.005), sensors, new Chassis(-55, 7));
        Law law = new Law(kind, Side.LEFT, Scale.PERCENT, 50, 1, 0, 2, 40, options);
        return new Setup(robot, new Line(20, Polarity.DARK_ON_LIGHT, 150), law);
    }

    private static final ColourRule BY_DISTANCE = new ColourRule(
            ColourSpace.CONE,
            List.of(3.0, 0.5, 2.0, 0.1, 0.2, 4.0),
            List.of(
                    new ColourRule.Known("dark", List.of(0.0, 0.0, 0.1), List.of()),
                    new ColourRule.Known("mark", List.of(-0.2, 0.3, 0.5), List.of())));

    private static final ColourRule BY_LEVELS = new ColourRule(
            ColourSpace.SCALED, new ColourRule.Cut(2, List.of(0.2, 0.6)), List.of("dark", "mark", "light"));

    private static final Options EVERYTHING = new Options(
            List.of(3.0, 1.0, -3.0),
            List.of(new Step(2, 10), new Step(6, 30)),
            1.5,
            List.of(new Pattern("010", 0), new Pattern("100", 20)),
            List.of(41.0, 50.0, 47.5),
            new LostLine(LostLine.Action.BY_LOSS, 0.4, 35, 3),
            Optional.of(new Outer("s0", "s4", 60)),
            new Limits(80, 0.3, 0.2, true),
            Optional.of(marks(BY_DISTANCE)),
            Optional.of(new ObstacleMove(
                    new ObstacleMove.Feeler(ObstacleMove.Found.DISTANCE, 92, 155, 4, 0.05),
                    90,
                    Side.RIGHT,
                    new Extent(0, Extent.Unit.MM),
                    new Extent(640, Extent.Unit.MS),
                    30,
                    new ObstacleMove.Arc(35, -4, new Extent(900, Extent.Unit.MM)),
                    new Extent(40, Extent.Unit.LOOPS),
                    new Extent(410, Extent.Unit.MS))));

    private static TurnMarks marks(ColourRule colours) {
        return new TurnMarks(
                new TurnMarks.Looker("s0", new ColourScale(List.of(10.0, 12.0, 9.0), List.of(80.0, 90.0, 70.0))),
                new TurnMarks.Looker("s4", new ColourScale(List.of(11.0, 12.0, 9.0), List.of(81.0, 90.0, 70.0))),
                colours,
                "mark",
                3,
                new Extent(120, Extent.Unit.MS),
                new Extent(40, Extent.Unit.MM),
                TurnMarks.Place.BEHIND,
                new TurnMarks.Manoeuvre(new Extent(6, Extent.Unit.LOOPS), 45, new Extent(380, Extent.Unit.MS)));
    }

    static Stream<Setup> setups() {
        return Stream.of(
                row(ErrorSignal.ARRAY_MEAN, EVERYTHING),
                row(ErrorSignal.PATTERN, EVERYTHING),
                row(ErrorSignal.ARRAY_DIFFERENCE, Options.PLAIN),
                row(ErrorSignal.PAIR, Options.PLAIN.withLimits(new Limits(50, 0, 0))),
                row(ErrorSignal.PAIR, Options.PLAIN.withTurnMarks(Optional.of(marks(BY_LEVELS)))));
    }

    @ParameterizedTest
    @MethodSource("setups")
    void whatIsWrittenIsReadAgain(Setup setup) throws Exception {
        assertThat(SetupJson.parse(SetupJson.write(setup))).isEqualTo(setup);
    }

    @Test
    void optionsThatAreGivenUpLeaveTheFile() throws Exception {
        Setup full = row(ErrorSignal.ARRAY_MEAN, EVERYTHING);
        Setup plain = row(ErrorSignal.ARRAY_MEAN, Options.PLAIN);
        String over = SetupJson.writeOver(SetupJson.write(full), plain);
        assertThat(SetupJson.parse(over)).isEqualTo(plain);
        assertThat(over).doesNotContain("weights", "steps", "lost", "outer", "limits", "turnMarks", "obstacle");
    }

    @Test
    void differencesAreNamed() {
        Setup full = row(ErrorSignal.ARRAY_MEAN, EVERYTHING);
        Setup plain = row(ErrorSignal.ARRAY_MEAN, Options.PLAIN);
        assertThat(SetupDifference.between(full, plain))
                .extracting(Cause::what)
                .containsExactly(
                        "weights",
                        "steps",
                        "hysteresis",
                        "patterns",
                        "thresholds",
                        "what happens when the line is lost",
                        "emergency sensors",
                        "limits",
                        "turn marks",
                        "way round an obstacle");
        Traits traits = full.robot().drive().traits();
        Drive weak = full.robot()
                .drive()
                .withTraits(new Traits(
                        traits.mayReverse(),
                        0.8,
                        traits.curve(),
                        traits.mismatchShare(),
                        traits.slipShare(),
                        traits.scrub()));
        assertThat(SetupDifference.between(full, full.withDrive(weak)))
                .containsExactly(Cause.setting(Aspect.DRIVE, "battery (share)", 0.95, 0.8));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "\"aboveError\" : 6.0 | \"aboveError\" : 1 | above that of the step before, 2.0",
                "\"bits\" : \"010\" | \"bits\" : \"0l0\" | patterns[0].bits is \"0l0\"; it must be ones and zeros only",
                "\"reads\" : 3 | \"reads\" : 2.5 | law.turnMarks.reads is 2.5; it must be a whole number",
                "\"mark\" : \"mark\" | \"mark\" : \"cargo\" | law.turnMarks.mark is cargo; it must be one of the surfaces its colours know",
                "\"unit\" : \"loops\" | \"unit\" : \"laps\" | law.turnMarks.turn.ahead.unit is \"laps\"",
                "\"command\" : 45.0 | \"command\" : 145 | law.turnMarks.turn.command is 145",
                "\"sensor\" : \"s4\" | \"sensor\" : \"s9\" | law.turnMarks",
                "\"bits\" : \"010\" | \"bits\" : \"01\" | law.patterns.bits is 01; it must be 3 ones and zeros",
                "\"action\" : \"by-loss\" | \"action\" : \"pray\" | law.lost.action is \"pray\"; it must be \"none\" or",
                "\"seenShare\" : 0.4 | \"seenShare\" : 1 | law.lost.seenShare is 1; it must be above 0 and below 1",
                "\"left\" : \"s0\" | \"left\" : \"s9\" | law.outer is \"s9\"; it must be the name of a sensor",
                "\"slowDown\" : 0.3 | \"slowDown\" : 1.3 | law.limits.slowDown is 1.3; it must be from 0 to 1",
                "\"scrub\" : 1.2 | \"scrub\" : 0 | robot.drive.scrub is 0; it must be from 0.5 to 5",
                "\"deadZoneCommand\" : 6.0 | \"deadZoneCommand\" : 45 | law.baseCommand is 40; it must be above the dead band",
                "\"supportForwardMm\" : -55.0 | \"supportForwardMm\" : 0 | robot.chassis.supportForwardMm is 0",
                "\"weights\" : [ 3.0, 1.0 | \"weights\" : [ 3.0, 1.0, 2.0 | law.weights is 4; it must be one for each of the 3",
                "\"channel\" : \"red\" | \"channel\" : \"infrared\" | sensors[1].channel is \"infrared\"; it must be \"all\" or"
            })
    void whatCannotBeIsRefusedWithFieldValueAndRule(String good, String bad, String message) {
        String json = SetupJson.write(row(ErrorSignal.PATTERN, EVERYTHING));
        assertThat(json).contains(good);
        assertThatThrownBy(() -> SetupJson.parse(json.replace(good, bad)))
                .isInstanceOf(BadFileException.class)
                .hasMessageContaining(message);
    }
}
