package fahrbahn.app.drive.run;

import fahrbahn.core.knowledge.Basis;
import fahrbahn.core.review.LossFactors;
import fahrbahn.core.review.ManyRuns;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.Ground;
import fahrbahn.core.twin.Ensemble;

/** Many finished runs, and what made the lost ones lost. */
public record Odds(Basis basis, ManyRuns many, LossFactors factors) {
    /** Of the robot that drove. */
    public Setup setup() {
        return many.track().setup();
    }

    public Ground ground() {
        return many.track().ground();
    }

    public Ensemble runs() {
        return many.runs();
    }
}
