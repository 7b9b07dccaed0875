package fahrbahn.headless;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.check.Check;
import fahrbahn.core.job.Job;
import fahrbahn.core.job.Workers;
import fahrbahn.core.path.Part;
import fahrbahn.core.sensing.SensorFault;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.statistics.Sample;
import fahrbahn.core.twin.CrossingPass;
import fahrbahn.core.twin.Ensemble;
import fahrbahn.core.twin.RunResult;
import fahrbahn.core.twin.Spread;
import fahrbahn.core.twin.Start;
import fahrbahn.core.twin.Track;
import fahrbahn.headless.kit.CourseChoice;
import fahrbahn.headless.kit.Json;
import fahrbahn.headless.kit.JsonCommand;
import fahrbahn.headless.kit.SeedOption;
import fahrbahn.headless.kit.SetupFile;
import fahrbahn.store.file.BadFileException;
import java.util.Arrays;
import java.util.Collections;
import java.util.Locale;
import java.util.function.ToDoubleFunction;
import picocli.CommandLine.ArgGroup;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

@Command(name = "drive", description = "Runs the twin.")
final class DriveCommand extends JsonCommand {
    /** More runs than this are told by their summary only. */
    private static final int MOST_LISTED = 1000;

    private static final double USUAL_STRAIGHT_OFFSET_MM = 2;

    @Mixin
    private SetupFile setupFile;

    @ArgGroup(multiplicity = "1")
    private Where where;

    private static final class Where {
        @Option(names = "--straight", paramLabel = "MM", description = "drive this far along a straight line")
        private Double straightMm;

        @Option(
                names = "--course",
                paramLabel = "COURSE.json",
                description = "drive a course: a file, or loop, rescue, mission or sprint for one of our own")
        private String course;
    }

    /** Further beside its path no robot is set down. */
    private static final double MOST_OFFSET_MM = 10_000;

    @Option(
            names = "--offset",
            paramLabel = "MM",
            description = "start this far from the path (2 mm on a straight, 0 on a course)")
    private Double offsetMm;

    @Option(names = "--runs", paramLabel = "N", defaultValue = "1", description = "number of runs (1)")
    private int runs;

    @Mixin
    private SeedOption seed;

    @Option(
            names = "--fault",
            paramLabel = "SENSOR:KIND",
            description = "a sensor that has failed: stuck-on-ground, stuck-on-line or half-contrast")
    private String fault;

    @Option(names = "--calm", description = "no noise, no rounding, no variation")
    private boolean calm;

    @Override
    protected ObjectNode answer() throws BadFileException {
        if (runs < 1 || runs > Ensemble.MOST_RUNS) {
            throw new BadValueException("--runs", runs, "from 1 to " + Ensemble.MOST_RUNS);
        }
        Setup setup = setupFile.read();
        Track track = where.straightMm != null
                ? Track.straight(where.straightMm, setup)
                : Track.of(CourseChoice.read(where.course), setup);
        Ensemble ensemble = drive(fault == null ? track : track.with(failed(fault)));
        ObjectNode answer = Json.object();
        if (runs <= MOST_LISTED) {
            ArrayNode all = answer.putArray("runs");
            ensemble.results().forEach(result -> all.add(run(result)));
        }
        if (runs > 1) {
            answer.set("summary", summary(ensemble));
        }
        return answer;
    }

    private static SensorFault failed(String told) {
        int colon = told.lastIndexOf(':');
        String kind = told.substring(colon + 1);
        return Arrays.stream(SensorFault.Kind.values())
                .filter(k -> colon > 0 && k.word().equals(kind))
                .map(k -> new SensorFault(told.substring(0, colon), k))
                .findFirst()
                .orElseThrow(() -> new BadValueException(
                        "--fault",
                        "'" + told + "'",
                        "a sensor, a colon and one of stuck-on-ground, stuck-on-line, half-contrast"));
    }

    private Ensemble drive(Track track) {
        double usual = where.straightMm != null ? USUAL_STRAIGHT_OFFSET_MM : 0;
        double offset = offsetMm == null ? usual : offsetMm;
        Check.between("--offset", offset, -MOST_OFFSET_MM, MOST_OFFSET_MM);
        Job progress = progress();
        if (calm) {
            return Ensemble.drive(track, Collections.nCopies(runs, Start.calm(offset)), Workers.all(), progress);
        }
        return Ensemble.drive(track, Spread.TYPICAL, offset, runs, seed.seed(), Workers.all(), progress);
    }

    private static ObjectNode summary(Ensemble ensemble) {
        ObjectNode summary = Json.of(ensemble.completion(), "runs");
        putSample(summary, "timeS", ensemble, RunResult::timeS);
        putSample(summary, "rmsMm", ensemble, RunResult::rmsMm);
        putSample(summary, "peakMm", ensemble, RunResult::peakMm);
        putSample(summary, "stopAlongMm", ensemble, RunResult::stopAlongMm);
        putSample(summary, "stopAcrossMm", ensemble, RunResult::stopAcrossMm);
        return summary;
    }

    private static void putSample(
            ObjectNode summary, String name, Ensemble ensemble, ToDoubleFunction<RunResult> figure) {
        Json.put(summary.putObject(name), Sample.of(ensemble.ofCompleted(figure)));
    }

    private static ObjectNode run(RunResult result) {
        ObjectNode json = Json.object()
                .put("completed", result.completed())
                .put("end", result.end().word())
                .put("timeS", result.timeS())
                .put("rmsMm", result.rmsMm())
                .put("peakMm", result.peakMm())
                .put("bandLeftShare", result.ride().bandLeftShare());
        Json.put(json, "wigglePeriodS", result.ride().wigglePeriodS());
        json.put("reversalsPerM", result.ride().reversalsPerM())
                .put("travelPerM", result.ride().travelPerM())
                .put("reachedMm", result.sMm())
                .put("stopAlongMm", result.stopAlongMm())
                .put("stopAcrossMm", result.stopAcrossMm());
        if (!result.crossings().isEmpty()) {
            ArrayNode crossings = json.putArray("crossings");
            result.crossings().forEach(pass -> crossing(crossings.addObject(), pass));
        }
        return json;
    }

    private static void crossing(ObjectNode json, CrossingPass pass) {
        json.put("number", pass.number())
                .put("sMm", pass.sMm())
                .put("way", pass.way().word())
                .put("decided", pass.decided().map(Part.Turn::word).orElse(null))
                .put("right", pass.right());
        if (!pass.right()) {
            json.put("cause", pass.cause().name().toLowerCase(Locale.ROOT).replace('_', '-'))
                    .put("side", pass.onLeft() ? "left" : "right")
                    .put("reads", pass.reads());
        }
    }
}
