package fahrbahn.core.runlog;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.Setups;
import fahrbahn.core.check.BadValueException;
import java.io.IOException;
import java.io.StringReader;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class RunLogFileTest {
    private static RunLog read(String text) throws IOException {
        return RunLogFile.read(new StringReader(text), List.of());
    }

    private static String ticks(int count) {
        StringBuilder text = new StringBuilder("tS,eye,error,steering,left,right,byKp,doing\n");
        for (int i = 0; i < count; i++) {
            text.append(i * 0.01).append(",").append(40 + i % 3).append(",1,2,38,42,9,following\n");
        }
        return text.toString();
    }

    @Test
    void columnsAreWhatTheyAreCalled() throws Exception {
        RunLog log = read(ticks(20));
        assertThat(log.size()).isEqualTo(20);
        assertThat(log.sensors()).containsExactly("eye");
        assertThat(log.reading(4, 0)).isEqualTo(41);
        assertThat(log.column(RunLog.Column.RIGHT).orElseThrow()[3]).isEqualTo(42);
    }

    @Test
    void aDecimalCommaACommentAndALastLineThatWasCutAreUnderstood() throws Exception {
        StringBuilder text = new StringBuilder("# a log\ntS;eye reading\n");
        for (int i = 0; i < 12; i++) {
            text.append("0,").append(10 + i).append(";4,5\n");
        }
        RunLog log = read(text + "0,3");
        assertThat(log.size()).isEqualTo(12);
        assertThat(log.tS(11)).isCloseTo(0.21, within(1e-12));
        assertThat(log.sensors()).containsExactly("eye");
        assertThat(log.column(RunLog.Column.ERROR)).isEmpty();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "eye,error@1,2 | column names with 'tS'",
                "tS,eye,eye@0,1,2 | every column name once",
                "tS,eye@0,x | line 2",
                "tS,eye@0,1@0.1@0.2,3@0.3,3 | 2 values",
                "tS,eye@0,1,7 | 2 values",
                "tS,eye@0,1 | 8 or more",
                "tS,eye@0,1@1,1@2,1@3,1@4,1@5,1@4,1@7,1@8,1 | not before",
                "tS,eye@0,1@0,1@0,1@0,1@0,1@0,1@0,1@0,1@0,1 | times that go on",
                "tS,eye@1e400,1 | a number of a log"
            })
    void whatCannotBeReadIsSaid(String text, String says) {
        assertThatThrownBy(() -> read(text.replace('@', '\n')))
                .isInstanceOf(BadValueException.class)
                .hasMessageContaining(says);
    }

    /** A wiggle of known period, reach and middle under noise; one that dies out, and noise alone, are none. */
    @Test
    void aWiggleThatGoesOnIsToldFromOneThatDoesNot() throws Exception {
        Random random = new Random(3);
        StringBuilder steady = new StringBuilder("tS,error\n");
        StringBuilder dying = new StringBuilder("tS,error\n");
        StringBuilder noise = new StringBuilder("tS,error\n");
        for (int i = 0; i < 1200; i++) {
            double t = i * 0.008;
            double wave = 7 * Math.sin(2 * Math.PI * t / 0.31);
            steady.append(t)
                    .append(',')
                    .append(3 + wave + 0.5 * random.nextGaussian())
                    .append('\n');
            dying.append(t)
                    .append(',')
                    .append(wave * Math.exp(-t) + 0.3 * random.nextGaussian())
                    .append('\n');
            noise.append(t).append(',').append(random.nextGaussian()).append('\n');
        }
        LogFigures figures = LogFigures.of(read(steady.toString()));
        assertThat(figures.wiggle().orElseThrow().periodS()).as("period, s").isCloseTo(0.31, within(0.003));
        // Noise of 0.5 lifts each end of a period by about 0.6.
        assertThat(figures.wiggle().orElseThrow().amplitude()).as("amplitude").isBetween(7.0, 8.0);
        assertThat(figures.meanError().orElseThrow()).as("mean").isCloseTo(3, within(0.3));
        assertThat(figures.saturatedShare()).isEmpty();
        assertThat(LogFigures.of(read(dying.toString())).wiggle()).isEmpty();
        assertThat(LogFigures.of(read(noise.toString())).wiggle()).isEmpty();
    }

    /** The robot's own sensors come first: what a pair calls left and right are readings, and the wheels say that they are wheels. */
    @Test
    void aColumnCalledLikeASensorIsItsReadings() throws Exception {
        String pair = lines("tS,left,right", ",61,38");
        RunLog log = RunLogFile.read(new StringReader(pair), List.of("left", "right"));
        assertThat(log.sensors()).containsExactly("left", "right");
        assertThat(log.column(RunLog.Column.LEFT)).isEmpty();
        assertThat(log.missing()).containsExactly("error", "commands");
        assertThat(read(pair).column(RunLog.Column.LEFT)).isPresent();
        RunLog wheels = RunLogFile.read(
                new StringReader(lines("tS,left,right,error,leftWheel,rightWheel", ",61,38,23,30,50")),
                List.of("left", "right"));
        assertThat(wheels.reading(3, 1)).isEqualTo(38);
        assertThat(wheels.column(RunLog.Column.RIGHT).orElseThrow()[3]).isEqualTo(50);
        assertThat(wheels.missing()).isEmpty();
        // As this program wrote them before.
        RunLog old =
                RunLogFile.read(new StringReader(lines("tS,left reading,left", ",61,38")), List.of("left", "right"));
        assertThat(old.sensors()).containsExactly("left");
        assertThat(old.column(RunLog.Column.LEFT).orElseThrow()[3]).isEqualTo(38);
    }

    @ParameterizedTest
    @CsvSource({"tS, 0.01", "time_ms, 10", "tMs, 10", "millis, 10", "t, 0.01", "t, 10", "time, 10", "micros, 10000"})
    void timesAreSecondsWhateverTheirUnit(String name, double step) throws Exception {
        StringBuilder text = new StringBuilder(name + ",eye\n");
        for (int i = 0; i < 20; i++) {
            text.append(step * i).append(",50\n");
        }
        assertThat(LogFigures.of(read(text.toString())).loopPeriodS().mean()).isCloseTo(0.01, within(1e-12));
    }

    private static String lines(String header, String values) {
        StringBuilder text = new StringBuilder(header + "\n");
        for (int i = 0; i < 20; i++) {
            text.append(i * 0.01).append(values).append('\n');
        }
        return text.toString();
    }

    /** A wheel that gives one number again and again may have its sensor at its end: only full power is a limit. */
    @Test
    void noLimitOfTheWheelsIsGuessed() throws Exception {
        StringBuilder text = new StringBuilder("tS,left,right\n");
        for (int i = 0; i < 100; i++) {
            text.append(i * 0.01).append(i / 10 % 2 == 0 ? ",70,10\n" : ",10,70\n");
        }
        assertThat(LogFigures.of(read(text.toString())).saturatedShare()).hasValue(0);
        String full = text.toString().replace(",70", ",100");
        assertThat(LogFigures.of(read(full)).saturatedShare()).hasValue(1);
        assertThat(LogFigures.of(read(text.toString().replace(",70", ",255"))).saturatedShare())
                .as("of 255 nobody knows what full power is")
                .isEmpty();
        assertThat(LogFigures.of(
                                read(text.toString()),
                                Setups.pair().robot().drive().withFullCommand(70))
                        .saturatedShare())
                .hasValue(1);
    }
}
