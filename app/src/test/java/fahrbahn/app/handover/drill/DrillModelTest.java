package fahrbahn.app.handover.drill;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.app.InShop;
import fahrbahn.app.club.RobotKind;
import fahrbahn.core.drill.Drill;
import fahrbahn.core.drill.DrillFault;
import fahrbahn.core.drill.DrillScore.Answer;
import fahrbahn.core.drill.Offer;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Drills: the first answers count, the next one is drawn ahead. */
class DrillModelTest extends InShop {
    @BeforeEach
    void open() throws Exception {
        shop.season().club().additions().addRobot(RobotKind.PAIR.setup("Wren"));
    }

    private DrillModel drills() {
        return shop.handover().drills();
    }

    private Drill drill() {
        return drills().drillProperty().get().orElseThrow();
    }

    private int offer(boolean mends) {
        for (int i = 0; i < drill().offers().size(); i++) {
            if (drill().offers().get(i).mends() == mends) {
                return i;
            }
        }
        throw new AssertionError("none of " + drill().offers());
    }

    @Test
    void theFirstAnswersCountAndAreKept() throws Exception {
        drills().act(0);
        drills().say(DrillFault.LAG);
        assertThat(drills().score().answers()).as("no drill, no answer").isEmpty();
        drills().show(3, DrillFault.CREASE);
        drills().act(0);
        assertThat(drills().doneProperty().get()).as("first what is wrong").isEmpty();
        drills().say(DrillFault.CREASE);
        drills().say(DrillFault.SATURATED);
        drills().act(offer(false));
        drills().act(offer(true));
        Answer kept = new Answer("", DrillFault.CREASE, DrillFault.CREASE, Optional.of(false));
        assertThat(drills().scoreProperty().get().answers()).containsExactly(kept);
        assertThat(drills().doneProperty().get().map(Offer::mends)).contains(false);
        reopen();
        assertThat(drills().scoreProperty().get().answers()).containsExactly(kept);
    }

    /** The next one lies ready while the reason is read, is another fault, and never the same robot. */
    @Test
    void theNextOneIsDrawnAhead() {
        drills().who("Ada");
        drills().show(3, DrillFault.SATURATED);
        Drill first = drill();
        drills().say(DrillFault.CREASE);
        later(10);
        drills().act(offer(true));
        drills().next();
        assertThat(drill().fault()).isNotEqualTo(DrillFault.SATURATED);
        assertThat(drill().seed()).isEqualTo(clock.now.toEpochMilli()).isNotEqualTo(first.seed());
        assertThat(drills().answerProperty().get()).isEmpty();
        drills().say(drill().fault());
        drills().who("Ben");
        assertThat(drills().score().answers()).isEmpty();
        drills().act(offer(true));
        assertThat(drills().scoreProperty().get().of("Ada").answers())
                .as("who began it is who answered it")
                .hasSize(2);
        drills().show(3, DrillFault.SATURATED);
        assertThat(drill().evidence()).as("a seed that was noted").isEqualTo(first.evidence());
    }
}
