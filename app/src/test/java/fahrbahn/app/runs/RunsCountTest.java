package fahrbahn.app.runs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import fahrbahn.app.InShop;
import fahrbahn.app.season.Verdict;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.path.Part;
import fahrbahn.core.path.PlaceOnCourse;
import fahrbahn.core.table.DemoCourses;
import fahrbahn.core.table.Draft;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What the log book says of the runs that count: every branch of its verdict. */
class RunsCountTest extends InShop {
    private Verdict verdict() {
        return shop.runs().verdictProperty().get();
    }

    private void log(int completed, int lost) {
        for (int i = 0; i < completed + lost; i++) {
            later(60);
            shop.runs().log().log(i < completed, new QuickLog.Typed("20", "", "", "", "", ""));
        }
    }

    @Test
    void withoutRunsItSaysHowToLogOne() {
        assertThat(verdict().tone()).isEqualTo(Verdict.Tone.OPEN);
        assertThat(verdict().sentence()).contains("R (finished)", "X (lost)");
    }

    @Test
    void aFewCompletedRunsSayHowManyMore() {
        log(3, 0);
        assertThat(verdict().tone()).isEqualTo(Verdict.Tone.CARE);
        assertThat(verdict().sentence()).contains("finished 3 of 3 runs", "29 %", "Run 3 more to be sure of half");
    }

    @Test
    void sixInARowAreGood() {
        log(6, 0);
        assertThat(verdict().tone()).isEqualTo(Verdict.Tone.GOOD);
        assertThat(verdict().sentence()).contains("finished 6 of 6 runs", "54 %");
    }

    @Test
    void lostOnesAreCountedAndNoNumberOfRunsIsPromised() {
        log(4, 3);
        assertThat(verdict().tone()).isEqualTo(Verdict.Tone.CARE);
        assertThat(verdict().sentence()).contains("finished 4 of 7 runs").doesNotContain("more to be sure");
    }

    @Test
    void whatWasRunOnAnotherTableIsLeftOutAndSaid() {
        log(6, 0);
        shop.season().club().additions().addTable(Draft.of(DemoCourses.sprint()));
        assertThat(verdict().tone()).isEqualTo(Verdict.Tone.OPEN);
        assertThat(verdict().sentence())
                .startsWith("No runs yet with these settings")
                .contains("older runs: other table 6");
        log(2, 0);
        assertThat(verdict().sentence()).contains("finished 2 of 2 runs", "older runs: other table 6");
    }

    @Test
    void runsOfTheTwinAndOfTheRobotAreNotPooled() {
        log(2, 0);
        shop.drive().run();
        shop.drive().keep();
        assertThat(verdict().sentence()).contains("the simulation finished 1 of 1 run", "may be lower");
        log(1, 0);
        assertThat(verdict().sentence()).contains("the robot finished 3 of 3 runs");
    }

    @Test
    void undoTakesARunOutOfTheCount() {
        log(6, 0);
        shop.undo();
        assertThat(verdict().sentence()).contains("finished 5 of 5 runs");
        shop.redo();
        assertThat(verdict().sentence()).contains("finished 6 of 6 runs");
    }

    @ParameterizedTest
    @ValueSource(strings = {"0", "-3", "fast", "1e999", "20 s"})
    void aTimeThatIsNoneIsRefusedAndNothingLogged(String typed) {
        assertThatThrownBy(() -> shop.runs().log().log(true, new QuickLog.Typed(typed, "", "", "", "", "")))
                .isInstanceOf(BadValueException.class)
                .hasMessageContaining("'" + typed + "'")
                .hasMessageContaining("seconds above 0, or empty");
        assertThat(shop.runs().runs()).isEmpty();
    }

    @Test
    void aTimeMayBeLeftOutOrTypedWithAComma() {
        shop.runs().log().log(true, new QuickLog.Typed(" ", "", "", "", "", "smooth "));
        shop.runs().log().log(false, new QuickLog.Typed("21,5", "", "", "", "", ""));
        assertThat(shop.runs().runs().get(0).outcome().timeS()).isNaN();
        assertThat(shop.runs().runs().get(0).note()).isEqualTo("smooth");
        assertThat(shop.runs().runs().get(1).outcome().timeS()).isEqualTo(21.5);
    }

    @Test
    void whereItStoppedAndWhereItWasLostAreKept() {
        shop.runs().log().log(true, new QuickLog.Typed("20.1", "-3", "1,5", "", "", ""));
        shop.runs().log().log(false, new QuickLog.Typed("", "", "", "bend 2", "", "slid"));
        shop.runs().log().log(false, new QuickLog.Typed("", "", "", "1.2 m", "", ""));
        assertThat(shop.runs().runs().get(0).outcome().stop().alongMm()).isEqualTo(-3);
        assertThat(shop.runs().runs().get(0).outcome().stop().acrossMm()).isEqualTo(1.5);
        double lostMm = shop.runs().runs().get(1).outcome().lostMm();
        List<Part> parts = shop.season().laidCourse().draft().parts();
        assertThat(lostMm).isEqualTo(PlaceOnCourse.mm(parts, "bend 2").orElseThrow());
        assertThat(shop.runs().runs().get(2).outcome().lostMm()).isEqualTo(1200);
    }

    @Test
    void aPlaceThatIsNoneIsRefusedAndNothingLogged() {
        for (QuickLog.Typed typed : List.of(
                new QuickLog.Typed("", "", "", "nowhere", "", ""),
                new QuickLog.Typed("", "", "", "99", "", ""),
                new QuickLog.Typed("", "near", "", "", "", ""),
                new QuickLog.Typed("", "", "left", "", "", ""))) {
            assertThatThrownBy(() -> shop.runs().log().log(false, typed)).isInstanceOf(BadValueException.class);
        }
        assertThat(shop.runs().runs()).isEmpty();
    }
}
