package fahrbahn.app.drive;

import fahrbahn.app.drive.run.Drive;
import fahrbahn.app.drive.run.Odds;
import fahrbahn.app.errand.Ending;
import fahrbahn.app.errand.Errand;
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
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/** Many runs of the twin, the odds they tell, and the lost ones among them. */
final class ManyModel {
    /** How many can be asked for: the fewest tell the chance to some 7 % to each side. */
    static final List<Integer> COUNTS = List.of(200, 500, 2000);

    private final Errand<Odds> errand;
    private final Consumer<String> told;
    private final Consumer<Supplier<Drive>> see;
    private final ReadOnlyObjectWrapper<Optional<Odds>> odds = new ReadOnlyObjectWrapper<>(Optional.empty());
    private int count = COUNTS.get(0);
    private int lostShown = -1;
    private long nextSeed = 1;

    /**
     * @param told when the runs have ended, with what went wrong; empty when nothing did
     * @param see takes a run that is to be looked at, driven in the background
     */
    ManyModel(Errand<Odds> errand, Consumer<String> told, Consumer<Supplier<Drive>> see) {
        this.errand = errand;
        this.told = told;
        this.see = see;
    }

    ReadOnlyObjectProperty<Optional<Odds>> oddsProperty() {
        return odds.getReadOnlyProperty();
    }

    ReadOnlyBooleanProperty runningProperty() {
        return errand.runningProperty();
    }

    double progress() {
        return errand.progress();
    }

    int count() {
        return count;
    }

    void chooseCount(int runs) {
        count = runs;
    }

    void run(Basis basis, Ground ground, Optional<SensorFault> failed) {
        long seed = nextSeed++;
        int runs = count;
        errand.runToEnd(
                job -> {
                    Track track = DriveModel.track(ground, basis, failed);
                    ManyRuns many = ManyRuns.drive(track, Spread.TYPICAL, runs, seed, Workers.all(), job);
                    return new Odds(basis, many, LossFactors.of(many.runs()));
                },
                ending -> {
                    if (ending instanceof Ending.Done<Odds> done) {
                        lostShown = -1;
                        odds.set(Optional.of(done.result()));
                    }
                    told.accept(Ending.words(ending));
                });
    }

    boolean anyLost() {
        return odds.get().map(o -> !o.many().lost().isEmpty()).orElse(false);
    }

    /** An example of the commonest reason first, then one after the other. */
    void seeLost() {
        Odds last = odds.get().orElseThrow();
        List<Integer> lost = last.many().lost();
        lostShown = lostShown < 0 ? lost.indexOf(last.many().reasons().get(0).run()) : (lostShown + 1) % lost.size();
        int run = lost.get(lostShown);
        see.accept(() -> Drive.of(
                last.basis(), last.many().track(), run + 1, last.runs().starts().get(run)));
    }

    /** Ends it: runs that are done are kept. */
    void cancel() {
        errand.endEarly();
    }

    void putAway() {
        errand.stop();
        odds.set(Optional.empty());
    }
}
