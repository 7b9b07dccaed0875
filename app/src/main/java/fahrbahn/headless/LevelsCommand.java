package fahrbahn.headless;

import com.fasterxml.jackson.databind.node.ObjectNode;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.levels.LevelPick;
import fahrbahn.core.levels.LevelSchool;
import fahrbahn.core.levels.Levels;
import fahrbahn.core.levels.Misreads;
import fahrbahn.core.levels.SensorLevels;
import fahrbahn.core.readings.BadReadingsException;
import fahrbahn.core.readings.Capture;
import fahrbahn.core.readings.Reading;
import fahrbahn.core.readings.ReadingsFile;
import fahrbahn.core.readings.SurfaceStats;
import fahrbahn.headless.kit.Json;
import fahrbahn.headless.kit.JsonCommand;
import fahrbahn.store.exchange.ReadingsCsv;
import fahrbahn.store.file.BadFileException;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

@Command(name = "levels", description = "Levels between dark and light for each sensor of a file of readings.")
final class LevelsCommand extends JsonCommand {
    @Parameters(paramLabel = "READINGS.csv")
    private Path readingsFile;

    @Option(
            names = "--step",
            paramLabel = "S",
            description = "smallest change a sensor can report; found when not given")
    private Double step;

    @Override
    protected ObjectNode answer() throws BadFileException, BadReadingsException {
        ReadingsFile file = ReadingsCsv.read(readingsFile);
        ObjectNode answer = Json.object();
        var sensors = answer.putArray("sensors");
        for (int i = 0; i < file.sensors().size(); i++) {
            try {
                sensors.add(sensor(file, i));
            } catch (BadValueException refused) {
                throw refused.inside(readingsFile + ": sensor " + file.sensors().get(i));
            }
        }
        return answer;
    }

    private ObjectNode sensor(ReadingsFile file, int index) throws BadReadingsException {
        double[] dark = surface(file, Capture.DARK, index);
        double[] light = surface(file, Capture.LIGHT, index);
        String name = file.sensors().get(index);
        SensorLevels sensor =
                step == null ? SensorLevels.of(name, dark, light) : SensorLevels.of(name, dark, light, step);
        Levels levels = sensor.levels();
        LevelPick pick = LevelPick.of(List.of(sensor));
        double recommended = pick.school() == LevelSchool.BEST ? levels.bestLevel() : levels.midpoint();
        ObjectNode json = Json.object().put("name", name);
        json.set("dark", stats(levels.dark()));
        json.set("light", stats(levels.light()));
        return json.put("midpoint", levels.midpoint())
                .put("bestLevel", levels.bestLevel())
                .put("misreadAtMidpoint", misread(levels, levels.midpoint()))
                .put("misreadAtBest", misread(levels, levels.bestLevel()))
                .put("bandDark", levels.bandDark())
                .put("bandLight", levels.bandLight())
                .put("recommendedLevel", recommended)
                .put("recommendedBy", pick.school() == LevelSchool.BEST ? "best" : "midpoint")
                .put(
                        "recommendedFor",
                        pick.why().name().toLowerCase(Locale.ROOT).replace('_', ' '))
                .set("claimAtRecommended", claim(sensor, recommended));
    }

    /** By the normal tails, which rank levels; from few readings no less than they could show. */
    private static double misread(Levels levels, double level) {
        double chance = levels.misread(level);
        return levels.few() ? Math.max(chance, Misreads.leastClaim(levels.readings())) : chance;
    }

    /** What was counted, and what can be claimed of it. */
    private static ObjectNode claim(SensorLevels sensor, double level) {
        Misreads counted = sensor.misreads(level);
        return Json.object()
                .put("misreads", counted.seen())
                .put("of", counted.of())
                .put("chance", sensor.claim(level))
                .put("low", counted.low())
                .put("high", counted.high());
    }

    private double[] surface(ReadingsFile file, String surface, int index) throws BadReadingsException {
        double[] values = file.readings().stream()
                .filter(reading -> reading.surface().equals(surface))
                .mapToDouble((Reading reading) -> reading.value(index))
                .toArray();
        if (values.length < 2) {
            throw new BadReadingsException(readingsFile + ": " + values.length + " readings have '" + surface
                    + "' in a column 'surface'; at least 2 are needed");
        }
        return values;
    }

    private static ObjectNode stats(SurfaceStats stats) {
        return Json.object()
                .put("n", stats.n())
                .put("leftOut", stats.leftOut().size())
                .put("median", stats.median())
                .put("mean", stats.mean())
                .put("sd", stats.sd());
    }
}
