package fahrbahn.app.drive;

import fahrbahn.app.drive.run.Drive;
import fahrbahn.app.drive.run.Odds;
import fahrbahn.app.state.Derived;
import fahrbahn.app.state.Parameter;
import fahrbahn.app.state.State;
import fahrbahn.core.job.Job;
import fahrbahn.core.job.Workers;
import fahrbahn.core.knowledge.Basis;
import fahrbahn.core.review.LossFactors;
import fahrbahn.core.review.ManyRuns;
import fahrbahn.core.sensing.SensorFault;
import fahrbahn.core.table.Ground;
import fahrbahn.core.twin.Spread;
import fahrbahn.core.twin.Track;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Supplier;

/** Many runs of the twin, the odds they tell, and the lost ones among them. */
final class ManyModel {
    /** How many can be asked for: the fewest tell the chance to some 7 % to each side. */
    static final List<Integer> COUNTS = List.of(200, 500, 2000);

    private final Parameter<Optional<Asked>> asked;
    private final Derived<Odds> odds;
    private final Consumer<Supplier<Drive>> see;
    private int count = COUNTS.get(0);
    private int lostShown = -1;
    private long nextSeed = 1;

    /** Runs that were asked for. */
    private record Asked(Basis basis, Ground ground, Optional<SensorFault> failed, int runs, long seed) {
        Odds drive(Job job) {
            Track track = DriveModel.track(ground, basis, failed);
            ManyRuns many = ManyRuns.drive(track, Spread.TYPICAL, runs, seed, Workers.all(), job);
            return new Odds(basis, many, LossFactors.of(many.runs()));
        }
    }

    /** @param see takes a run that is to be looked at, driven in the background */
    ManyModel(State state, Consumer<Supplier<Drive>> see) {
        this.see = see;
        asked = state.press();
        odds = state.derive("The runs", () -> State.asked(asked), (runs, job) -> runs.drive(job));
        odds.lastProperty().addListener(o -> lostShown = -1);
        odds.eagerly();
    }

    Derived<Odds> odds() {
        return odds;
    }

    int count() {
        return count;
    }

    void chooseCount(int runs) {
        count = runs;
    }

    void run(Basis basis, Ground ground, Optional<SensorFault> failed) {
        asked.set(Optional.of(new Asked(basis, ground, failed, count, nextSeed++)));
    }

    private Optional<Odds> last() {
        return odds.lastProperty().get();
    }

    boolean anyLost() {
        return last().map(o -> !o.many().lost().isEmpty()).orElse(false);
    }

    /** An example of the commonest reason first, then one after the other. */
    void seeLost() {
        Odds last = last().orElseThrow();
        List<Integer> lost = last.many().lost();
        lostShown = lostShown < 0 ? lost.indexOf(last.many().reasons().get(0).run()) : (lostShown + 1) % lost.size();
        int run = lost.get(lostShown);
        see.accept(() -> Drive.of(
                last.basis(), last.many().track(), run + 1, last.runs().starts().get(run)));
    }

    void putAway() {
        asked.reset();
    }
}
