package fahrbahn.app.measure;

import fahrbahn.app.words.Words;
import fahrbahn.core.readings.Capture;
import fahrbahn.core.readings.Conditions;
import fahrbahn.core.readings.Lamp;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.function.UnaryOperator;

/** A capture named for a coach. */
final class CaptureWords {
    private static final DateTimeFormatter TIME =
            DateTimeFormatter.ofPattern("d MMM HH:mm:ss").withZone(ZoneId.systemDefault());

    private CaptureWords() {}

    static String title(Capture capture) {
        return capture.surface() + (capture.conditions().lamp() == Lamp.OFF ? ", lamps off" : "");
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
