package fahrbahn.core.tuning;

import fahrbahn.core.check.Check;
import fahrbahn.core.job.Job;
import fahrbahn.core.job.Workers;
import fahrbahn.core.path.Part;
import fahrbahn.core.path.Pose;
import fahrbahn.core.raster.Palette;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.setup.TurnMarks;
import fahrbahn.core.table.Course;
import fahrbahn.core.twin.CrossingPass;
import fahrbahn.core.twin.Ensemble;
import fahrbahn.core.twin.Spread;
import fahrbahn.core.twin.Track;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** What a program makes of marked crossings on the twin: one of each way, some runs each, as varied as an evening at a table. */
public record MarkTrial(List<Met> met) {
    private static final double BEFORE_MM = 350;
    private static final double BEHIND_MM = 160;
    private static final double ARM_MM = 130;
    private static final double MARGIN_MM = 250;
    private static final long SEED = 11;

    /**
     * One kind of crossing.
     *
     * @param way it has to take
     * @param runs of so many
     * @param right in which the program decided right
     * @param through in which the robot also found its line again
     * @param commonest what went wrong most often; empty when nothing did
     */
    public record Met(Part.Turn way, int runs, int right, int through, Optional<CrossingPass> commonest) {}

    /**
     * @param setup with turn marks
     * @param palette the table's colours
     * @param runs of each kind, 1 or more
     * @throws fahrbahn.core.check.BadValueException when the robot rides nowhere, or does not look for marks
     */
    public static MarkTrial of(Setup setup, Palette palette, int runs, Workers workers, Job job) {
        Optional<TurnMarks> marks = setup.law().options().turnMarks();
        Check.require(marks.isPresent(), "law.turnMarks", "none", "there");
        List<Met> met = new ArrayList<>();
        for (Part.Turn way : Part.Turn.values()) {
            Track track = Track.of(course(way, marks.get().place(), palette), setup);
            met.add(met(way, Ensemble.drive(track, Spread.TYPICAL, 0, runs, SEED, workers, job)));
        }
        return new MarkTrial(List.copyOf(met));
    }

    /** A crossing with the marks that tell its way where they count, and others where they do not. */
    static Course course(Part.Turn way, TurnMarks.Place place, Palette palette) {
        Part.Sides telling = Part.Marks.usual(way).before();
        Part.Sides idle = Part.Sides.BOTH;
        Part.Marks marks =
                place == TurnMarks.Place.BEFORE ? new Part.Marks(telling, idle) : new Part.Marks(idle, telling);
        List<Part> parts = new ArrayList<>();
        parts.add(new Part.Straight(BEFORE_MM));
        parts.add(new Part.Crossing(ARM_MM, way, marks));
        if (way != Part.Turn.ROUND) {
            parts.add(new Part.Straight(BEHIND_MM));
        }
        double across = 2 * (ARM_MM + BEHIND_MM + MARGIN_MM);
        double along = BEFORE_MM + 2 * ARM_MM + BEHIND_MM + 2 * MARGIN_MM;
        Pose start = new Pose(MARGIN_MM, across / 2, 0);
        return new Course("crossing, " + way.word(), along, across, start, parts, false, palette);
    }

    private static Met met(Part.Turn way, Ensemble runs) {
        int right = 0;
        int through = 0;
        Map<CrossingPass.Cause, List<CrossingPass>> wrong = new EnumMap<>(CrossingPass.Cause.class);
        for (var result : runs.results()) {
            List<CrossingPass> passes = result.crossings();
            if (passes.size() == 1 && passes.get(0).right()) {
                right++;
                through += result.completed() ? 1 : 0;
            }
            passes.stream()
                    .filter(p -> !p.right())
                    .findFirst()
                    .ifPresent(p -> wrong.computeIfAbsent(p.cause(), c -> new ArrayList<>())
                            .add(p));
        }
        Optional<CrossingPass> commonest =
                wrong.values().stream().max(Comparator.comparingInt(List::size)).map(passes -> passes.get(0));
        return new Met(way, runs.results().size(), right, through, commonest);
    }
}
