package fahrbahn.store.exchange;

import fahrbahn.core.csv.CsvText;
import fahrbahn.core.runlog.RunLog;
import fahrbahn.core.runlog.RunLogFile;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.trace.Trace;
import fahrbahn.store.file.BadFileException;
import fahrbahn.store.file.Export;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;

/** Every tick of a run as CSV: what a log of the robot itself has, so that both are read alike, and where it was. */
public final class TracesFile {
    private static final List<String> BEHIND = Stream.concat(
                    Arrays.stream(RunLog.Column.values()).map(RunLog.Column::word), RunLogFile.TRACED.stream())
            .toList();

    /** A sensor is often called so too: then its column has its name, and the wheels say that they are wheels. */
    private static final List<String> WHEELS = List.of(RunLog.Column.LEFT.word(), RunLog.Column.RIGHT.word());

    private TracesFile() {}

    /** @throws BadFileException when it cannot be written; what was there is there still */
    public static void write(Path file, Trace trace, Setup setup) throws BadFileException {
        Export.text(file, csv(trace, setup));
    }

    /** The same as text. */
    public static String csv(Trace trace, Setup setup) {
        List<String> sensors = Stream.concat(setup.lawSensors().stream(), setup.outerSensors().stream())
                .map(Sensor::name)
                .toList();
        boolean wheelsByName =
                sensors.contains(RunLog.Column.LEFT.word()) || sensors.contains(RunLog.Column.RIGHT.word());
        List<String> header = new ArrayList<>(List.of("tS"));
        sensors.forEach(
                name -> header.add(BEHIND.contains(name) && !WHEELS.contains(name) ? name + RunLogFile.READING : name));
        BEHIND.forEach(name -> header.add(wheelsByName && WHEELS.contains(name) ? RunLogFile.wheel(name) : name));
        StringBuilder text = new StringBuilder();
        try (CSVPrinter lines =
                CSVFormat.RFC4180.builder().setRecordSeparator("\n").get().print(text)) {
            lines.printRecord(header.stream().map(CsvText::written).toList());
            for (int i = 0; i < trace.size(); i++) {
                List<Object> line = new ArrayList<>(List.of(trace.tS(i)));
                for (int k = 0; k < sensors.size(); k++) {
                    line.add(trace.reading(i, k));
                }
                line.addAll(List.of(
                        trace.error(i),
                        trace.steering(i),
                        trace.leftCommand(i),
                        trace.rightCommand(i),
                        trace.proportional(i),
                        trace.integral(i),
                        trace.derivative(i),
                        trace.leftMmPerS(i),
                        trace.rightMmPerS(i),
                        trace.offsetMm(i),
                        trace.sMm(i),
                        trace.xMm(i),
                        trace.yMm(i),
                        Math.toDegrees(trace.headingRad(i)),
                        trace.doing(i).name().toLowerCase(Locale.ROOT).replace('_', '-')));
                lines.printRecord(line);
            }
        } catch (IOException never) {
            throw new UncheckedIOException(never); // it is written into memory
        }
        return text.toString();
    }
}
