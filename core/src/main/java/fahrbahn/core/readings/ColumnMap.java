package fahrbahn.core.readings;

import fahrbahn.core.colour.Channel;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * Which sensor of the robot each column of a stream or a file is.
 *
 * @param sensorOf sensor by column; a column mapped to {@link #NONE} is left out; one not named keeps its own name
 */
public record ColumnMap(Map<String, String> sensorOf) {
    /** What a column is mapped to that is no sensor. */
    public static final String NONE = "";

    public static final ColumnMap AS_NAMED = new ColumnMap(Map.of());

    public ColumnMap {
        sensorOf = Map.copyOf(sensorOf);
    }

    /** How a column came to its sensor. */
    public enum How {
        BY_NAME("by name"),
        BY_PLACE("by place"),
        BY_HAND("by hand"),
        /** No sensor of the robot has this name, and one is still without a column: somebody has to say. */
        ASKED("which sensor is it?"),
        LEFT_OUT("left out");

        private final String words;

        How(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /** One column. @param sensor empty when it is left out */
    public record Match(String column, String sensor, How how) {}

    /**
     * What each column is taken for: as said by hand; else the sensor of the same name, case and blanks aside. Columns without names of
     * their own go to the sensors from left to right when there are as many. Any other is left out when every sensor has its column, and
     * asked for when not: by place a name is never overruled. As long as there is no robot every column keeps its name. The three
     * columns of a colour sensor count as one, under their common name; called after their colours alone they are a lone sensor's.
     */
    public List<Match> match(List<String> given, List<String> sensors) {
        List<String> columns = ColourColumns.names(given);
        Map<String, Match> matches = new LinkedHashMap<>();
        List<String> free = new ArrayList<>(sensors);
        for (String column : columns) {
            String said = sensorOf.get(column);
            if (said != null) {
                matches.put(column, new Match(column, said, said.equals(NONE) ? How.LEFT_OUT : How.BY_HAND));
                free.remove(said);
            }
        }
        for (String column : columns) {
            boolean lone = column.equals(ColourColumns.NAMELESS) && sensors.size() == 1;
            Optional<String> same = free.stream()
                    .filter(s -> lone || plain(s).equals(plain(column)))
                    .findFirst();
            if (!matches.containsKey(column) && same.isPresent()) {
                matches.put(column, new Match(column, same.get(), How.BY_NAME));
                free.remove(same.get());
            }
        }
        List<String> left =
                columns.stream().filter(c -> !matches.containsKey(c)).toList();
        boolean byPlace = left.size() == free.size() && columns.equals(LineDecoder.placeNames(columns.size()));
        for (int i = 0; i < left.size(); i++) {
            String column = left.get(i);
            if (sensors.isEmpty()) {
                matches.put(column, new Match(column, column, How.BY_NAME));
            } else if (byPlace) {
                matches.put(column, new Match(column, free.get(i), How.BY_PLACE));
            } else {
                boolean all = free.isEmpty();
                matches.put(column, new Match(column, all ? NONE : column, all ? How.LEFT_OUT : How.ASKED));
            }
        }
        return columns.stream().map(matches::get).toList();
    }

    /** Whether somebody has to say which column is which before readings are those of the robot's sensors. */
    public boolean asks(List<String> columns, List<String> sensors) {
        List<Match> matches = match(columns, sensors);
        return sensors.stream()
                .anyMatch(s -> matches.stream().noneMatch(m -> m.sensor().equals(s) && m.how() != How.ASKED));
    }

    /** The same with the columns asked for given to the free sensors from left to right; empty when there are not as many. */
    public Optional<ColumnMap> inOrder(List<String> columns, List<String> sensors) {
        List<Match> matches = match(columns, sensors);
        List<String> free = new ArrayList<>(sensors);
        matches.stream().filter(m -> m.how() != How.ASKED).forEach(m -> free.remove(m.sensor()));
        List<String> open = matches.stream()
                .filter(m -> m.how() == How.ASKED)
                .map(Match::column)
                .toList();
        if (open.isEmpty() || open.size() != free.size()) {
            return Optional.empty();
        }
        ColumnMap map = this;
        for (int i = 0; i < open.size(); i++) {
            map = map.with(open.get(i), free.get(i));
        }
        return Optional.of(map);
    }

    private static String plain(String name) {
        return name.toLowerCase(Locale.ROOT).replaceAll("[^\\p{L}\\p{N}]", "");
    }

    public ColumnMap with(String column, String sensor) {
        Map<String, String> changed = new LinkedHashMap<>(sensorOf);
        changed.put(column, sensor);
        return new ColumnMap(changed);
    }

    /**
     * A way to pick from each reading the values that are sensors, under their names; a colour sensor's channels follow it.
     *
     * @param channels what the robot's colour sensors work with; those not named with all light
     */
    public Picker picker(List<String> columns, List<String> sensors, Map<String, Channel> channels) {
        List<String> names = new ArrayList<>();
        List<Picker.Source> from = new ArrayList<>();
        List<ColourColumns.Column> given = ColourColumns.of(columns);
        List<Match> matches = match(columns, sensors);
        for (int i = 0; i < matches.size(); i++) {
            String name = matches.get(i).sensor();
            if (name.equals(NONE) || names.contains(name)) {
                continue;
            }
            List<Integer> at = given.get(i).from();
            names.add(name);
            if (given.get(i).colour()) {
                Channel channel = channels.getOrDefault(name, Channel.ALL);
                from.add(reading -> ColourColumns.line(
                        channel, reading.value(at.get(0)), reading.value(at.get(1)), reading.value(at.get(2))));
                names.addAll(ColourColumns.channelNames(name));
                at.forEach(place -> from.add(reading -> reading.value(place)));
            } else {
                int place = at.get(0);
                from.add(reading -> reading.value(place));
            }
        }
        boolean all = names.size() == columns.size() && given.stream().noneMatch(ColourColumns.Column::colour);
        return new Picker(List.copyOf(names), List.copyOf(from), all);
    }

    /** @param sensors names of what is picked @param from where each comes from @param all true when every column is picked, in order */
    public record Picker(List<String> sensors, List<Source> from, boolean all) {
        /** One value of a reading. */
        interface Source {
            double of(Reading reading);
        }

        public Reading pick(Reading reading) {
            if (all) {
                return reading;
            }
            double[] values = new double[from.size()];
            for (int i = 0; i < values.length; i++) {
                values[i] = from.get(i).of(reading);
            }
            return new Reading(reading.tS(), reading.surface(), reading.positionMm(), values);
        }
    }
}
