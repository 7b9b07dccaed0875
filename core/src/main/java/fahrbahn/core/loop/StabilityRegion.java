package fahrbahn.core.loop;

import fahrbahn.core.check.Check;
import java.util.Optional;

/**
 * Where in the plane of proportional and derivative gain the loop is stable: its border along rays from the origin, ready to
 * draw. Gains per loop.
 *
 * @param kps border from the ray of Kp alone to the ray of almost Kd alone; NaN where not even small gains are stable
 */
public record StabilityRegion(double[] kps, double[] kds) {
    public StabilityRegion {
        kps = kps.clone();
        kds = kds.clone();
    }

    /** @param rays 2 or more */
    public static StabilityRegion of(SampledLoop loop, int rays) {
        Check.require(rays >= 2, "rays", rays, "2 or more");
        double[] kps = new double[rays];
        double[] kds = new double[rays];
        // Evenly spread in angle once Kd is counted in tens: borders reach to ten times as much Kd as Kp and further.
        for (int i = 0; i < rays; i++) {
            double ratio = 10 * Math.tan(Math.PI / 2 * i / rays);
            Optional<WiggleOnset> onset = WiggleOnset.along(loop, GainRay.ratio(ratio));
            kps[i] = onset.map(WiggleOnset::kp).orElse(Double.NaN);
            kds[i] = onset.map(o -> o.kp() * ratio).orElse(Double.NaN);
        }
        return new StabilityRegion(kps, kds);
    }
}
