package fahrbahn.core.statistics;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;

class CompletionTest {
    /** When all n runs complete the lower end is 0.025^(1/n) in closed form. */
    @Test
    void allCompletedHasAClosedForm() {
        for (int n : new int[] {1, 2, 10, 50}) {
            Completion all = Completion.of(n, n);
            assertThat(all.low()).isCloseTo(Math.pow(0.025, 1.0 / n), within(1e-9));
            assertThat(all.high()).isEqualTo(1);
            assertThat(Completion.of(0, n).high()).isCloseTo(1 - all.low(), within(1e-9));
        }
    }

    @Test
    void endsAreWhereTheBinomialTailsAreTwoAndAHalfPercent() {
        Completion some = Completion.of(7, 10);
        assertThat(1 - binomialBelow(7, 10, some.low())).isCloseTo(0.025, within(1e-9));
        assertThat(binomialBelow(8, 10, some.high())).isCloseTo(0.025, within(1e-9));
    }

    private static double binomialBelow(int k, int n, double p) {
        double sum = 0;
        double choose = 1;
        for (int i = 0; i < k; i++) {
            sum += choose * Math.pow(p, i) * Math.pow(1 - p, n - i);
            choose = choose * (n - i) / (i + 1);
        }
        return sum;
    }

    @Test
    void noRunsTellNothing() {
        assertThat(Completion.of(0, 0)).isEqualTo(new Completion(0, 0, 0, 1));
    }

    @Test
    void runsStillNeededAreTheFewestThatReachTheMark() {
        for (int completed = 1; completed <= 10; completed++) {
            Completion sofar = Completion.of(completed, 10);
            int more = sofar.moreForLow(0.5);
            assertThat(Completion.of(completed + more, 10 + more).low()).isGreaterThanOrEqualTo(0.5);
            if (more > 0) {
                assertThat(Completion.of(completed + more - 1, 10 + more - 1).low())
                        .isLessThan(0.5);
            }
        }
        // All of n completed: the lower end is 0.025^(1/n), half from n = 6 on.
        assertThat(Completion.of(3, 3).moreForLow(0.5)).isEqualTo(3);
        assertThat(Completion.of(6, 6).moreForLow(0.5)).isZero();
    }
}
