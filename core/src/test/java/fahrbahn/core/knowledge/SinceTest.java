package fahrbahn.core.knowledge;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.core.Setups;
import fahrbahn.core.difference.Aspect;
import fahrbahn.core.difference.Cause;
import fahrbahn.core.measuring.Measured;
import fahrbahn.core.readings.Conditions;
import fahrbahn.core.readings.Lamp;
import fahrbahn.core.setup.Loop;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import java.time.Duration;
import java.time.Instant;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

class SinceTest {
    private static final Conditions THEN = new Conditions("hall-a", Lamp.ON, 9, 8.0, "soft 56 mm");
    private static final Setup PAIR = Setups.pair();

    private static Basis basis(Setup setup, Conditions conditions) {
        return Basis.of(Instant.EPOCH, conditions).withSetting(new Setting(setup.toString(), setup));
    }

    private static Setup faster(double mmPerS) {
        return PAIR.withDrive(
                PAIR.robot().drive().withFreeSpeedMmPerS(PAIR.robot().drive().freeSpeedMmPerS() + mmPerS));
    }

    @Test
    void nothingHasChangedAgainstItself() {
        assertThat(Since.of(basis(PAIR, THEN), basis(PAIR, THEN)).causes()).isEmpty();
    }

    /** 600 to 601.2 mm/s moves wiggle onset by a fifth of a percent: nothing is thrown away for it. */
    @Test
    void aConstantKnownBetterIsNoChangeAndIsNamed() {
        Since since = Since.of(basis(PAIR, THEN), basis(faster(1.2), THEN));
        assertThat(since.nothing()).isTrue();
        assertThat(since.better()).containsExactly(Constant.FREE_SPEED);
    }

    @Test
    void aConstantThatMovesOnsetFarIsAChangeUnlessItWasAsUncertain() {
        double far = 0.3 * PAIR.robot().drive().freeSpeedMmPerS();
        Since since = Since.of(basis(PAIR, THEN), basis(faster(far), THEN));
        assertThat(since.aspects()).containsExactly(Aspect.DRIVE);
        assertThat(since.better()).isEmpty();
        Basis vague = basis(PAIR, THEN).withKnown(Map.of(Constant.FREE_SPEED, far));
        assertThat(Since.of(vague, basis(faster(far), THEN)).nothing()).isTrue();
        Basis sure = basis(PAIR, THEN).withKnown(Map.of(Constant.FREE_SPEED, 0.99 * far));
        assertThat(Since.of(sure, basis(faster(far), THEN)).nothing()).isFalse();
    }

    /** Each constant moved by a third, which no wiggle onset sleeps through, names its own aspect and no other. */
    @ParameterizedTest
    @EnumSource(Constant.class)
    void everyConstantChangedALotIsFound(Constant constant) {
        double base = PAIR.law().baseCommand();
        Setup changed = switch (constant) {
            case DEAD_ZONE, BREAKAWAY, HOLDING -> constant.with(PAIR, 0.3 * base);
            case SAG -> constant.with(PAIR, 0.6);
            default -> constant.with(PAIR, 2.2 * constant.of(PAIR));
        };
        Since since = Since.of(basis(PAIR, THEN), basis(changed, THEN));
        Aspect expected = switch (constant) {
            case LOOP_TIME, DELAY -> Aspect.LOOP;
            case SPOT -> Aspect.LAYOUT;
            default -> Aspect.DRIVE;
        };
        assertThat(since.aspects()).containsExactly(expected);
    }

    @Test
    void surfacesCapturedAgainAreNoChangeUntilTheyDifferByATwentiethOfTheContrast() {
        Sensor left = PAIR.robot().sensors().get(0);
        double small = 0.04 * left.contrast();
        assertThat(Since.of(basis(PAIR, THEN), basis(lit(left, small), THEN)).nothing())
                .isTrue();
        assertThat(Since.of(basis(PAIR, THEN), basis(lit(left, 2 * small), THEN))
                        .aspects())
                .containsExactly(Aspect.SURFACES);
    }

    private static Setup lit(Sensor sensor, double more) {
        return PAIR.withRobot(
                PAIR.robot().withSensor(0, sensor.withSurfaces(sensor.dark(), sensor.light() + more, sensor.noise())));
    }

    @Test
    void tableAndAgeAreCausesOfTheirOwn() {
        Basis then = basis(PAIR, THEN).withTable(new TablePrint("t", "Loop", "aaa"));
        Basis now = then.withTable(new TablePrint("t", "Loop renamed", "bbb"))
                .withAt(Instant.EPOCH.plus(Duration.ofHours(13)));
        assertThat(Since.of(then, now).causes())
                .containsExactly(Cause.circumstance(Aspect.TABLE, "table", "Loop", "Loop renamed"));
        assertThat(Since.of(then, then.withTable(new TablePrint("t", "Loop renamed", "aaa")))
                        .nothing())
                .as("another name is the same table")
                .isTrue();
        assertThat(Since.of(then, now).aged(then, now, Duration.ofHours(12)).aspects())
                .containsExactlyInAnyOrder(Aspect.TABLE, Aspect.AGE);
        assertThat(Since.of(then, now)
                        .aged(then, now, Duration.ofHours(14))
                        .only(EnumSet.of(Aspect.AGE))
                        .nothing())
                .isTrue();
    }

    @ParameterizedTest
    @CsvSource({"0.03, 0", "0.5, 1"})
    void aSpeedIsStaleWithTheBatteryAndMindsNeitherHallNorHeight(double volts, int causes) {
        Fact speed = new Fact(Constant.FREE_SPEED, new Measured(600, 5, 3), List.of(), basis(PAIR, THEN));
        Conditions now = THEN.withBatteryV(8.0 - volts).withVenue("hall-b").withSensorHeightMm(12);
        assertThat(speed.staleSince(basis(PAIR, now))).hasSize(causes).allSatisfy(c -> {
            assertThat(c.aspect()).isEqualTo(Aspect.BATTERY);
            assertThat(c.before()).isEqualTo(8.0);
            assertThat(c.after()).isEqualTo(7.5);
        });
    }

    @Test
    void aLagIsStaleWithTheLoopItWasToldByAndWithTheWheels() {
        Fact lag = new Fact(Constant.LAG, new Measured(0.05, 0.002, 3), List.of(), basis(PAIR, THEN));
        Setup slower = PAIR.withLoop(
                new Loop(3 * PAIR.robot().loop().periodS(), PAIR.robot().loop().delayS()));
        assertThat(lag.staleSince(basis(slower, THEN)))
                .extracting(Cause::aspect)
                .containsExactly(Aspect.LOOP);
        assertThat(lag.staleSince(basis(PAIR, THEN.withWheels("hard 62 mm"))))
                .containsExactly(Cause.circumstance(Aspect.WHEELS, "wheels", "soft 56 mm", "hard 62 mm"));
    }

    @ParameterizedTest
    @ValueSource(booleans = {true, false})
    void whatEitherDidNotNoteIsPassedOver(boolean then) {
        Basis noted = Basis.of(Instant.EPOCH, THEN);
        Basis unknown = Basis.of(Instant.EPOCH, Conditions.UNKNOWN);
        assertThat((then ? Since.of(unknown, noted) : Since.of(noted, unknown)).nothing())
                .isTrue();
        assertThat(THEN.changesTo(THEN.withLamp(Lamp.OFF)))
                .containsExactly(Cause.circumstance(Aspect.LAMP, "lamps", "on", "off"));
    }
}
