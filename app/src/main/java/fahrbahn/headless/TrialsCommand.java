package fahrbahn.headless;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.check.Check;
import fahrbahn.core.statistics.Effect;
import fahrbahn.core.statistics.Sample;
import fahrbahn.core.trials.Comparison;
import fahrbahn.core.trials.Family;
import fahrbahn.core.trials.Group;
import fahrbahn.core.trials.LapScatter;
import fahrbahn.core.trials.Outcome;
import fahrbahn.core.trials.StopPlace;
import fahrbahn.core.trials.TrialsFile;
import fahrbahn.headless.kit.Json;
import fahrbahn.headless.kit.JsonCommand;
import fahrbahn.store.file.BadFileException;
import fahrbahn.store.file.TextFile;
import java.nio.file.Path;
import java.util.List;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

@Command(name = "trials", description = "What logged runs prove.")
final class TrialsCommand extends JsonCommand {
    /** Of more settings the pairs fill pages, and none is shown. */
    private static final int MOST_GROUPS = 20;

    @Parameters(paramLabel = "RUNS.csv")
    private Path file;

    @Option(
            names = "--lap-scatter",
            paramLabel = "S",
            description = "standard deviation of laps with one setting, s: a lap or two of each are judged by it")
    private Double lapScatterS;

    @Override
    protected ObjectNode answer() throws BadFileException {
        List<Group> groups = groups();
        Check.require(groups.size() <= MOST_GROUPS, "settings", groups.size(), "at most " + MOST_GROUPS);
        ObjectNode answer = Json.object();
        ObjectNode all = answer.putObject("groups");
        groups.forEach(group -> all.set(group.setting(), group(group)));
        if (groups.size() == 2) {
            answer.set("comparison", comparison(compared(groups.get(0), groups.get(1))));
        } else {
            answer.putNull(
                    "comparison"); // two settings are compared; one has nothing to be compared with, three no pair
        }
        if (groups.size() > 2) {
            ArrayNode pairs = answer.putArray("comparisons");
            Family.of(groups).pairs().forEach(pair -> pairs.add(pair(pair)));
        }
        return answer;
    }

    private Comparison compared(Group a, Group b) {
        if (lapScatterS == null || !Comparison.fewLaps(a, b)) {
            return Comparison.of(a, b);
        }
        double lapS = (a.timeS().mean() + b.timeS().mean()) / 2;
        return Comparison.of(a, b, LapScatter.typed(lapScatterS, lapS));
    }

    private List<Group> groups() throws BadFileException {
        return TextFile.table(file, "table of runs", text -> {
            try {
                return TrialsFile.read(text);
            } catch (BadValueException broken) {
                throw new BadFileException(file + ": " + broken.getMessage(), broken);
            }
        });
    }

    private static ObjectNode group(Group group) {
        ObjectNode json = Json.of(group.completion(), "n");
        Json.put(json.putObject("timeS"), group.timeS());
        Json.put(json.putObject("alongMm"), group.alongMm());
        Json.put(json.putObject("acrossMm"), group.acrossMm());
        ObjectNode first = json.putObject("firstRun");
        Outcome run = group.outcomes().get(0);
        firstRun(first.putObject("timeS"), run, run.timeS(), group.timeS());
        firstRun(first.putObject("alongMm"), run, run.stop().alongMm(), group.alongMm());
        firstRun(first.putObject("acrossMm"), run, run.stop().acrossMm(), group.acrossMm());
        return json;
    }

    /** One of several: with its chances as one of so many. */
    private static ObjectNode pair(Family.Pair pair) {
        ObjectNode json = comparison(pair.comparison());
        Json.put(json, "completionFamilyP", pair.completionP());
        Json.put(json, "timeFamilyP", pair.timeP());
        Json.put(json, "alongSpreadFamilyP", pair.alongSpreadP());
        return json;
    }

    /** A first run that was lost, or not measured, is apart from nothing. @param all of the runs that completed, in their order */
    private static void firstRun(ObjectNode json, Outcome run, double value, Sample all) {
        boolean told = run.completed() && !Double.isNaN(value);
        StopPlace.Apart first = new StopPlace(all).firstRun();
        Json.put(json, "away", told ? first.awayMm() : Double.NaN);
        Json.put(json, "p", told ? first.p() : Double.NaN);
    }

    private static ObjectNode comparison(Comparison comparison) {
        ObjectNode json = Json.object().put("a", comparison.a()).put("b", comparison.b());
        Json.put(json, "completionP", comparison.completion().p());
        Json.put(json, "timeP", comparison.timeS().p());
        Json.put(json, "alongSpreadP", comparison.alongSpread().p());
        json.set("completionDifference", effect(comparison.completion()));
        json.set("timeDifferenceS", effect(comparison.timeS()));
        json.set("alongSpreadRatio", effect(comparison.alongSpread()));
        return json;
    }

    private static ObjectNode effect(Effect effect) {
        ObjectNode json = Json.object();
        Json.put(json, "size", effect.size());
        Json.put(json, "low", effect.low());
        Json.put(json, "high", effect.high());
        return json.put("moreRunsEach", effect.moreRunsEach());
    }
}
