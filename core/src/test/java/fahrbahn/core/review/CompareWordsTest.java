package fahrbahn.core.review;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Which of two is to be taken: completing first, then time, path, smoothness and stop place beside each other. */
class CompareWordsTest {
    private static final Difference ALIKE = new Difference(1, 1, 0, -0.03, 0.03, 200);
    private static final Difference SAME = new Difference(10, 10, 0, -0.1, 0.1, 200);
    private static final Difference LESS = new Difference(10, 7, -3, -3.3, -2.7, 200);
    private static final Difference MORE = new Difference(7, 10, 3, 2.7, 3.3, 200);

    private static TwoOnOneTable both(
            Difference chance, Difference time, Difference rms, Difference crossings, Difference travel) {
        return new TwoOnOneTable(
                null, null, "loop", chance, time, rms, SAME, crossings, travel, new TwoOnOneTable.Stop(SAME, SAME));
    }

    @Test
    void nothingThatDiffersLeavesTheChoice() {
        assertThat(CompareWords.sentence(both(ALIKE, SAME, SAME, SAME, SAME), "A", "B"))
                .startsWith("Take either");
    }

    @Test
    void whatIsBetterInAllIsTaken() {
        assertThat(CompareWords.sentence(both(ALIKE, LESS, LESS, LESS, LESS), "A", "B"))
                .startsWith("Take B: it is faster by 3 s (2.7 to 3.3)")
                .contains("crosses its path less often", "steers less")
                .doesNotContain("Take A");
    }

    /** A quicker lap does not hide that it wiggles. */
    @Test
    void aFasterOneThatWigglesIsWeighedAgainstTheSmoother() {
        TwoOnOneTable both = both(ALIKE, LESS, SAME, MORE, MORE);
        assertThat(Weighed.of(both).smoother()).isEqualTo(Optional.of(true));
        assertThat(CompareWords.sentence(both, "A", "B"))
                .startsWith("Take A: it is the smoother to repeat")
                .contains("Take B where other things count more: it is faster");
    }

    @Test
    void crossingsAndSteeringThatDisagreeMakeNeitherSmoother() {
        TwoOnOneTable both = both(ALIKE, SAME, SAME, LESS, MORE);
        assertThat(Weighed.of(both).smoother()).isEmpty();
        assertThat(CompareWords.sentence(both, "A", "B")).startsWith("A or B, as what counts");
    }

    /** Completing comes before all else, and a difference that no coach would mind counts for nothing. */
    @Test
    void completingComesFirstAndTriflesNotAtAll() {
        Difference fewer = new Difference(0.95, 0.6, -0.35, -0.42, -0.28, 200);
        assertThat(CompareWords.sentence(both(fewer, LESS, LESS, LESS, LESS), "A", "B"))
                .startsWith("Take A: it completes 95 % against 60 %");
        Difference trifle = new Difference(10, 9.95, -0.05, -0.06, -0.04, 200);
        assertThat(Weighed.of(both(ALIKE, trifle, trifle, trifle, trifle)).wins())
                .isEmpty();
        Difference none = new Difference(0, 0, 0, -0.03, 0.03, 200);
        assertThat(CompareWords.sentence(both(none, SAME, SAME, SAME, SAME), "A", "B"))
                .startsWith("Take neither");
    }
}
