package fahrbahn.app.measure;

import fahrbahn.core.quality.CaptureReport;
import fahrbahn.core.readings.Capture;
import fahrbahn.core.readings.ColourColumns;
import fahrbahn.core.readings.Conditions;
import fahrbahn.core.readings.Lamp;
import fahrbahn.core.readings.SurfaceStats;
import fahrbahn.words.Words;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;

/** A capture named for a coach. */
final class CaptureWords {
    private static final DateTimeFormatter TIME =
            DateTimeFormatter.ofPattern("d MMM HH:mm:ss").withZone(ZoneId.systemDefault());

    private CaptureWords() {}

    static String title(Capture capture) {
        return capture.surface() + (capture.conditions().lamp() == Lamp.OFF ? ", lamps off" : "");
    }

    /** What each sensor read, with its scatter; a colour sensor's channels after it. */
    static String numbers(CaptureReport report) {
        Capture capture = report.capture();
        List<String> names = capture.sensors();
        StringBuilder words = new StringBuilder();
        for (int i = 0; capture.spot() && i < names.size(); i++) {
            Optional<SurfaceStats> stats = report.stats().get(i);
            boolean channel = ColourColumns.channelOf(names.get(i), names);
            String name = channel ? names.get(i).substring(names.get(i).lastIndexOf('.') + 1) : names.get(i);
            words.append(i == 0 ? "" : channel ? " " : ",  ")
                    .append(name)
                    .append(' ')
                    .append(stats.map(s ->
                                    Words.number(s.mean(), 4) + (channel ? "" : " \u00b1 " + Words.number(s.sd(), 2)))
                            .orElse("no surface"));
        }
        return words.toString();
    }

    /** When, from where and under which circumstances. */
    static String noted(Capture capture, UnaryOperator<String> venueName) {
        Conditions c = capture.conditions();
        return TIME.format(capture.at()) + " from " + capture.source()
                + (c.venue().isEmpty() ? "" : ", " + venueName.apply(c.venue()))
                + (Double.isNaN(c.sensorHeightMm()) ? "" : ", " + Words.number(c.sensorHeightMm()) + " mm up")
                + (Double.isNaN(c.batteryV()) ? "" : ", " + Words.number(c.batteryV()) + " V")
                + (c.wheels().isEmpty() ? "" : ", " + c.wheels());
    }
}
