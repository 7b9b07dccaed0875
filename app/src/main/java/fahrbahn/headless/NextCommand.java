package fahrbahn.headless;

import com.fasterxml.jackson.databind.node.ObjectNode;
import fahrbahn.core.belief.Belief;
import fahrbahn.core.belief.Candidate;
import fahrbahn.core.belief.Story;
import fahrbahn.core.job.Job;
import fahrbahn.core.job.Workers;
import fahrbahn.core.next.NextTrial;
import fahrbahn.core.next.NextWords;
import fahrbahn.headless.kit.CourseChoice;
import fahrbahn.headless.kit.Json;
import fahrbahn.headless.kit.JsonCommand;
import fahrbahn.store.file.BadFileException;
import fahrbahn.store.json.StoryJson;
import java.nio.file.Path;
import picocli.CommandLine.Command;
import picocli.CommandLine.Parameters;

@Command(name = "next", description = "What to try next after some trials.")
final class NextCommand extends JsonCommand {
    /** The same story gets the same answer. */
    private static final long SEED = 1;

    @Parameters(paramLabel = "STORY.json")
    private Path storyFile;

    @Override
    protected ObjectNode answer() throws BadFileException {
        Story story = StoryJson.read(storyFile, CourseChoice::read);
        NextTrial trial = NextTrial.of(story, SEED, Workers.all(), Job.UNWATCHED);
        ObjectNode json = Json.object();
        if (trial.next().isPresent()) {
            setting(json.putObject("next"), trial.next().get());
        } else {
            json.putNull("next");
        }
        ObjectNode best = setting(json.putObject("best"), trial.best());
        AdviseCommand.chance(best.putObject("chance"), trial.chance());
        AdviseCommand.chance(json.putObject("promise"), trial.promise());
        json.put("reason", NextWords.reason(trial));
        Belief belief = trial.belief();
        ObjectNode ranges = json.putObject("belief");
        range(ranges, "lagS", belief.lagS());
        range(ranges, "delayS", belief.delayS());
        range(ranges, "freeSpeedMmPerS", belief.freeSpeedMmPerS());
        range(ranges, "slopeShare", belief.slopeShare());
        range(ranges, "effectiveWidthMm", belief.effectiveWidthMm());
        range(ranges, "mismatchShare", belief.mismatchShare());
        range(ranges, "readingShift", trial.aside().shift());
        trial.aside().target().ifPresentOrElse(target -> json.put("target", target), () -> json.putNull("target"));
        json.put("effectiveRobots", belief.effective());
        json.put("suspect", trial.suspect().map(NextTrial.Suspect::word).orElse(null));
        return json;
    }

    private static ObjectNode setting(ObjectNode json, Candidate setting) {
        return json.put("kp", setting.kp()).put("kd", setting.kd()).put("baseCommand", setting.baseCommand());
    }

    private static void range(ObjectNode json, String name, Belief.Range range) {
        json.putObject(name).put("low", range.low()).put("mid", range.mid()).put("high", range.high());
    }
}
