package fahrbahn.core.next;

import fahrbahn.core.belief.Belief;
import fahrbahn.core.belief.Candidate;
import fahrbahn.core.belief.Ghosts;
import fahrbahn.core.belief.Story;
import fahrbahn.core.belief.Trial;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.check.Rounding;
import fahrbahn.core.law.UsualLaws;
import fahrbahn.core.loop.BendFloor;
import fahrbahn.core.loop.GainAdvisor;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.trials.Outcome.Seen;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/** Settings worth driving: what loop theory proposes for the robot in the middle of the belief, a wide net about its bend floor, and what ran. */
final class Proposals {
    private static final int STEPS_PER_RATIO = 3;
    private static final double[] WIDE_KP = {0.7, 1.1, 1.7, 2.6, 4, 6};
    private static final double[] WIDE_KD_PER_KP = {0, 1.5, 4, 10};
    private static final double[] SHARES_OF_FULL_TURN = {0.1, 0.3, 1};
    private static final double[] AROUND_KP = {0.75, 1, 1.33};
    private static final double[] AROUND_KD = {0.6, 1, 1.6};
    private static final double[] A_LITTLE = {0.93, 1.08, 1.16};
    private static final int DIGITS = 2;
    private static final int BASE_DIGITS = 3;

    private final Story story;
    private final Ghosts ghosts;
    private final Belief belief;

    Proposals(Story story, Ghosts ghosts, Belief belief) {
        this.story = story;
        this.ghosts = ghosts;
        this.belief = belief;
    }

    /** At one speed. */
    List<Candidate> at(double base) {
        Set<Candidate> all = new LinkedHashSet<>();
        addFor(all, ghosts.become(belief.middle(), base));
        all.addAll(aboutFullTurn(base));
        return List.copyOf(all);
    }

    /** Between one speed and the next. */
    List<Candidate> slowerAndFaster(Candidate setting) {
        double full = story.setup().robot().drive().fullCommand();
        List<Candidate> all = new ArrayList<>();
        for (double share : A_LITTLE) {
            double base = Rounding.significant(share * setting.baseCommand(), BASE_DIGITS);
            if (base <= full) {
                all.add(new Candidate(setting.kp(), setting.kd(), base));
            }
        }
        return all;
    }

    /** About what has gone best so far. */
    List<Candidate> about(Candidate setting) {
        List<Candidate> all = new ArrayList<>();
        for (double kp : AROUND_KP) {
            for (double kd : AROUND_KD) {
                all.add(new Candidate(two(setting.kp() * kp), two(setting.kd() * kd), setting.baseCommand()));
            }
        }
        return all;
    }

    /** What has been seen to get round. */
    List<Candidate> known() {
        return story.trials().stream()
                .filter(t -> t.finish() != Trial.Finish.LOST)
                .filter(t -> t.seen() == Seen.SMOOTH || t.seen() == Seen.WIGGLES)
                .map(t -> new Candidate(t.kp(), t.kd(), t.baseCommand()))
                .distinct()
                .toList();
    }

    /** For robots that no theory fits: from a tenth of full turn for full error up. */
    private List<Candidate> aboutFullTurn(double base) {
        List<Candidate> all = new ArrayList<>();
        double full = 2 * base / UsualLaws.top(story.setup());
        for (double share : SHARES_OF_FULL_TURN) {
            all.add(new Candidate(two(share * full), two(WIDE_KD_PER_KP[2] * share * full), base));
        }
        return all;
    }

    private static void addFor(Set<Candidate> all, Setup likely) {
        try {
            addByTheory(all, likely);
        } catch (BadValueException ridesNowhere) {
            // So wide a spot, or so high a target: the others have to do.
        }
    }

    private static void addByTheory(Set<Candidate> all, Setup likely) {
        double base = likely.law().baseCommand();
        GainAdvisor.proposals(likely, STEPS_PER_RATIO)
                .forEach(p -> all.add(new Candidate(two(p.kp()), two(p.kd()), base)));
        double floor = BendFloor.kp(likely);
        if (Double.isFinite(floor)) {
            for (double times : WIDE_KP) {
                for (double ratio : WIDE_KD_PER_KP) {
                    all.add(new Candidate(two(times * floor), two(times * floor * ratio), base));
                }
            }
        }
    }

    private static double two(double value) {
        return Rounding.significant(value, DIGITS);
    }
}
