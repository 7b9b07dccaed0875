package fahrbahn.headless;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.job.Workers;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.statistics.Completion;
import fahrbahn.core.tuning.race.CourseAdvice;
import fahrbahn.core.tuning.race.CourseAdvisor;
import fahrbahn.core.tuning.race.Goal;
import fahrbahn.core.tuning.race.LimitWords;
import fahrbahn.core.tuning.race.StartingGains;
import fahrbahn.headless.kit.CourseOption;
import fahrbahn.headless.kit.Json;
import fahrbahn.headless.kit.JsonCommand;
import fahrbahn.headless.kit.SeedOption;
import fahrbahn.headless.kit.SetupFile;
import fahrbahn.store.file.BadFileException;
import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

@Command(name = "advise", description = "Gains and speed for a course and what is wanted there.")
final class AdviseCommand extends JsonCommand {
    @Mixin
    private SetupFile setupFile;

    @Mixin
    private CourseOption course;

    @Option(names = "--for", required = true, paramLabel = "GOAL", description = "finish, place or lap")
    private String wanted;

    @Mixin
    private SeedOption seed;

    @Override
    protected ObjectNode answer() throws BadFileException {
        Goal goal = goal(wanted);
        Setup setup = setupFile.read();
        CourseAdvice advice = CourseAdvisor.advise(setup, course.read(), goal, seed.seed(), Workers.all(), progress());
        ObjectNode json =
                Json.object().put("kp", advice.kp()).put("kd", advice.kd()).put("baseCommand", advice.baseCommand());
        chance(json.putObject("chance"), advice.chance());
        time(json, advice.lapS());
        Json.put(json, "gainMargin", advice.margins().gainMargin());
        Json.put(json, "bendMargin", advice.margins().bendMargin());
        json.put("limitedBy", LimitWords.of(advice.limits()));
        ArrayNode schools = json.putArray("schools");
        for (CourseAdvice.School school : advice.schools()) {
            StartingGains gains = school.gains();
            ObjectNode one = schools.addObject()
                    .put("school", gains.school().word())
                    .put("kp", gains.kp())
                    .put("kd", gains.kd());
            chance(one.putObject("chance"), school.chance());
            time(one, school.lapS());
            one.put(
                    "slip",
                    gains.slip() == StartingGains.Slip.NONE
                            ? null
                            : gains.slip().name().toLowerCase(Locale.ROOT).replace('_', '-'));
        }
        return json;
    }

    static Goal goal(String word) {
        return Arrays.stream(Goal.values())
                .filter(g -> g.word().equals(word))
                .findFirst()
                .orElseThrow(() -> new BadValueException("--for", "'" + word + "'", "finish, place or lap"));
    }

    static void chance(ObjectNode json, Completion chance) {
        json.put("low", chance.low())
                .put("high", chance.high())
                .put("runs", chance.runs())
                .put("completed", chance.completed());
    }

    private static void time(ObjectNode json, double lapS) {
        Json.put(json, "lapS", Double.isNaN(lapS) ? Optional.empty() : Optional.of(lapS));
    }
}
