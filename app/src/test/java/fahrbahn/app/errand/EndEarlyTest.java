package fahrbahn.app.errand;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class EndEarlyTest {
    private final List<Runnable> waiting = new ArrayList<>();
    private final Errand<Integer> errand = new Errands(waiting::add, Runnable::run, words -> {}).errand("The work");
    private final List<Ending<Integer>> ended = new ArrayList<>();

    /** Counts until it is asked to stop; asks for that itself after a few. */
    private void ask(int until) {
        errand.runToEnd(
                job -> {
                    int done = 0;
                    while (!job.cancelled() && done < 100) {
                        done++;
                        job.progress(done, 100);
                        if (done == until) {
                            errand.endEarly();
                        }
                    }
                    return done;
                },
                ended::add);
    }

    @Test
    void whatIsDoneIsHandedOver() {
        ask(12);
        waiting.get(0).run();
        assertThat(ended).containsExactly(new Ending.Done<>(12));
        assertThat(errand.runningProperty().get()).isFalse();
    }

    @Test
    void beforeAnythingIsDoneItIsStopped() {
        ask(1000);
        errand.endEarly();
        assertThat(errand.runningProperty().get()).isFalse();
        waiting.get(0).run();
        assertThat(ended).isEmpty();
    }

    @Test
    void newerWorkIsNotEndedByIt() {
        ask(12);
        waiting.get(0).run();
        ask(1000);
        waiting.get(1).run();
        assertThat(ended).containsExactly(new Ending.Done<>(12), new Ending.Done<>(100));
    }
}
