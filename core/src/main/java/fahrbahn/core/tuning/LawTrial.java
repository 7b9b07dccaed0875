package fahrbahn.core.tuning;

import fahrbahn.core.path.Part;
import fahrbahn.core.path.Pose;
import fahrbahn.core.raster.Palette;
import fahrbahn.core.sensing.Variation;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.Course;
import fahrbahn.core.trace.TickSink;
import fahrbahn.core.twin.RunResult;
import fahrbahn.core.twin.Start;
import fahrbahn.core.twin.Track;
import fahrbahn.core.twin.Twin;
import java.util.ArrayList;
import java.util.List;

/**
 * What a law does on the twin, with the sensors' noise and nothing else varied: round half a circle at the tightest bend, either way, and across
 * gaps.
 *
 * @param left bend to the left
 * @param right bend to the right
 * @param longestGapMm longest gap it crosses straight on, of those tried; 0 when none
 * @param askew the same of gaps that are met at an angle
 */
public record LawTrial(RunResult left, RunResult right, double longestGapMm, List<Askew> askew) {
    /** Angles tried, rad. */
    private static final double[] ANGLES_RAD = {Math.toRadians(3), Math.toRadians(6), Math.toRadians(10)};

    /** Line left before a gap that is met at an angle: too little to straighten out on. */
    private static final double SHORT_MM = 20;

    /** @param angleRad at which the gap is met, to either side @param longestGapMm longest gap it crosses so; 0 when none */
    public record Askew(double angleRad, double longestGapMm) {}

    /** Gaps tried, mm. */
    private static final double[] GAPS_MM = {20, 40, 60, 80, 100, 130, 160, 200, 250, 300};

    private static final double BEFORE_MM = 300;
    private static final double BEHIND_MM = 300;
    private static final double MARGIN_MM = 200;
    private static final long SEED = 5;

    /** @throws fahrbahn.core.check.BadValueException when the robot rides nowhere, or cannot be put on so tight a bend */
    public static LawTrial of(Setup setup) {
        TestBend bend = TestBend.of(setup);
        RunResult left = bend.noisy(1, SEED);
        RunResult right = bend.noisy(-1, SEED);
        double longest = longest(setup, BEFORE_MM, 0);
        List<Askew> askew = new ArrayList<>();
        for (double angle : ANGLES_RAD) {
            askew.add(new Askew(angle, longest(setup, SHORT_MM, angle)));
        }
        return new LawTrial(left, right, longest, List.copyOf(askew));
    }

    private static double longest(Setup setup, double beforeMm, double angleRad) {
        double longest = 0;
        for (double gap : GAPS_MM) {
            Track track = track(setup, beforeMm, gap);
            boolean crosses = crosses(track, angleRad) && (angleRad == 0 || crosses(track, -angleRad));
            if (!crosses) {
                break;
            }
            longest = gap;
        }
        return longest;
    }

    /** Round both bends. */
    public boolean comesRound() {
        return left.completed() && right.completed();
    }

    /** Longest gap that is tried. */
    public static double mostGapMm() {
        return GAPS_MM[GAPS_MM.length - 1];
    }

    private static boolean crosses(Track track, double angleRad) {
        return Twin.run(track, new Start(0, angleRad, Variation.NOISE_ONLY, SEED), TickSink.NONE)
                .completed();
    }

    private static Track track(Setup setup, double beforeMm, double gapMm) {
        Course course = new Course(
                "gap",
                beforeMm + gapMm + BEHIND_MM + 2 * MARGIN_MM,
                2 * MARGIN_MM,
                new Pose(MARGIN_MM, MARGIN_MM, 0),
                List.of(new Part.Straight(beforeMm), new Part.Gap(gapMm), new Part.Straight(BEHIND_MM)),
                false,
                Palette.USUAL);
        return Track.of(course, setup);
    }
}
