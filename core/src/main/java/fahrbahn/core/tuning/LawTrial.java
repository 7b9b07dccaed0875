package fahrbahn.core.tuning;

import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.Course;
import fahrbahn.core.table.Palette;
import fahrbahn.core.table.Part;
import fahrbahn.core.table.Pose;
import fahrbahn.core.twin.RunResult;
import fahrbahn.core.twin.Start;
import fahrbahn.core.twin.TickSink;
import fahrbahn.core.twin.Track;
import fahrbahn.core.twin.Twin;
import java.util.List;

/**
 * What a law does on the twin, with the sensors' noise and nothing else varied: round half a circle at the tightest bend, either way, and across
 * gaps.
 *
 * @param left bend to the left
 * @param right bend to the right
 * @param longestGapMm longest gap it crosses straight on, of those tried; 0 when none
 */
public record LawTrial(RunResult left, RunResult right, double longestGapMm) {
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
        double longest = 0;
        for (double gap : GAPS_MM) {
            if (!crosses(setup, gap)) {
                break;
            }
            longest = gap;
        }
        return new LawTrial(left, right, longest);
    }

    /** Round both bends. */
    public boolean comesRound() {
        return left.completed() && right.completed();
    }

    /** Longest gap that is tried. */
    public static double mostGapMm() {
        return GAPS_MM[GAPS_MM.length - 1];
    }

    private static boolean crosses(Setup setup, double gapMm) {
        Course course = new Course(
                "gap",
                BEFORE_MM + gapMm + BEHIND_MM + 2 * MARGIN_MM,
                2 * MARGIN_MM,
                new Pose(MARGIN_MM, MARGIN_MM, 0),
                List.of(new Part.Straight(BEFORE_MM), new Part.Gap(gapMm), new Part.Straight(BEHIND_MM)),
                false,
                Palette.USUAL);
        return Twin.run(Track.of(course, setup), Start.noisy(0, SEED), TickSink.NONE)
                .completed();
    }
}
