package fahrbahn.core.belief;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.Repeated;
import fahrbahn.core.benchmark.HiddenTable;
import fahrbahn.core.benchmark.TuningRobots;
import fahrbahn.core.job.Job;
import fahrbahn.core.job.Workers;
import fahrbahn.core.law.UsualLaws;
import fahrbahn.core.next.Experience;
import fahrbahn.core.next.Tuner;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.Course;
import fahrbahn.core.trials.Outcome.Seen;
import fahrbahn.core.tuning.race.Goal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;

/** What was seen and whether it finished are two things: a robot that wiggles may have come round. */
class WiggledTest extends Repeated {
    private static final Course COURSE = TuningRobots.course();
    private static final int DRIVES = 20;

    /** What is seen says it, or a lap, or somebody does. */
    @Test
    void wigglingAloneLeavesItOpen() {
        assertThat(Trial.of(1, 0, 40, Seen.WIGGLES).finish()).isEqualTo(Trial.Finish.NOT_SAID);
        assertThat(Trial.of(1, 0, 40, Seen.SMOOTH).finish()).isEqualTo(Trial.Finish.FINISHED);
        assertThat(Trial.of(1, 0, 40, Seen.LOST_GAP).finish()).isEqualTo(Trial.Finish.LOST);
        assertThat(Trial.of(1, 0, 40, Seen.RIDES_DARK, Trial.Finish.LOST).saysMoreOfFinish())
                .isTrue();
        assertThat(Trial.of(1, 0, 40, Seen.SMOOTH).saysMoreOfFinish()).isFalse();
    }

    /** Chances of all that may be told add up, and a wiggle is told with its end. */
    @Test
    void aSettingThatWiggledRoundCountsForMoreThanOneThatWiggledOff() {
        Candidate setting = new Candidate(1, 1, 40);
        double finished = chance(setting, Trial.Finish.FINISHED);
        double open = chance(setting, Trial.Finish.NOT_SAID);
        double lost = chance(setting, Trial.Finish.LOST);
        assertThat(finished).isGreaterThan(open);
        assertThat(open).isGreaterThan(lost);
        // The simulation counts for two trials, and this is the third.
        assertThat(lost).isCloseTo(2.0 / 3, within(1e-12));
    }

    private static double chance(Candidate setting, Trial.Finish finish) {
        Trial trial = Trial.of(setting.kp(), setting.kd(), setting.baseCommand(), Seen.WIGGLES, finish);
        return new Experience(List.of(trial), Goal.FINISH).chance(setting, 1);
    }

    /**
     * Robots drawn wider than the belief takes them to be, each at gains with which it wiggles and comes round: after that trial, its wiggle
     * counted, the next one is calmer and finishes no less often in four of five. The others are bold ones, with five trials left.
     */
    @Test
    void afterAWiggleThatFinishedTheNextTrialIsCalmer() {
        int robots = times(5, 60);
        int wiggled = 0;
        int calmer = 0;
        for (int i = 0; wiggled < robots; i++) {
            Setup believed = TuningRobots.drawn(new SplittableRandom(700 + i));
            HiddenTable table = HiddenTable.of(believed, COURSE, 1.5, 700 + i);
            Optional<Candidate> setting = wigglesRound(believed, table);
            if (setting.isEmpty()) {
                continue;
            }
            wiggled++;
            Tuner tuner = new Tuner(believed, Prior.GUESSED, COURSE, Goal.FINISH, i, Workers.all(), Job.UNWATCHED);
            tuner.see(table.seenAs(table.drive(setting.get()), Seen.WIGGLES), Job.UNWATCHED);
            Candidate next = tuner.next(5, Job.UNWATCHED).next().orElseThrow();
            calmer += better(Share.of(table, setting.get()), Share.of(table, next));
        }
        assertThat(5 * calmer).as("calmer: %s of %s", calmer, wiggled).isGreaterThanOrEqualTo(4 * wiggled);
    }

    private static int better(Share before, Share after) {
        return after.rmsMm < before.rmsMm && after.finished >= before.finished ? 1 : 0;
    }

    private record Share(int wiggled, int finished, double rmsMm) {
        static Share of(HiddenTable table, Candidate setting) {
            int wiggled = 0;
            int finished = 0;
            double rms = 0;
            for (int k = 0; k < DRIVES; k++) {
                HiddenTable.Driven driven = table.drive(setting);
                wiggled += driven.seen() == Seen.WIGGLES ? 1 : 0;
                finished += driven.run().completed() ? 1 : 0;
                rms += driven.run().rmsMm() / DRIVES;
            }
            return new Share(wiggled, finished, rms);
        }
    }

    /** The first of ever larger gains, without damping, at which it wiggles and comes round in most runs. */
    private static Optional<Candidate> wigglesRound(Setup believed, HiddenTable table) {
        double base = believed.law().baseCommand();
        List<Candidate> found = new ArrayList<>();
        for (double share = 0.1; share < 4 && found.isEmpty(); share *= 1.25) {
            Candidate setting = new Candidate(share * 2 * base / UsualLaws.top(believed), 0, base);
            Share shown = Share.of(table, setting);
            if (2 * shown.wiggled > DRIVES && 2 * shown.finished > DRIVES) {
                found.add(setting);
            }
        }
        return found.stream().findFirst();
    }
}
