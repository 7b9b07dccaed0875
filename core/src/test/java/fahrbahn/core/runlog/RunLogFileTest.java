package fahrbahn.core.runlog;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.check.BadValueException;
import java.io.IOException;
import java.io.StringReader;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class RunLogFileTest {
    private static RunLog read(String text) throws IOException {
        return RunLogFile.read(new StringReader(text));
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

    @Test
    void aSpeedThatIsGivenAllTheTimeIsNoLimit() throws Exception {
        StringBuilder text = new StringBuilder("tS,left,right\n");
        for (int i = 0; i < 100; i++) {
            text.append(i * 0.01).append(i % 2 == 0 ? ",40,30\n" : ",31,40\n");
        }
        assertThat(LogFigures.of(read(text.toString())).saturatedShare()).hasValue(0);
        text.append("1.0,40,-10\n".replace("1.0", "1.0"));
        assertThat(LogFigures.of(read(text.toString()), 40, -10)
                        .saturatedShare()
                        .orElseThrow())
                .isEqualTo(1);
    }
}
