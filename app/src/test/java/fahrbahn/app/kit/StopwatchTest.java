package fahrbahn.app.kit;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.app.kit.Stopwatch.Counting;
import org.junit.jupiter.api.Test;

class StopwatchTest {
    private long nowNs;
    private final Stopwatch watch = new Stopwatch(() -> nowNs);

    private void tapAt(double... seconds) {
        for (double s : seconds) {
            nowNs = Math.round(s * 1e9);
            watch.tap();
        }
    }

    private String words() {
        return StopwatchWords.of(
                watch.tapsProperty().get(), watch.countingProperty().get());
    }

    @Test
    void oneTimeIsStartAndStopAndAThirdTapStartsAnew() {
        assertThat(words()).isEqualTo("Space starts, Space stops.");
        tapAt(1);
        assertThat(watch.running()).isTrue();
        nowNs = 2_500_000_000L;
        assertThat(watch.elapsedS()).isEqualTo(1.5);
        assertThat(words()).isEqualTo("Running.");
        tapAt(4.25);
        assertThat(watch.running()).isFalse();
        assertThat(words()).isEqualTo("3.25 s.");
        tapAt(9);
        assertThat(watch.tapsProperty().get().count()).isZero();
        assertThat(watch.running()).isTrue();
    }

    @Test
    void wigglesAreCountedWithTheirMeanAndHowSureItIs() {
        watch.count(Counting.WIGGLES);
        tapAt(10, 10.9, 11.8, 12.7, 13.6);
        assertThat(words())
                .startsWith("4 wiggles in 3.60 s: one takes 0.9 \u00b1 0.0")
                .endsWith(" s.");
        assertThat(watch.running()).isTrue();
    }

    @Test
    void aSlipIsTakenBackByOneKey() {
        watch.count(Counting.LAPS);
        tapAt(0, 12, 12.1);
        watch.takeBack();
        assertThat(watch.tapsProperty().get().lastS()).isEqualTo(12);
        assertThat(words()).startsWith("1 lap in 12.00 s: one takes 12 \u00b1 0.22 s.");
        watch.takeBack();
        watch.takeBack();
        watch.takeBack();
        assertThat(watch.elapsedS()).isZero();
        assertThat(words()).contains("Space starts, and again at each lap");
    }

    @Test
    void anotherThingToCountBeginsAtNothing() {
        tapAt(0, 3);
        watch.count(Counting.TURNS);
        assertThat(watch.tapsProperty().get().atS()).isEmpty();
        tapAt(5, 6, 7);
        watch.clear();
        assertThat(watch.running()).isFalse();
    }
}
