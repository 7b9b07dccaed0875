package fahrbahn.store.exchange;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import fahrbahn.core.csv.CsvText;
import fahrbahn.core.levels.LevelChoice;
import fahrbahn.core.levels.LevelSchool;
import fahrbahn.core.levels.LevelTable;
import fahrbahn.core.marks.MarkComparison;
import fahrbahn.core.marks.MarkSchool;
import fahrbahn.core.setup.Scale;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import fahrbahn.store.file.BadFileException;
import fahrbahn.store.file.Export;
import fahrbahn.store.json.TurnMarksJson;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;

/** Levels, scaling and mark rules as numbers for other programs: JSON, or CSV with a line a number (docs/formats.md). */
public final class LevelsFile {
    private LevelsFile() {}

    /** @param school whose levels are used @param marks empty where there is no colour sensor */
    public static void write(
            Path file, Setup setup, List<LevelTable> tables, LevelSchool school, Optional<MarkComparison> marks)
            throws BadFileException {
        ObjectNode root = json(setup, tables, school, marks);
        boolean csv = file.toString().toLowerCase(Locale.ROOT).endsWith(".csv");
        Export.text(file, csv ? csv(root) : root.toPrettyString() + "\n");
    }

    static ObjectNode json(Setup setup, List<LevelTable> tables, LevelSchool school, Optional<MarkComparison> marks) {
        ObjectNode root = JsonNodeFactory.instance.objectNode();
        root.put("format", "fahrbahn-levels")
                .put("version", 1)
                .put("robot", setup.robot().name());
        root.put("scale", setup.law().scale().word()).put("school", school.word());
        ObjectNode sensors = root.putObject("sensors");
        for (LevelTable table : tables) {
            ObjectNode one = sensors.putObject(table.sensor().sensor());
            one.put("level", table.used(school).level());
            ObjectNode levels = one.putObject("levels");
            for (LevelChoice choice : table.choices()) {
                levels.put(choice.school().word(), choice.level());
            }
            levels.put("band dark", table.sensor().levels().bandDark());
            levels.put("band light", table.sensor().levels().bandLight());
            sensor(setup, table)
                    .ifPresent(s ->
                            scaling(one.putObject("scaling"), s, setup.law().scale()));
        }
        marks.ifPresent(m -> marks(root.putObject("marks"), m));
        setup.law().options().turnMarks().ifPresent(m -> TurnMarksJson.fill(root.putObject("turnMarks"), m));
        return root;
    }

    private static Optional<Sensor> sensor(Setup setup, LevelTable table) {
        return setup.robot().sensors().stream()
                .filter(s -> s.name().equals(table.sensor().sensor()))
                .findFirst();
    }

    private static void scaling(ObjectNode json, Sensor sensor, Scale scale) {
        boolean raw = scale.isRaw();
        json.put("subtract", raw ? 0 : sensor.dark());
        json.put("times", raw ? 1 : (scale.light(sensor) - scale.dark(sensor)) / (sensor.light() - sensor.dark()));
    }

    private static void marks(ObjectNode json, MarkComparison comparison) {
        MarkSchool school = comparison.recommended();
        json.put("school", school.word());
        ObjectNode scaling = json.putObject("scaling");
        for (int i = 0; i < 3; i++) {
            String channel = List.of("red", "green", "blue").get(i);
            scaling.put(channel + " dark", comparison.scale().dark().get(i));
            scaling.put(channel + " light", comparison.scale().light().get(i));
        }
        ObjectNode constants = json.putObject("constants");
        comparison.reader(school).constants().forEach(constants::put);
    }

    /** A line a number: its path in the JSON, with blanks between, and its value. */
    private static String csv(ObjectNode root) {
        StringBuilder text = new StringBuilder();
        try (CSVPrinter lines =
                CSVFormat.RFC4180.builder().setRecordSeparator("\n").get().print(text)) {
            lines.printRecord("name", "value");
            lines(lines, "", root);
        } catch (IOException never) {
            throw new UncheckedIOException(never); // it is written into memory
        }
        return text.toString();
    }

    private static void lines(CSVPrinter lines, String before, JsonNode node) throws IOException {
        for (Map.Entry<String, JsonNode> field : node.properties()) {
            String name = before.isEmpty() ? field.getKey() : before + " " + field.getKey();
            if (field.getValue().isObject()) {
                lines(lines, name, field.getValue());
            } else if (field.getValue().isArray()) {
                ObjectNode counted = JsonNodeFactory.instance.objectNode();
                field.getValue().forEach(each -> counted.set(String.valueOf(counted.size() + 1), each));
                lines(lines, name, counted);
            } else {
                lines.printRecord(
                        CsvText.written(name), CsvText.written(field.getValue().asText()));
            }
        }
    }
}
