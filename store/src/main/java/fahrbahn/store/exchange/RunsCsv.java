package fahrbahn.store.exchange;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.check.Check;
import fahrbahn.core.csv.CsvRows;
import fahrbahn.core.csv.CsvText;
import fahrbahn.core.setup.Law;
import fahrbahn.core.trials.Outcome;
import fahrbahn.core.trials.PartOf;
import fahrbahn.core.trials.Run;
import fahrbahn.store.file.BadFileException;
import fahrbahn.store.file.Export;
import fahrbahn.store.file.TextFile;
import java.io.IOException;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.time.Instant;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.apache.commons.csv.CSVRecord;

/**
 * A log book as a table: a line a run, what nobody measured left empty. The command {@code trials} reads it too. Settings are told by their gains and
 * speed alone; a file in JSON ({@link RunsJson}) has them whole.
 */
public final class RunsCsv {
    private static final List<String> COLUMNS = List.of(
            "id",
            "at",
            "source",
            "robot",
            "table",
            "venue",
            "setting",
            "kp",
            "ki",
            "kd",
            "baseCommand",
            "completed",
            "timeS",
            "rmsMm",
            "alongMm",
            "acrossMm",
            "lostMm",
            "seen",
            "wiggles",
            "wigglesS",
            "batteryV",
            "wheels",
            "note",
            "partOf");

    private static final List<String> YES = List.of("true", "yes", "1", "ran");
    private static final List<String> NO = List.of("false", "no", "0", "lost");

    /** Seconds, millimetres and gains beyond this are a slipped decimal point. */
    private static final double MOST = 1e6;

    private RunsCsv() {}

    /** @throws BadFileException when it cannot be written; what was there is there still */
    public static void write(Path file, List<Run> runs, RunNames names) throws BadFileException {
        Export.text(file, text(runs, names));
    }

    static String text(List<Run> runs, RunNames names) {
        StringBuilder text = new StringBuilder();
        try (CSVPrinter lines =
                CSVFormat.RFC4180.builder().setRecordSeparator("\n").get().print(text)) {
            lines.printRecord(COLUMNS);
            for (Run run : runs) {
                lines.printRecord(line(run, names).stream()
                        .map(cell -> cell instanceof String words ? CsvText.written(words) : cell)
                        .toList());
            }
        } catch (IOException never) {
            throw new UncheckedIOException(never); // it is written into memory
        }
        return text.toString();
    }

    private static List<Object> line(Run run, RunNames names) {
        Law law = run.setting().setup().law();
        Outcome outcome = run.outcome();
        List<Object> line = new ArrayList<>(List.of(
                run.id(),
                run.at(),
                run.source().word(),
                names.robot().apply(run.robot()),
                run.basis().table().name(),
                names.venue().apply(run.basis().conditions().venue()),
                run.setting().id(),
                law.kp(),
                law.ki(),
                law.kd(),
                law.baseCommand(),
                outcome.completed()));
        line.addAll(List.of(
                measured(outcome.timeS()),
                measured(outcome.rmsMm()),
                measured(outcome.stop().alongMm()),
                measured(outcome.stop().acrossMm()),
                measured(outcome.lostMm()),
                outcome.seen().map(Outcome.Seen::word).orElse(""),
                outcome.wiggles().map(w -> String.valueOf(w.count())).orElse(""),
                measured(outcome.wiggles().map(Outcome.Wiggles::overS).orElse(Double.NaN)),
                measured(run.volts()),
                run.basis().conditions().wheels(),
                run.note(),
                run.partOf().map(PartOf::word).orElse("")));
        return line;
    }

    private static Object measured(double value) {
        return Double.isNaN(value) ? "" : value;
    }

    /**
     * A line of a table of runs; what stands nowhere is empty, NaN or the text "".
     *
     * @param gains by the names {@code kp}, {@code ki}, {@code kd} and {@code baseCommand}, those that stand there
     */
    public record Line(
            String id,
            Optional<Instant> at,
            Run.Source source,
            Where where,
            Map<String, Double> gains,
            Outcome outcome,
            double batteryV,
            String wheels,
            String note,
            Optional<PartOf> partOf) {}

    /** Which robot ran, and on which table of which venue, as they are called. */
    public record Where(String robot, String table, String venue) {}

    /** @throws BadFileException naming the file, the line, the column, the value and what was expected; nothing is half read */
    public static List<Line> read(Path file) throws BadFileException {
        try {
            return TextFile.table(file, "table of runs", RunsCsv::lines);
        } catch (BadValueException refused) {
            throw new BadFileException(file + ": " + refused.getMessage(), refused);
        }
    }

    private static List<Line> lines(Reader text) throws IOException {
        List<Line> lines = new ArrayList<>();
        try (CsvRows rows = CsvRows.open(text)) {
            List<String> header = null;
            for (CSVRecord row : rows.parser()) {
                List<String> fields = CsvRows.fields(row);
                long number = rows.parser().getCurrentLineNumber();
                if (header == null) {
                    header = fields;
                    Check.require(
                            header.contains("completed"),
                            "line 1",
                            "'" + String.join(", ", header) + "'",
                            "column names with 'completed' among them");
                } else {
                    lines.add(line(new Row(header, fields, rows.separator()), number));
                }
            }
        } catch (UncheckedIOException broken) {
            throw new BadValueException("file", "broken: " + broken.getCause().getMessage(), "a table of runs in CSV");
        }
        Check.require(!lines.isEmpty(), "file", "empty", "a line with the column names, then a line a run");
        return lines;
    }

    private record Row(List<String> header, List<String> fields, char separator) {
        String text(String column) {
            int at = header.indexOf(column);
            return at < 0 ? "" : fields.get(at);
        }

        double number(String column) {
            String typed = text(column);
            if (typed.isEmpty()) {
                return Double.NaN;
            }
            double value = CsvRows.number(typed, separator);
            Check.require(
                    Math.abs(value) <= MOST,
                    column,
                    "'" + typed + "'",
                    "a number of at most " + (long) MOST + ", or empty if not measured");
            return value;
        }
    }

    private static Line line(Row row, long number) {
        try {
            Check.require(
                    row.fields().size() == row.header().size(),
                    "values",
                    row.fields().size(),
                    row.header().size() + ", as in the header");
            Map<String, Double> gains = new LinkedHashMap<>();
            for (String gain : List.of("kp", "ki", "kd", "baseCommand")) {
                double value = row.number(gain);
                if (!Double.isNaN(value)) {
                    gains.put(gain, value);
                }
            }
            return new Line(
                    row.text("id"),
                    instant(row.text("at")),
                    source(row.text("source")),
                    new Where(row.text("robot"), row.text("table"), row.text("venue")),
                    gains,
                    outcome(row),
                    row.number("batteryV"),
                    row.text("wheels"),
                    row.text("note"),
                    row.text("partOf").isEmpty() ? Optional.empty() : Optional.of(PartOf.of(row.text("partOf"))));
        } catch (BadValueException broken) {
            throw broken.inside("line " + number);
        }
    }

    private static Outcome outcome(Row row) {
        Outcome outcome = Outcome.of(truth(row.text("completed")), row.number("timeS"))
                .withRmsMm(row.number("rmsMm"))
                .withStop(row.number("alongMm"), row.number("acrossMm"))
                .withLostMm(row.number("lostMm"));
        String seen = row.text("seen");
        if (!seen.isEmpty()) {
            outcome = outcome.withSeen(Arrays.stream(Outcome.Seen.values())
                    .filter(s -> s.word().equals(seen))
                    .findFirst()
                    .orElseThrow(
                            () -> new BadValueException("seen", "'" + seen + "'", "a word of the story, or empty")));
        }
        double wiggles = row.number("wiggles");
        if (!Double.isNaN(wiggles)) {
            Check.require(wiggles == Math.rint(wiggles), "wiggles", wiggles, "a whole number");
            outcome = outcome.withWiggles(new Outcome.Wiggles((int) wiggles, row.number("wigglesS")));
        }
        return outcome;
    }

    private static boolean truth(String text) {
        String word = text.toLowerCase(Locale.ROOT);
        Check.require(YES.contains(word) || NO.contains(word), "completed", "'" + text + "'", "true or false");
        return YES.contains(word);
    }

    private static Run.Source source(String text) {
        boolean twin = text.equals(Run.Source.TWIN.word());
        Check.require(
                twin || text.isEmpty() || text.equals(Run.Source.TABLE.word()),
                "source",
                "'" + text + "'",
                "table or twin, or empty for the table");
        return twin ? Run.Source.TWIN : Run.Source.TABLE;
    }

    private static Optional<Instant> instant(String text) {
        try {
            return text.isEmpty() ? Optional.empty() : Optional.of(Instant.parse(text));
        } catch (DateTimeParseException none) {
            throw new BadValueException("at", "'" + text + "'", "a moment as in 2031-05-04T09:30:00Z, or empty");
        }
    }
}
