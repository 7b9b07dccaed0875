package fahrbahn.app.freshness;

import fahrbahn.app.freshness.Freshness.Repair;
import fahrbahn.core.knowledge.Constant;

/** The shortest ways to make things fresh; who knows the stations provides them. */
public interface Repairs {
    /** @param again it was measured before */
    Repair measure(Constant constant, boolean again);

    Repair typeRobot();

    Repair lightLampsAgain();

    Repair capture();

    Repair useLevels();

    Repair useGains();

    Repair useRadius();

    Repair driveAgain();

    Repair handOver();
}
