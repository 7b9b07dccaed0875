package fahrbahn.core.hall;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import fahrbahn.core.check.BadValueException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;

class HallAdviceTest {
    /** Does what is advised until nothing is, each step taking as long as it should. */
    private static List<HallStep> followed(double leftS, double runS, boolean marks, double typing) {
        Set<HallStep> done = EnumSet.noneOf(HallStep.class);
        List<HallStep> order = new ArrayList<>();
        double left = leftS;
        while (order.size() < HallStep.values().length) {
            double told = done.contains(HallStep.DARK) ? typing : Double.NaN;
            HallAdvice.Standing now = new HallAdvice.Standing(done, left, runS, marks, told);
            var next = HallAdvice.of(now).next();
            if (next.isEmpty()) {
                break;
            }
            HallStep step = next.get().step();
            order.add(step);
            done.add(step);
            left -= now.takesS(step);
            assertThat(left).as("after " + step).isGreaterThanOrEqualTo(0);
        }
        return order;
    }

    @Test
    void fiveMinutesAreEnoughForAllOfIt() {
        assertThat(followed(300, 60, false, 0.4))
                .containsExactly(
                        HallStep.LIGHT,
                        HallStep.DARK,
                        HallStep.TYPE,
                        HallStep.SIGN,
                        HallStep.SLOW,
                        HallStep.REAL,
                        HallStep.SPARE);
    }

    @Test
    void whatDoesNotFitAnyMoreIsNotBegun() {
        assertThat(followed(80, 60, false, 0.4))
                .as("levels take a minute and a half until they are typed")
                .containsExactly(HallStep.SIGN, HallStep.SLOW);
        assertThat(followed(130, 60, false, 0.4))
                .containsExactly(HallStep.LIGHT, HallStep.DARK, HallStep.TYPE, HallStep.SIGN);
        assertThat(followed(10, 60, false, 0.4)).isEmpty();
    }

    /** Lamps like those at home: the twin says that the old levels do as well, and the minute goes to something better. */
    @Test
    void levelsThatSaveNothingAreNotTyped() {
        assertThat(followed(300, 60, false, 0)).doesNotContain(HallStep.TYPE).contains(HallStep.SIGN, HallStep.REAL);
    }

    @Test
    void marksAreCapturedWhereTheProgramLooksForThem() {
        assertThat(followed(400, 60, true, 0.4)).contains(HallStep.MARKS);
        assertThat(followed(400, 60, false, 0.4)).doesNotContain(HallStep.MARKS);
    }

    /** Whatever is done and left: nothing is offered twice or before its turn, and what is advised fits. */
    @Test
    void adviceAlwaysFits() {
        Random random = new Random(3);
        for (int i = 0; i < 2000; i++) {
            Set<HallStep> done = EnumSet.noneOf(HallStep.class);
            for (HallStep step : HallStep.values()) {
                if (random.nextBoolean()) {
                    done.add(step);
                }
            }
            double left = random.nextInt(400) - 50;
            double typing = random.nextBoolean() ? Double.NaN : random.nextDouble();
            HallAdvice advice = HallAdvice.of(
                    new HallAdvice.Standing(done, left, 20 + random.nextInt(60), random.nextBoolean(), typing));
            advice.offers().forEach(o -> assertThat(done).doesNotContain(o.step()));
            advice.next().ifPresent(o -> {
                assertThat(o.takesS()).isLessThanOrEqualTo(left);
                if (o.step() == HallStep.TYPE) {
                    assertThat(done).contains(HallStep.LIGHT, HallStep.DARK);
                }
            });
        }
    }

    @Test
    void aDayKnowsItsClock() {
        Instant begin = Instant.parse("2031-02-03T10:00:00Z");
        HallDay day = HallDay.begun(begin, 5).with(HallStep.LIGHT, begin.plusSeconds(20));
        assertThat(day.leftS(begin.plusSeconds(60))).isEqualTo(240);
        assertThat(day.steps()).containsExactly(HallStep.LIGHT);
        assertThat(day.without(HallStep.LIGHT).steps()).isEmpty();
        assertThatThrownBy(() -> HallDay.begun(begin, 0)).isInstanceOf(BadValueException.class);
    }
}
