package fahrbahn.headless;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.marks.Confusions;
import fahrbahn.core.marks.MarkComparison;
import fahrbahn.core.marks.MarkSample;
import fahrbahn.core.marks.MarkSchool;
import fahrbahn.core.marks.MarksFile;
import fahrbahn.headless.kit.Json;
import fahrbahn.headless.kit.JsonCommand;
import fahrbahn.store.file.BadFileException;
import fahrbahn.store.file.TextFile;
import java.nio.file.Path;
import java.util.List;
import picocli.CommandLine.Command;
import picocli.CommandLine.Parameters;

@Command(
        name = "marks",
        description = "Coloured marks told apart by every school, each judged by readings it has not seen.")
final class MarksCommand extends JsonCommand {
    @Parameters(paramLabel = "SAMPLES.csv")
    private Path file;

    @Override
    protected ObjectNode answer() throws BadFileException {
        MarkComparison comparison = TextFile.table(file, "table of colour readings", text -> {
            try {
                List<MarkSample> samples = MarksFile.read(text);
                return MarkComparison.of(samples);
            } catch (BadValueException broken) {
                throw new BadFileException(file + ": " + broken.getMessage(), broken);
            }
        });
        ObjectNode answer = Json.object();
        ObjectNode classifiers = answer.putObject("classifiers");
        for (MarkSchool school : MarkSchool.values()) {
            ObjectNode json = confusions(comparison.byReading(school));
            comparison.byCapture(school).ifPresent(c -> json.set("capturesLeftOut", confusions(c)));
            classifiers.set(school.word(), json);
        }
        answer.set("recommended", recommended(comparison));
        ArrayNode line = answer.putArray("line");
        comparison
                .channels()
                .forEach(c -> line.addObject()
                        .put("channel", c.channel().word())
                        .put("separation", c.separation())
                        .put("plusMinus", c.plusMinus()));
        return answer;
    }

    private static ObjectNode confusions(Confusions confusions) {
        ObjectNode json = Json.object()
                .put("misreads", confusions.misreads())
                .put("of", confusions.of())
                .put("harmful", confusions.harmful());
        ObjectNode taken = json.putObject("taken");
        confusions.taken().forEach((pair, count) -> taken.put(pair.was() + ">" + pair.takenAs(), count));
        return json;
    }

    private static ObjectNode recommended(MarkComparison comparison) {
        MarkSchool school = comparison.recommended();
        ObjectNode json = Json.object().put("school", school.word());
        ObjectNode scale = json.putObject("scale");
        scale.set("dark", channels(comparison.scale().dark()));
        scale.set("light", channels(comparison.scale().light()));
        ObjectNode constants = json.putObject("constants");
        comparison.reader(school).constants().forEach(constants::put);
        return json;
    }

    private static ObjectNode channels(List<Double> rgb) {
        return Json.object().put("red", rgb.get(0)).put("green", rgb.get(1)).put("blue", rgb.get(2));
    }
}
