package fahrbahn.core.benchmark;

import fahrbahn.core.belief.Candidate;
import fahrbahn.core.belief.Trial;
import fahrbahn.core.law.UsualLaws;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.trials.Outcome.Seen;
import java.util.List;

/** Ways in which coaches climb to their gains by hand; none changes the speed. */
public enum HandLadder {
    /** Half as much again until it wiggles, back to 0.6 of that, then damping until it is calm. */
    HALF_AGAIN("half as much again") {
        @Override
        public Candidate next(Setup setup, List<Trial> trials) {
            if (trials.isEmpty()) {
                return at(setup, unit(setup), 0);
            }
            Trial last = trials.get(trials.size() - 1);
            if (last.kd() == 0 && !backedOff(trials)) {
                double leastWiggling = leastWiggling(trials);
                double most = mostWithout(trials);
                if (Double.isInfinite(leastWiggling)) {
                    return at(setup, last.kp() * HALF_MORE, 0);
                }
                return most == 0 ? at(setup, last.kp() / HALF_MORE, 0) : backOff(setup, leastWiggling);
            }
            if (last.seen() == Seen.WIGGLES) {
                boolean damped = last.kd() > MOST_KD_PER_KP * last.kp();
                return damped ? at(setup, 0.8 * last.kp(), last.kp()) : at(setup, last.kp(), last.kd() * HALF_MORE);
            }
            return at(setup, last.kp() * 1.2, last.kd());
        }

        private boolean backedOff(List<Trial> trials) {
            return trials.stream().anyMatch(t -> t.kd() > 0);
        }

        private Candidate backOff(Setup setup, double wiggling) {
            return at(setup, BACK_OFF * wiggling, BACK_OFF * wiggling);
        }

        private double leastWiggling(List<Trial> trials) {
            return trials.stream()
                    .filter(t -> t.seen() == Seen.WIGGLES)
                    .mapToDouble(Trial::kp)
                    .min()
                    .orElse(Double.POSITIVE_INFINITY);
        }

        private double mostWithout(List<Trial> trials) {
            return trials.stream()
                    .filter(t -> t.seen() != Seen.WIGGLES)
                    .mapToDouble(Trial::kp)
                    .max()
                    .orElse(0);
        }
    },

    /** Doubles while it is lost, halves when it wiggles, by ever smaller steps. */
    DOUBLE_AND_HALVE("double and halve") {
        @Override
        public Candidate next(Setup setup, List<Trial> trials) {
            return at(setup, doubledAndHalved(setup, trials), 0);
        }
    },

    /** Full turn for full error, then down by a quarter. */
    FULL_TURN("full turn and down") {
        @Override
        public Candidate next(Setup setup, List<Trial> trials) {
            return at(setup, fullTurn(setup, trials), 0);
        }
    },

    /** The same as doubling and halving, with twice as much damping once it has wiggled: better than it is usually done. */
    DOUBLE_AND_HALVE_DAMPED("double and halve, damped") {
        @Override
        public Candidate next(Setup setup, List<Trial> trials) {
            double kp = doubledAndHalved(setup, trials);
            boolean wiggled = trials.stream().anyMatch(t -> t.seen() == Seen.WIGGLES);
            return at(setup, kp, wiggled ? 2 * kp : 0);
        }
    },

    /** The same as full turn and down, with twice as much damping from the second trial on: better than it is usually done. */
    FULL_TURN_DAMPED("full turn and down, damped") {
        @Override
        public Candidate next(Setup setup, List<Trial> trials) {
            double kp = fullTurn(setup, trials);
            return at(setup, kp, trials.isEmpty() ? 0 : 2 * kp);
        }
    };

    private static double doubledAndHalved(Setup setup, List<Trial> trials) {
        double kp = unit(setup);
        double step = 2;
        int way = 0;
        for (Trial trial : trials) {
            int now = trial.seen() == Seen.WIGGLES ? -1 : 1;
            step = way != 0 && now != way ? Math.sqrt(step) : step;
            way = now;
            kp *= now > 0 ? step : 1 / step;
        }
        return kp;
    }

    private static double fullTurn(Setup setup, List<Trial> trials) {
        return setup.law().baseCommand() / (UsualLaws.top(setup) / 2) * Math.pow(0.75, trials.size());
    }

    private static final double HALF_MORE = 1.5;
    private static final double BACK_OFF = 0.6;
    private static final double MOST_KD_PER_KP = 4;

    private final String word;

    HandLadder(String word) {
        this.word = word;
    }

    public String word() {
        return word;
    }

    /** What is tried after these trials. */
    public abstract Candidate next(Setup setup, List<Trial> trials);

    private static Candidate at(Setup setup, double kp, double kd) {
        return new Candidate(kp, kd, setup.law().baseCommand());
    }

    /** A gain of one for readings in percent and commands up to 100, whatever this robot's numbers are. */
    private static double unit(Setup setup) {
        return 100 / UsualLaws.top(setup) * setup.robot().drive().fullCommand() / 100;
    }
}
