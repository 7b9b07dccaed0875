package fahrbahn.app;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.app.season.Station;
import fahrbahn.core.knowledge.Basis;
import fahrbahn.core.trials.Outcome;
import fahrbahn.core.trials.Run;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import javafx.scene.control.Button;
import javafx.scene.control.TextField;
import org.junit.jupiter.api.Test;

/** Ten thousand runs where the coach sees them: how long the window's thread is taken until a page of them is laid out. */
class LargeBookTest extends InWindow {
    private static final int RUNS = 10_000;

    private double shownMs(Runnable work) throws Exception {
        return onWindow(() -> {
            long start = System.nanoTime();
            work.run();
            shop().runs().book().look();
            robot.lookup("#verdict").query().getScene().getRoot().applyCss();
            robot.lookup("#verdict").query().getScene().getRoot().layout();
            return (System.nanoTime() - start) / 1e6;
        });
    }

    @Test
    void theBookIsShownInASecond() throws Exception {
        onWindow(() -> {
            Basis basis = shop().season().basisNow();
            List<Run> runs = new ArrayList<>();
            for (int i = 0; i < RUNS; i++) {
                Outcome outcome = Outcome.of(i % 9 != 0, 20 + i % 7);
                String robotId = shop().season().handProperty().get().robot();
                Basis then = basis.withAt(basis.at().minusSeconds(90L * (RUNS - i)));
                runs.add(new Run("r" + i, Run.Source.TABLE, robotId, then, outcome, i % 5 == 0 ? "#wet" : ""));
            }
            shop().season().logBook().add("a test", runs, Map.of());
            return null;
        });
        go(Station.RUNS);
        settled();
        double first = shownMs(() -> ((Button) robot.lookup("#page-log-book").query()).fire());
        until("all of them", () -> text("bookCount").equals("10000 runs."));
        double slowest = 0;
        for (String words : List.of("lost", "#wet ran", "time<22", "-lost", "")) {
            double ms = shownMs(() -> ((TextField) robot.lookup("#bookSearch").query()).setText(words));
            slowest = Math.max(slowest, ms);
        }
        System.out.printf(
                "10,000 runs in the window: first shown in %.0f ms, the slowest filter %.0f ms%n", first, slowest);
        assertThat(first).as("ms until the book is shown").isLessThan(1000);
        // Told, not held to the bar of 100: it took 33 to 91 on a quiet host, and a busy one is twice as slow.
        // LargeSeasonTest holds the filter itself.
        assertThat(text("bookCount")).isEqualTo("10000 runs.");
    }
}
