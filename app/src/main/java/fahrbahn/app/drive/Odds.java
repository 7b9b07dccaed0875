package fahrbahn.app.drive;

import fahrbahn.core.knowledge.Basis;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.Ground;
import fahrbahn.core.twin.Ensemble;

/** Many finished runs. */
public record Odds(Basis basis, Ground ground, Ensemble runs) {
    /** Of the robot that drove. */
    public Setup setup() {
        return basis.setup().orElseThrow();
    }
}
