package fahrbahn.app.handover.drill;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.app.handover.drill.DrillCharts.Look;
import fahrbahn.core.drill.Drill;
import fahrbahn.core.drill.DrillFault;
import fahrbahn.core.drill.DrillMaker;
import fahrbahn.core.job.Job;
import fahrbahn.pen.Chart;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** What is seen of a drill: all of a run, or three seconds of it that can be moved along; and what is said in the end. */
class DrillChartsTest {
    private static final Drill SOFT = DrillMaker.draw(1, DrillFault.TOO_SOFT, Job.UNWATCHED);

    @Test
    void aCloseLookIsThreeSecondsOfTheRun() {
        double endS =
                SOFT.run().orElseThrow().log().tS(SOFT.run().orElseThrow().log().size() - 1);
        assertThat(DrillCharts.readings(SOFT, Look.WHOLE).x().high()).isCloseTo(endS, within(0.05));
        Look close = Look.WHOLE.turned();
        Chart seen = DrillCharts.readings(SOFT, close);
        double from = 0.4 * endS;
        assertThat(seen.x().low()).as("a whole second").isEqualTo(Math.floor(from), within(1e-9));
        assertThat(seen.x().high()).isCloseTo(from + 3, within(0.05));
        assertThat(DrillCharts.steering(SOFT.run().orElseThrow(), close.moved(1))
                        .x()
                        .high())
                .as("a tenth of the run later")
                .isCloseTo(0.5 * endS + 3, within(0.05));
        assertThat(close.turned()).isEqualTo(Look.WHOLE);
    }

    @Test
    void itStaysWithinTheRun() {
        Look last = Look.WHOLE.turned().moved(50);
        Look first = Look.WHOLE.turned().moved(-50);
        assertThat(DrillCharts.readings(SOFT, first).x().low()).isZero();
        double endS =
                SOFT.run().orElseThrow().log().tS(SOFT.run().orElseThrow().log().size() - 1);
        assertThat(DrillCharts.readings(SOFT, last).x().high()).isLessThanOrEqualTo(endS + 0.01);
        assertThat(DrillCharts.readings(SOFT, last).says()).contains("left", "from");
    }

    @Test
    void everyFaultAndRemedyHasItsWords() {
        assertThat(DrillFault.values()).extracting(DrillWords::name).doesNotHaveDuplicates();
        var wrong = SOFT.offers().stream().filter(o -> !o.mends()).findFirst().orElseThrow();
        var answer = new fahrbahn.core.drill.DrillScore.Answer("", DrillFault.TOO_SOFT, DrillFault.TOO_SOFT);
        assertThat(DrillWords.state(Optional.of(SOFT), Optional.of(answer), Optional.empty(), false))
                .isEqualTo("You say gains too low. What would you do next? Press one key.");
        assertThat(DrillWords.state(Optional.of(SOFT), Optional.of(answer), Optional.of(wrong), false))
                .startsWith("Right: gains too low. ")
                .contains(
                        SOFT.evidence(),
                        "Next, not '" + DrillWords.name(wrong.remedy()) + "'",
                        "Rather 'twice both gains'");
        assertThat(DrillWords.state(Optional.of(SOFT), Optional.of(answer), Optional.of(SOFT.cure()), false))
                .contains("Next, right: 'twice both gains'. It finishes 4 times in 4");
        assertThat(DrillWords.state(Optional.empty(), Optional.empty(), Optional.empty(), true))
                .contains("Simulating");
    }
}
