package fahrbahn.core.drill;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.Repeated;
import fahrbahn.core.drill.DrillScore.Answer;
import fahrbahn.core.job.Job;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Drills show what was planted, and only what our own analysis sees; scores say how sure they are. */
class DrillTest extends Repeated {
    private static final Map<List<Object>, Drill> DRAWN = new ConcurrentHashMap<>();

    /** Of each fault. */
    private int each() {
        return times(1, 3);
    }

    /** Drawn once for all tests: each takes a second. */
    private static Drill drawn(long seed, DrillFault fault) {
        return DRAWN.computeIfAbsent(List.of(seed, fault), key -> DrillMaker.draw(seed, fault, Job.UNWATCHED));
    }

    /** Every fault can be drawn, is the one our own eye names, and has evidence with a number in it. */
    @ParameterizedTest
    @EnumSource
    void theFaultThatIsPlantedIsTheOneThatIsSeen(DrillFault fault) {
        Set<String> shown = new HashSet<>();
        for (long seed = 1; seed <= each(); seed++) {
            Drill drill = drawn(seed, fault);
            assertThat(drill.fault()).isEqualTo(fault);
            assertThat(drill.evidence()).containsPattern("\\d");
            assertThat(drill.run().isPresent()).isNotEqualTo(fault.held());
            var seen = fault.held()
                    ? OwnEye.held(drill.held(), drill.believed())
                    : OwnEye.run(drill.run().orElseThrow(), drill.believed(), Double.POSITIVE_INFINITY);
            if (fault != DrillFault.FLAT_BATTERY) {
                assertThat(seen.orElseThrow().fault()).isEqualTo(fault);
            }
            shown.add(drill.believed().toString());
            assertThat(drill.offers().stream().map(Offer::remedy))
                    .hasSize(DrillMaker.OFFERS)
                    .doesNotHaveDuplicates();
            assertThat(drill.offers()).anyMatch(o -> o.remedy() == Remedy.of(fault) && o.mends());
            assertThat(drill.offers()).as("one must be able to be wrong").anyMatch(o -> !o.mends());
        }
        assertThat(shown).as("never the same twice").hasSize(each());
    }

    @Test
    void theSameSeedGivesTheSameDrill() {
        int known = times(1, DrillFault.values().length);
        for (DrillFault fault : List.of(DrillFault.values()).subList(0, known)) {
            Drill again = DrillMaker.draw(1, fault, Job.UNWATCHED);
            assertThat(again.evidence()).isEqualTo(drawn(1, fault).evidence());
            assertThat(again.offers()).isEqualTo(drawn(1, fault).offers());
        }
    }

    /** A battery that tires shows in the laps: each takes longer than the one before. */
    @Test
    void lapsGrowWithATiredBattery() {
        var laps = DrillMaker.draw(4, DrillFault.FLAT_BATTERY, Job.UNWATCHED)
                .run()
                .orElseThrow()
                .lapsS();
        for (int i = 1; i < laps.size(); i++) {
            assertThat(laps.get(i)).isGreaterThan(laps.get(i - 1));
        }
    }

    /** Who guesses is right as often as chance has it: one in thirteen, within three standard errors of ten thousand. */
    @Test
    void aNaiveGuesserScoresAsChanceSays() {
        Random random = new Random(6);
        DrillFault[] all = DrillFault.values();
        int n = 10_000;
        int right = 0;
        DrillScore score = DrillScore.NONE;
        for (int i = 0; i < n; i++) {
            DrillFault fault = score.next(random);
            Answer answer = new Answer("", fault, all[random.nextInt(all.length)]);
            right += answer.right() ? 1 : 0;
            // The score's memory is what decides what comes next; a short one is as good and quick.
            score = new DrillScore(score.with(answer)
                            .answers()
                            .subList(
                                    Math.max(0, score.answers().size() - 60),
                                    score.answers().size()))
                    .with(answer);
        }
        double chance = 1.0 / all.length;
        assertThat((double) right / n).isCloseTo(chance, within(3 * Math.sqrt(chance * (1 - chance) / n)));
    }

    /** Who guesses what to do next mends as many as chance has it: of four offers those that do, most often one. */
    @Test
    void aNaiveGuesserMendsAsChanceSays() {
        Random random = new Random(7);
        double expected = 0;
        double variance = 0;
        int n = 0;
        DrillScore score = DrillScore.NONE;
        for (DrillFault fault : DrillFault.values()) {
            for (long seed = 1; seed <= each(); seed++) {
                Drill drill = drawn(seed, fault);
                double chance =
                        (double) drill.offers().stream().filter(Offer::mends).count() / DrillMaker.OFFERS;
                expected += chance;
                variance += chance * (1 - chance);
                n++;
                Offer guess = drill.offers().get(random.nextInt(DrillMaker.OFFERS));
                score = score.with(new Answer("", fault, fault).thenMended(guess.mends()));
            }
        }
        assertThat((double) score.mended().orElseThrow().completed())
                .isCloseTo(expected, within(3 * Math.sqrt(variance)));
        assertThat(expected / n).as("mostly one of four mends").isBetween(0.25, 0.4);
    }

    /** A fault that is seen and then treated for another is not known yet. */
    @Test
    void whatIsSeenButNotMendedComesSoonerToo() {
        DrillScore seen = DrillScore.NONE.with(new Answer("", DrillFault.LAG, DrillFault.LAG).thenMended(true));
        DrillScore half = DrillScore.NONE.with(new Answer("", DrillFault.LAG, DrillFault.LAG).thenMended(false));
        assertThat(half.due(DrillFault.LAG)).isGreaterThan(seen.due(DrillFault.LAG));
        assertThat(half.of(DrillFault.LAG).orElseThrow().completed()).isEqualTo(1);
        assertThat(half.mended().orElseThrow().completed()).isZero();
        assertThat(DrillScore.NONE.mended()).isEmpty();
        Answer open = new Answer("", DrillFault.LAG, DrillFault.LAG);
        assertThat(DrillScore.NONE.with(open).instead(open, open.thenMended(false)))
                .isEqualTo(half);
        assertThat(DrillScore.NONE.instead(open, open.thenMended(false)))
                .as("an answer that could not be kept is not lost with the next")
                .isEqualTo(half);
    }

    /** What is never seen comes four times as often as what always is, and nothing comes twice in a row. */
    @Test
    void hardOnesComeSooner() {
        Random random = new Random(8);
        Set<DrillFault> hard = EnumSet.of(DrillFault.LAG, DrillFault.LEVELS);
        Map<DrillFault, Integer> shown = new EnumMap<>(DrillFault.class);
        DrillScore score = DrillScore.NONE;
        DrillFault last = null;
        for (int i = 0; i < 1500; i++) {
            DrillFault fault = score.next(random);
            assertThat(fault).isNotEqualTo(last);
            last = fault;
            shown.merge(fault, 1, Integer::sum);
            score = score.with(new Answer("", fault, hard.contains(fault) ? DrillFault.TOO_SOFT : fault));
        }
        double easy = shown.get(DrillFault.GLARE);
        assertThat(shown.get(DrillFault.LAG) / easy).isBetween(2.5, 5.0);
        assertThat(score.of(DrillFault.GLARE).orElseThrow().low()).isGreaterThan(0.95);
        assertThat(score.of(DrillFault.LAG).orElseThrow().high()).isLessThan(0.05);
        assertThat(DrillScore.NONE.of(DrillFault.LAG)).isEmpty();
    }
}
