package fahrbahn.app.drive;

import fahrbahn.core.knowledge.Basis;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.Ground;
import fahrbahn.core.twin.RunResult;
import fahrbahn.core.twin.Trace;

/** One finished run. */
public record Drive(Basis basis, Ground ground, long seed, RunResult result, Trace trace) {
    public Setup setup() {
        return basis.setup().orElseThrow();
    }
}
