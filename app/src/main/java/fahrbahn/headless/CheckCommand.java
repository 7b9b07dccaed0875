package fahrbahn.headless;

import com.fasterxml.jackson.databind.node.ObjectNode;
import fahrbahn.headless.kit.Json;
import fahrbahn.headless.kit.JsonCommand;
import fahrbahn.store.file.BadFileException;
import fahrbahn.store.season.Salvage;
import fahrbahn.store.season.SeasonCheck;
import java.nio.file.Path;
import java.time.Clock;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

@Command(name = "check", description = "Whether a season file is sound, and what can be salvaged of it.")
final class CheckCommand extends JsonCommand {
    @Parameters(paramLabel = "SEASON.fahrbahn")
    private Path file;

    @Option(names = "--salvage", paramLabel = "FILE", description = "a new season with what can be read")
    private Path target;

    @Override
    protected ObjectNode answer() throws BadFileException {
        SeasonCheck check = SeasonCheck.of(file, Clock.systemUTC());
        ObjectNode answer = Json.object().put("sound", check.sound()).put("changes", check.changes());
        if (check.sound()) {
            answer.putNull("problem");
        } else {
            answer.put("problem", check.problem());
        }
        ObjectNode documents = answer.putObject("documents");
        check.documents().forEach(documents::put);
        check.lost().forEach(answer.putArray("lost")::add);
        if (target != null) {
            Salvage salvage = check.salvage()
                    .orElseThrow(
                            () -> new BadFileException(file + ": there is nothing in it yet that could be salvaged"));
            salvage.into(target, Clock.systemUTC());
            answer.put("salvagedInto", target.toString());
        }
        return answer;
    }
}
