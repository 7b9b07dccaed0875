package fahrbahn.headless;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.law.Program;
import fahrbahn.core.readings.Reading;
import fahrbahn.core.readings.ReadingsFile;
import fahrbahn.core.setup.Setup;
import fahrbahn.headless.kit.Json;
import fahrbahn.headless.kit.JsonCommand;
import fahrbahn.headless.kit.SetupFile;
import fahrbahn.store.exchange.ReadingsCsv;
import fahrbahn.store.file.BadFileException;
import java.nio.file.Path;
import java.util.List;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Parameters;

@Command(name = "steps", description = "What a setup's law does with readings, tick by tick.")
final class StepsCommand extends JsonCommand {
    @Mixin
    private SetupFile setupFile;

    @Parameters(index = "1", paramLabel = "READINGS.csv")
    private Path readingsFile;

    @Override
    protected ObjectNode answer() throws BadFileException {
        Setup setup = setupFile.read();
        ReadingsFile file = ReadingsCsv.read(readingsFile);
        Program program = new Program(setup);
        int[] columns = columns(program.sensors(), file.sensors());
        ObjectNode answer = Json.object();
        ArrayNode ticks = answer.putArray("ticks");
        double[] readings = new double[columns.length];
        double before = Double.NaN;
        for (Reading reading : file.readings()) {
            for (int i = 0; i < columns.length; i++) {
                readings[i] = reading.value(columns[i]);
                if (!Double.isFinite(readings[i])) {
                    throw new BadValueException(
                                    program.sensors().get(i), "missing in reading " + (ticks.size() + 1), "a number")
                            .inside(String.valueOf(readingsFile));
                }
            }
            double now = reading.tS();
            program.tick(readings, tickS(setup, before, now));
            before = now;
            ticks.addObject()
                    .put("error", program.error())
                    .put("steering", program.steering())
                    .put("left", program.left())
                    .put("right", program.right());
        }
        return answer;
    }

    /** Of the file's times where it has them; the first tick, and every one without a time, takes the loop's period. */
    private double tickS(Setup setup, double before, double now) {
        if (!Double.isFinite(before) || !Double.isFinite(now)) {
            return setup.robot().loop().periodS();
        }
        if (!(now >= before)) {
            throw new BadValueException("tS", now, "not before that of the reading above, " + before)
                    .inside(String.valueOf(readingsFile));
        }
        return now - before;
    }

    private int[] columns(List<String> sensors, List<String> names) {
        return sensors.stream()
                .mapToInt(sensor -> {
                    int column = names.indexOf(sensor);
                    if (column < 0) {
                        throw new BadValueException(
                                        "columns",
                                        "'" + String.join(", ", names) + "'",
                                        "'" + sensor + "' among them: the law reads it")
                                .inside(String.valueOf(readingsFile));
                    }
                    return column;
                })
                .toArray();
    }
}
