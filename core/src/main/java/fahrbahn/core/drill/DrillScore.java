package fahrbahn.core.drill;

import fahrbahn.core.statistics.Completion;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;

/**
 * What was answered so far, oldest first; of one learner, or of a crew around one laptop.
 *
 * @param answers oldest first
 */
public record DrillScore(List<Answer> answers) {
    public static final DrillScore NONE = new DrillScore(List.of());

    /** Of the newest answers of a fault, these count for how hard it is. */
    private static final int RECENT = 4;

    /** A fault that is always seen comes again as well, but four times more seldom than one that never is. */
    private static final double EASY = 0.25;

    /** @param who said it; empty where nobody is named @param said instead @param mended whether what was to be done next mends it; empty when that was not said */
    public record Answer(String who, DrillFault fault, DrillFault said, Optional<Boolean> mended) {
        public Answer(String who, DrillFault fault, DrillFault said) {
            this(who, fault, said, Optional.empty());
        }

        /** The fault was seen. */
        public boolean right() {
            return fault == said;
        }

        /** Seen, and nothing wrong done about it. */
        boolean mastered() {
            return right() && mended.orElse(true);
        }

        public Answer thenMended(boolean mends) {
            return new Answer(who, fault, said, Optional.of(mends));
        }
    }

    public DrillScore {
        answers = List.copyOf(answers);
    }

    public DrillScore with(Answer answer) {
        List<Answer> all = new ArrayList<>(answers);
        all.add(answer);
        return new DrillScore(all);
    }

    /** The newest answer is another now; where it is not the newest any more, the other comes after it. */
    public DrillScore instead(Answer newest, Answer now) {
        int last = answers.size() - 1;
        boolean there = last >= 0 && answers.get(last).equals(newest);
        return (there ? new DrillScore(answers.subList(0, last)) : this).with(now);
    }

    /** How often what was done next mended it, with its interval; empty when it was never said. */
    public Optional<Completion> mended() {
        List<Boolean> said =
                answers.stream().map(Answer::mended).flatMap(Optional::stream).toList();
        return said.isEmpty()
                ? Optional.empty()
                : Optional.of(Completion.of((int) said.stream().filter(m -> m).count(), said.size()));
    }

    /** Only what one of a crew said. */
    public DrillScore of(String who) {
        return new DrillScore(answers.stream().filter(a -> a.who().equals(who)).toList());
    }

    /** How often a fault was seen, with its interval (Clopper and Pearson 1934); empty when it was never shown. */
    public Optional<Completion> of(DrillFault fault) {
        List<Answer> its = its(fault);
        return its.isEmpty()
                ? Optional.empty()
                : Optional.of(
                        Completion.of((int) its.stream().filter(Answer::right).count(), its.size()));
    }

    private List<Answer> its(DrillFault fault) {
        return answers.stream().filter(a -> a.fault() == fault).toList();
    }

    /** How much it is due: 1 for what was never seen, {@link #EASY} for what was right, and mended, each of the last times. */
    double due(DrillFault fault) {
        List<Answer> its = its(fault);
        List<Answer> recent = its.subList(Math.max(0, its.size() - RECENT), its.size());
        double wrong = recent.isEmpty()
                ? 1
                : (double) recent.stream().filter(a -> !a.mastered()).count() / recent.size();
        return EASY + (1 - EASY) * wrong;
    }

    /** The fault of the next drill: hard ones sooner, never the last one again. */
    public DrillFault next(Random random) {
        DrillFault last =
                answers.isEmpty() ? null : answers.get(answers.size() - 1).fault();
        double all = 0;
        for (DrillFault fault : DrillFault.values()) {
            all += fault == last ? 0 : due(fault);
        }
        double at = random.nextDouble() * all;
        for (DrillFault fault : DrillFault.values()) {
            at -= fault == last ? 0 : due(fault);
            if (at < 0 && fault != last) {
                return fault;
            }
        }
        return last == DrillFault.TOO_SOFT ? DrillFault.TOO_SHARP : DrillFault.TOO_SOFT;
    }
}
