package fahrbahn.core.marks;

import fahrbahn.core.colour.Channel;
import fahrbahn.core.readings.Capture;
import fahrbahn.core.readings.ColourColumns;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/** Captures of colour sensors as samples of marks. */
public final class MarkCaptures {
    private static final List<Channel> CHANNELS = List.of(Channel.RED, Channel.GREEN, Channel.BLUE);

    private MarkCaptures() {}

    /** Sensors of which some spot was captured in three channels, in the order they first come. */
    public static List<String> sensors(List<Capture> captures) {
        Set<String> sensors = new LinkedHashSet<>();
        for (Capture capture : captures) {
            for (String name : capture.sensors()) {
                if (capture.spot() && coloured(capture, name)) {
                    sensors.add(name);
                }
            }
        }
        return List.copyOf(sensors);
    }

    private static boolean coloured(Capture capture, String sensor) {
        return CHANNELS.stream().allMatch(c -> capture.sensors().contains(ColourColumns.name(sensor, c)));
    }

    /** Every reading of one sensor over a spot, by surface and capture; those in which a channel is missing are left out. */
    public static List<MarkSample> of(List<Capture> captures, String sensor) {
        List<MarkSample> samples = new ArrayList<>();
        for (Capture capture : captures) {
            if (!capture.spot() || !coloured(capture, sensor)) {
                continue;
            }
            int[] at = CHANNELS.stream()
                    .mapToInt(c -> capture.sensors().indexOf(ColourColumns.name(sensor, c)))
                    .toArray();
            capture.readings().forEach(r -> {
                double red = r.value(at[0]);
                double green = r.value(at[1]);
                double blue = r.value(at[2]);
                if (Double.isFinite(red + green + blue)) {
                    samples.add(new MarkSample(capture.surface(), capture.id(), red, green, blue));
                }
            });
        }
        return samples;
    }
}
