package fahrbahn.core.runlog;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.core.runlog.RunClock.Mark;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;

class RunClockTest {
    private final RunClock clock = new RunClock();

    /** A program that says so: by its word alone, however long it streams before and after. */
    @Test
    void aProgramThatSaysWhenItRuns() {
        for (int i = 0; i < 500; i++) {
            assertThat(clock.hear(0.01 * i, i == 100 ? Mark.START : Mark.NONE)).isEmpty();
        }
        assertThat(clock.running()).isTrue();
        assertThat(clock.hear(5, Mark.END).orElseThrow()).isCloseTo(4, Assertions.within(1e-9));
        assertThat(clock.running()).isFalse();
        assertThat(clock.hear(5.01, Mark.NONE)).isEmpty();
        assertThat(clock.silent()).isEmpty();
    }

    /** One that prints while it runs and is silent else. */
    @Test
    void aRobotThatOnlySpeaksWhileItRuns() {
        for (int i = 0; i <= 300; i++) {
            assertThat(clock.hear(0.02 * i, Mark.NONE)).isEmpty();
        }
        assertThat(clock.silent().orElseThrow()).isCloseTo(6, Assertions.within(1e-9));
        assertThat(clock.silent()).isEmpty();
        clock.hear(0, Mark.NONE);
        clock.hear(2, Mark.NONE); // two seconds without a reading: another run
        assertThat(clock.running()).isTrue();
    }

    /** Its clock began anew: the run before ended with its last reading. */
    @Test
    void aRobotThatStartsAgain() {
        for (int i = 0; i <= 300; i++) {
            clock.hear(0.01 * i, Mark.NONE);
        }
        assertThat(clock.hear(0, Mark.NONE).orElseThrow()).isCloseTo(3, Assertions.within(1e-9));
        assertThat(clock.running()).isTrue();
    }

    @Test
    void aProgramStartedByMistakeIsNoRun() {
        clock.hear(0, Mark.NONE);
        clock.hear(0.3, Mark.NONE);
        assertThat(clock.silent()).isEmpty();
        clock.hear(10, Mark.START);
        clock.clear();
        assertThat(clock.running()).isFalse();
    }
}
