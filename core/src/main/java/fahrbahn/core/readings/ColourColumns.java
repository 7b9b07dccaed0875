package fahrbahn.core.readings;

import fahrbahn.core.colour.Channel;
import fahrbahn.core.setup.Robot;
import fahrbahn.core.setup.Sensor;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Columns of colour sensors: red, green and blue of one sensor are its channels, not three sensors. Its reading of the line is that of the
 * channel it works with, or the mean of the three where it works with all light; the channels are kept beside it as
 * {@code name.red}, {@code name.green} and {@code name.blue}.
 */
public final class ColourColumns {
    /** Columns that are called after their channel alone. */
    static final String NAMELESS = "colour";

    private static final List<Channel> CHANNELS = List.of(Channel.RED, Channel.GREEN, Channel.BLUE);

    /** A whole word may follow the name at once, as in leftRed; a letter needs something between. */
    private static final Pattern NAMED =
            Pattern.compile("(?i)(?:(.*?)[\\s._:-]*(red|green|blue)|(?:(.+?)[\\s._:-]+)?(r|g|b))");

    private ColourColumns() {}

    /** One column, or the three of a colour sensor. @param from their places, red, green and blue */
    record Column(String name, List<Integer> from) {
        boolean colour() {
            return from.size() == CHANNELS.size();
        }
    }

    private record Part(String base, Channel channel) {}

    private static Optional<Part> part(String column) {
        Matcher named = NAMED.matcher(column.strip());
        if (!named.matches()) {
            return Optional.empty();
        }
        boolean word = named.group(2) != null;
        String base = word ? named.group(1) : named.group(3);
        char letter = Character.toLowerCase((word ? named.group(2) : named.group(4)).charAt(0));
        Channel channel = letter == 'r' ? Channel.RED : letter == 'g' ? Channel.GREEN : Channel.BLUE;
        return Optional.of(new Part(base == null || base.isEmpty() ? NAMELESS : base, channel));
    }

    /** The columns with each three of one colour sensor as one, in the place of the first. */
    static List<Column> of(List<String> columns) {
        Map<String, Map<Channel, Integer>> parts = new LinkedHashMap<>();
        for (int i = 0; i < columns.size(); i++) {
            int at = i;
            part(columns.get(i))
                    .ifPresent(p -> parts.computeIfAbsent(p.base().toLowerCase(Locale.ROOT), b -> new LinkedHashMap<>())
                            .putIfAbsent(p.channel(), at));
        }
        List<Column> all = new ArrayList<>();
        for (int i = 0; i < columns.size(); i++) {
            Optional<Part> part = part(columns.get(i));
            Map<Channel, Integer> its = part.map(p -> parts.get(p.base().toLowerCase(Locale.ROOT)))
                    .filter(m -> m.size() == CHANNELS.size())
                    .orElse(Map.of());
            if (!its.containsValue(i)) {
                all.add(new Column(columns.get(i), List.of(i)));
            } else if (its.values().stream().mapToInt(at -> at).min().orElse(i) == i) {
                all.add(new Column(
                        part.orElseThrow().base(),
                        CHANNELS.stream().map(its::get).toList()));
            }
        }
        return all;
    }

    /** The names that columns go by: a colour sensor's three by one. */
    public static List<String> names(List<String> columns) {
        return of(columns).stream().map(Column::name).toList();
    }

    /** What a channel of a sensor is called among the readings. */
    public static String name(String sensor, Channel channel) {
        return sensor + "." + channel.word();
    }

    /** Red, green and blue. */
    public static List<String> channelNames(String sensor) {
        return CHANNELS.stream().map(c -> name(sensor, c)).toList();
    }

    /** Whether it is the name of a channel of another of these names. */
    public static boolean channelOf(String name, List<String> names) {
        return names.stream().anyMatch(sensor -> channelNames(sensor).contains(name));
    }

    /** The names that are no channels of another. */
    public static List<String> withoutChannels(List<String> names) {
        return names.stream().filter(name -> !channelOf(name, names)).toList();
    }

    /** What a colour sensor reads of the line. */
    public static double line(Channel channel, double red, double green, double blue) {
        return switch (channel) {
            case ALL -> (red + green + blue) / 3;
            case RED -> red;
            case GREEN -> green;
            case BLUE -> blue;
        };
    }

    /** A capture as a robot sees it: the reading of each of its colour sensors is that of the channel it works with now. */
    public static Capture asSeen(Capture capture, Robot robot) {
        List<String> names = capture.sensors();
        List<Sensor> colour = robot.sensors().stream()
                .filter(s -> names.contains(s.name()) && names.containsAll(channelNames(s.name())))
                .toList();
        if (colour.isEmpty()) {
            return capture;
        }
        List<Reading> readings = new ArrayList<>();
        for (Reading reading : capture.readings()) {
            double[] values = reading.values();
            for (Sensor sensor : colour) {
                int red = names.indexOf(name(sensor.name(), Channel.RED));
                int green = names.indexOf(name(sensor.name(), Channel.GREEN));
                int blue = names.indexOf(name(sensor.name(), Channel.BLUE));
                values[names.indexOf(sensor.name())] = line(sensor.channel(), values[red], values[green], values[blue]);
            }
            readings.add(new Reading(reading.tS(), reading.surface(), reading.positionMm(), values));
        }
        return readings.equals(capture.readings()) ? capture : capture.withReadings(readings);
    }
}
