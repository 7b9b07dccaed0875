package fahrbahn.core.twin;

import fahrbahn.core.law.Program;
import fahrbahn.core.sensing.NormalDraws;
import fahrbahn.core.setup.ObstacleMove.Feeler;
import fahrbahn.core.setup.ObstacleMove.Found;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.Standing;
import java.util.List;
import java.util.Optional;
import java.util.SplittableRandom;

/**
 * What stands on a track, as one robot meets it in one run: what its feeler reads, and whether it has run into something. The robot is a box as wide as it
 * is outside, from its rear support to its front. Allocates nothing while it looks.
 */
final class Obstacles {
    /** A bumper is pushed in so far before the robot pushes what it has met. */
    private static final double PUSH_MM = 15;

    /** A distance sensor looks a little to both sides: so much per mm ahead. */
    private static final double BEAM = 0.15;

    private final double[] xMm;
    private final double[] yMm;
    private final double[] radiusMm;
    private final double frontMm;
    private final double rearMm;
    private final double halfWidthMm;
    private final Found found;
    private final double noiseMm;
    private final double missShare;
    private final SplittableRandom random;
    private boolean touching;
    private boolean fails;
    private boolean hit;

    /** @param noisy false where nothing errs */
    Obstacles(List<Standing> standing, Setup setup, boolean noisy, SplittableRandom random) {
        xMm = standing.stream().mapToDouble(s -> s.place().xMm()).toArray();
        yMm = standing.stream().mapToDouble(s -> s.place().yMm()).toArray();
        radiusMm = standing.stream().mapToDouble(Standing::radiusMm).toArray();
        Optional<Feeler> feeler = setup.law().options().obstacle().map(move -> move.feeler());
        frontMm = feeler.map(Feeler::frontMm).orElseGet(setup.robot()::usualFrontMm);
        halfWidthMm = feeler.map(Feeler::widthMm).orElseGet(setup.robot()::usualWidthMm) / 2;
        rearMm = Math.min(
                -setup.robot().chassis().wheelRadiusMm(),
                setup.robot().chassis().supportForwardMm());
        found = feeler.map(Feeler::found).orElse(null);
        noiseMm = noisy ? feeler.map(Feeler::noiseMm).orElse(0.0) : 0;
        missShare = noisy ? feeler.map(Feeler::missShare).orElse(0.0) : 0;
        this.random = random;
    }

    /** @return what the feeler reads; of no meaning without one */
    double look(Body body) {
        double nearest = Program.NOTHING_MM;
        boolean touches = false;
        for (int i = 0; i < xMm.length; i++) {
            double dx = xMm[i] - body.xMm;
            double dy = yMm[i] - body.yMm;
            double ahead = dx * body.cos + dy * body.sin;
            double aside = Math.abs(dy * body.cos - dx * body.sin);
            double beyond = ahead - frontMm;
            if (beyond > 0 && aside <= radiusMm[i] + BEAM * beyond) {
                nearest = Math.min(nearest, Math.hypot(beyond, aside) - radiusMm[i]);
            }
            double outAhead = Math.max(0, Math.max(beyond, rearMm - ahead));
            double outAside = Math.max(0, aside - halfWidthMm);
            double gapMm = Math.hypot(outAhead, outAside) - radiusMm[i];
            boolean byFront = beyond > 0 && aside <= halfWidthMm;
            if (gapMm <= 0) {
                touches |= byFront;
                hit |= !byFront || found != Found.TOUCH || gapMm < -PUSH_MM;
            }
        }
        return found == Found.TOUCH ? bumper(touches) : distance(nearest);
    }

    private double bumper(boolean touches) {
        if (touches && !touching) {
            fails = missShare > 0 && random.nextDouble() < missShare;
        }
        touching = touches;
        return touches && !fails ? 1 : 0;
    }

    private double distance(double nearestMm) {
        if (nearestMm >= Program.NOTHING_MM || missShare > 0 && random.nextDouble() < missShare) {
            return Program.NOTHING_MM;
        }
        return noiseMm > 0 ? nearestMm + noiseMm * NormalDraws.next(random) : nearestMm;
    }

    /** Whether it has run into something, or brushed it, by the latest look. */
    boolean hit() {
        return hit;
    }
}
