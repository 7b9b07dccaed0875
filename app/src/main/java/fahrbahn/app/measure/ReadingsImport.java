package fahrbahn.app.measure;

import fahrbahn.core.readings.BadReadingsException;
import fahrbahn.core.readings.Capture;
import fahrbahn.core.readings.ColumnMap;
import fahrbahn.core.readings.Conditions;
import fahrbahn.core.readings.Reading;
import fahrbahn.core.readings.ReadingsFile;
import fahrbahn.core.setup.Robot;
import fahrbahn.core.setup.Sensor;
import fahrbahn.store.exchange.ReadingsCsv;
import fahrbahn.store.file.BadFileException;
import java.io.IOException;
import java.io.StringReader;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Turns a text of readings into captures, one for each surface it names.
 *
 * @param source where it comes from, to be kept with each capture
 */
record ReadingsImport(String source, Instant at, ColumnMap columns, Robot robot, Conditions conditions) {
    /**
     * What a text of readings came to.
     *
     * @param captures one for each surface it names
     * @param nameless readings that name none; somebody has to say what they are of
     */
    record Imported(
            ReadingsImport how,
            ReadingsFile file,
            List<String> sensors,
            List<Capture> captures,
            List<Reading> nameless) {
        /** Whether somebody has to say first which column is which sensor. */
        boolean asksColumns() {
            return how.columns.asks(file.sensors(), how.names());
        }

        /** The same with the columns taken otherwise. */
        Imported with(ColumnMap columns) throws BadFileException {
            return new ReadingsImport(how.source, how.at, columns, how.robot, how.conditions).imported(file);
        }

        /** All captures, when it is known what the nameless readings are of. */
        List<Capture> of(String surface) {
            List<Capture> all = new ArrayList<>(captures);
            if (!nameless.isEmpty()) {
                all.add(how.capture(surface, sensors, nameless));
            }
            return all;
        }
    }

    private List<String> names() {
        return robot.sensors().stream().map(Sensor::name).toList();
    }

    Imported file(Path file) throws BadFileException {
        return imported(ReadingsCsv.read(file));
    }

    Imported text(String text) throws BadFileException {
        try {
            return imported(ReadingsFile.read(new StringReader(text)));
        } catch (BadReadingsException | IOException broken) {
            throw new BadFileException("What was pasted: " + broken.getMessage(), broken);
        }
    }

    /** Readings without a surface but with places are a slide. */
    private Imported imported(ReadingsFile file) throws BadFileException {
        ColumnMap.Picker picker = columns.picker(file.sensors(), names(), robot.channels());
        Map<String, List<Reading>> bySurface = new LinkedHashMap<>();
        for (Reading reading : file.readings()) {
            boolean placed = reading.surface().isEmpty() && !Double.isNaN(reading.positionMm());
            bySurface
                    .computeIfAbsent(placed ? Capture.SLIDE : reading.surface(), s -> new ArrayList<>())
                    .add(picker.pick(reading));
        }
        List<Capture> captures = new ArrayList<>();
        for (Map.Entry<String, List<Reading>> surface : bySurface.entrySet()) {
            if (surface.getValue().size() < 2) {
                String where = surface.getKey().isEmpty() ? "without a surface" : "on '" + surface.getKey() + "'";
                throw new BadFileException(
                        source + " : only one reading " + where + "; at least 2 are needed. Nothing was imported");
            }
            if (!surface.getKey().isEmpty()) {
                captures.add(capture(surface.getKey(), picker.sensors(), surface.getValue()));
            }
        }
        return new Imported(this, file, picker.sensors(), captures, bySurface.getOrDefault("", List.of()));
    }

    private Capture capture(String surface, List<String> sensors, List<Reading> readings) {
        return new Capture(MeasureModel.newId(), surface, at, source, sensors, readings, conditions);
    }
}
