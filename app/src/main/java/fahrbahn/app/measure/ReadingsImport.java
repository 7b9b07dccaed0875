package fahrbahn.app.measure;

import fahrbahn.app.words.Words;
import fahrbahn.core.readings.BadReadingsException;
import fahrbahn.core.readings.Capture;
import fahrbahn.core.readings.ColumnMap;
import fahrbahn.core.readings.Conditions;
import fahrbahn.core.readings.Reading;
import fahrbahn.core.readings.ReadingsFile;
import fahrbahn.store.BadFileException;
import fahrbahn.store.ReadingsCsv;
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
record ReadingsImport(String source, Instant at, ColumnMap columns, List<String> robotSensors, Conditions conditions) {
    List<Capture> file(Path file) throws BadFileException {
        return captures(ReadingsCsv.read(file));
    }

    List<Capture> text(String text) throws BadFileException {
        try {
            return captures(ReadingsFile.read(new StringReader(text)));
        } catch (BadReadingsException | IOException broken) {
            throw new BadFileException("What was pasted: " + broken.getMessage(), broken);
        }
    }

    /** Readings without a surface but with places are a slide; without either they cannot be told apart. */
    private List<Capture> captures(ReadingsFile file) throws BadFileException {
        ColumnMap.Picker picker = columns.picker(file.sensors(), robotSensors);
        Map<String, List<Reading>> bySurface = new LinkedHashMap<>();
        for (Reading reading : file.readings()) {
            boolean placed = reading.surface().isEmpty() && !Double.isNaN(reading.positionMm());
            bySurface
                    .computeIfAbsent(placed ? Capture.SLIDE : reading.surface(), s -> new ArrayList<>())
                    .add(picker.pick(reading));
        }
        List<Capture> captures = new ArrayList<>();
        for (Map.Entry<String, List<Reading>> surface : bySurface.entrySet()) {
            if (surface.getKey().isEmpty()) {
                throw new BadFileException(
                        source + ": " + Words.count(surface.getValue().size(), "reading has", "readings have")
                                + " no surface. Add a column 'surface' that says dark or light. Nothing was imported");
            }
            if (surface.getValue().size() < 2) {
                throw new BadFileException(source + ": only one reading on '" + surface.getKey()
                        + "'; at least 2 are needed. Nothing was imported");
            }
            captures.add(new Capture(
                    MeasureModel.newId(),
                    surface.getKey(),
                    at,
                    source,
                    picker.sensors(),
                    surface.getValue(),
                    conditions));
        }
        return captures;
    }
}
