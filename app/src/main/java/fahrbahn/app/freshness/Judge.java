package fahrbahn.app.freshness;

import fahrbahn.app.errand.Errand;
import fahrbahn.app.errand.Errands;
import fahrbahn.core.trials.RunGroups;
import java.util.function.Consumer;
import java.util.function.Supplier;

/** Asks the graph anew whenever something it rests on has changed, and once a minute, for results age. */
public final class Judge {
    private final Supplier<Standing> standing;
    private final Repairs repairs;
    private final Errand<Judgement> errand;
    private final Consumer<Judgement> told;
    private final RunGroups groups = new RunGroups();

    /** @param standing gathers what there is, on the interface thread */
    public Judge(Supplier<Standing> standing, Repairs repairs, Errands errands, Consumer<Judgement> told) {
        this.standing = standing;
        this.repairs = repairs;
        this.errand = errands.errand("Judging what still stands");
        this.told = told;
    }

    public void judge() {
        Standing now = standing.get();
        errand.run(job -> FreshnessGraph.derive(now, groups, repairs), told);
    }
}
