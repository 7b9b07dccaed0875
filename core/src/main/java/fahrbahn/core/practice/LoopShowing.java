package fahrbahn.core.practice;

import fahrbahn.core.check.Check;
import fahrbahn.core.path.Pose;
import fahrbahn.core.setup.Setup;

/** Stands with its wheels up and counts its loops on its display until the time is over. */
public final class LoopShowing implements Showing {
    private final double periodS;
    private final double overS;
    private final double phase;

    /**
     * @param overS how long it counts by its own clock, above 0
     * @param phase how far through a loop it is when it begins, 0 to 1
     */
    public LoopShowing(Setup real, double overS, double phase) {
        Check.positive("overS", overS);
        Check.between("phase", phase, 0, 1);
        periodS = real.robot().loop().periodS();
        this.overS = overS;
        this.phase = phase;
    }

    @Override
    public Pose at(double tS) {
        return new Pose(0, 0, 0);
    }

    @Override
    public double endS() {
        return overS;
    }

    @Override
    public String reading(double tS) {
        return String.valueOf((long) Math.floor(Math.min(tS, overS) / periodS + phase));
    }
}
