package fahrbahn.core.table;

import fahrbahn.core.path.Part;
import fahrbahn.core.path.Path;
import fahrbahn.core.path.Pose;

/**
 * What a coach wants to know of a course before it is taped.
 *
 * @param lengthMm along the middle of the line
 * @param tapeMm line to lay, arms of crossings included
 * @param tightestRadiusMm infinite without bends
 * @param gaps how many
 * @param longestGapMm 0 without gaps
 * @param corners sharp ones, crossings with a turn included
 * @param apartMm between end and start
 * @param turnedRad between the directions at end and start, -pi to pi
 */
public record CourseFigures(
        double lengthMm,
        double tapeMm,
        double tightestRadiusMm,
        int gaps,
        double longestGapMm,
        int corners,
        double apartMm,
        double turnedRad) {
    public static CourseFigures of(Draft draft) {
        Path path = draft.path();
        Pose end = path.end();
        Pose start = draft.start();
        double[] gapLengths = draft.parts().stream()
                .filter(Part.Gap.class::isInstance)
                .mapToDouble(Part::lengthMm)
                .toArray();
        double longest = 0;
        for (double gap : gapLengths) {
            longest = Math.max(longest, gap);
        }
        long corners =
                path.stretches().stream().filter(s -> s.leg().cornerRad() != 0).count();
        return new CourseFigures(
                path.lengthMm(),
                path.paintedMm(),
                path.tightestRadiusMm(),
                gapLengths.length,
                longest,
                (int) corners,
                Math.hypot(end.xMm() - start.xMm(), end.yMm() - start.yMm()),
                Math.IEEEremainder(end.headingRad() - start.headingRad(), 2 * Math.PI));
    }
}
