package fahrbahn.core.tuning;

import fahrbahn.core.setup.Setup;
import fahrbahn.core.trace.Trace;
import fahrbahn.core.twin.RunResult;
import fahrbahn.core.twin.Start;
import fahrbahn.core.twin.Track;
import fahrbahn.core.twin.Twin;

/**
 * What a pair of gains answers to being set down beside the path on a straight, and to the tightest bend, by the twin without noise.
 *
 * @param stepMm how far beside the path it starts
 * @param step distance from the path on the straight
 * @param stays whether it stayed on the line there
 * @param bend the same through a straight, half a circle to the left and a straight
 * @param round whether it came round
 */
public record PointResponse(double stepMm, Trace step, boolean stays, Trace bend, boolean round) {
    private static final double USUAL_STEP_MM = 5;

    /** Of the band in which the error tells how far it is off: beyond, a step says little of the loop. */
    private static final double BAND_SHARE = 0.5;

    private static final double STRAIGHT_MM = 1200;

    /** Back for good: within this share of the step. */
    private static final double SETTLED_SHARE = 0.1;

    /** @throws fahrbahn.core.check.BadValueException when the robot rides nowhere, or cannot be put on so tight a bend */
    public static PointResponse of(Setup setup) {
        Track straight = Track.straight(STRAIGHT_MM, setup);
        double step = Math.min(USUAL_STEP_MM, BAND_SHARE * straight.usableBandMm());
        Trace step1 = new Trace();
        RunResult stays = Twin.run(straight, Start.calm(step), step1);
        Trace bend = new Trace();
        RunResult round = TestBend.of(setup).calm(1, bend);
        return new PointResponse(step, step1, stays.completed(), bend, round.completed());
    }

    /** From when on it stays within a tenth of the step, s; NaN where it never does. */
    public double settlesS() {
        int last = step.size() - 1;
        while (last >= 0 && Math.abs(step.offsetMm(last)) <= SETTLED_SHARE * stepMm) {
            last--;
        }
        return !stays || last >= step.size() - 2 ? Double.NaN : step.tS(last + 1);
    }

    /** How far it swings to the other side, as a share of the step; 0 where it does not. */
    public double overshootShare() {
        double furthest = 0;
        for (int i = 0; i < step.size(); i++) {
            furthest = Math.max(furthest, -step.offsetMm(i) / stepMm);
        }
        return furthest;
    }

    /** Furthest from its path in the bend, mm. */
    public double strayMm() {
        double furthest = 0;
        for (int i = 0; i < bend.size(); i++) {
            furthest = Math.max(furthest, Math.abs(bend.offsetMm(i)));
        }
        return furthest;
    }
}
