package fahrbahn.core.loop;

import fahrbahn.core.check.Check;
import java.util.ArrayList;
import java.util.List;

/**
 * Where in the plane of proportional and derivative gain the loop is stable: the stable spans along rays from the origin, ready to
 * draw. Gains per loop.
 *
 * @param rays from the one of Kp alone to the one of almost Kd alone
 */
public record StabilityRegion(List<Ray> rays) {
    /** @param spans by rising gain; empty where no gain is stable */
    public record Ray(double kdPerKp, List<StableSpan> spans) {
        public Ray {
            spans = List.copyOf(spans);
        }
    }

    public StabilityRegion {
        rays = List.copyOf(rays);
    }

    /** @param count of rays, 2 or more */
    public static StabilityRegion of(SampledLoop loop, int count) {
        Check.require(count >= 2, "rays", count, "2 or more");
        List<Ray> rays = new ArrayList<>(count);
        // Evenly spread in angle once Kd is counted in tens: borders reach to ten times as much Kd as Kp and further.
        for (int i = 0; i < count; i++) {
            double ratio = 10 * Math.tan(Math.PI / 2 * i / count);
            rays.add(new Ray(ratio, StableSpan.along(loop, GainRay.ratio(ratio))));
        }
        return new StabilityRegion(rays);
    }
}
