package fahrbahn.core.twin;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SpanTest {
    private static final double LENGTH_S = 0.01;

    /** Lags from a thousandth of the span to a thousand times it, none at all; as far as a loop may jitter. */
    @ParameterizedTest
    @CsvSource({"0", "0.00001", "0.001", "0.005", "0.03", "0.2", "10"})
    void aSpanThatJittersIsTheSpanOfThatLength(double lagS) {
        for (double share = 0.2; share < 2; share += 0.003) {
            Span jittered = new Span();
            jittered.set(LENGTH_S, lagS);
            jittered.jitterTo(share);
            Span set = new Span();
            set.set(LENGTH_S * share, lagS);
            assertThat(jittered.lengthS).as("length, s").isCloseTo(set.lengthS, within(1e-15));
            assertThat(jittered.halfS).isEqualTo(jittered.lengthS / 2);
            assertThat(jittered.missing).as("missing").isCloseTo(set.missing, within(1e-8));
            // As shares of the length: what the robot's place and heading feel.
            assertThat((jittered.carriedS - set.carriedS) / LENGTH_S)
                    .as("carried, at %s", share)
                    .isCloseTo(0, within(1e-6));
            assertThat((jittered.meanHeadingS - set.meanHeadingS) / LENGTH_S)
                    .as("mean heading, at %s", share)
                    .isCloseTo(0, within(1e-6));
        }
    }
}
