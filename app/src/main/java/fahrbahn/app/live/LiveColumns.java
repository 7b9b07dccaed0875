package fahrbahn.app.live;

import fahrbahn.core.colour.Channel;
import fahrbahn.core.readings.ColourColumns;
import fahrbahn.core.readings.ColumnMap;
import fahrbahn.core.readings.Reading;
import fahrbahn.core.setup.Robot;
import fahrbahn.core.setup.Sensor;
import java.util.List;
import java.util.Map;
import javafx.collections.FXCollections;
import javafx.collections.ObservableList;

/** The columns of a stream, and which of them are the robot's sensors. */
final class LiveColumns {
    private final ObservableList<String> sensors = FXCollections.observableArrayList();
    private final ObservableList<String> shownSensors = FXCollections.unmodifiableObservableList(sensors);
    private final ObservableList<String> all = FXCollections.observableArrayList();
    private final ObservableList<String> shown = FXCollections.unmodifiableObservableList(all);
    private ColumnMap map = ColumnMap.AS_NAMED;
    private List<String> robotSensors = List.of();
    private Map<String, Channel> channels = Map.of();
    private List<String> columns = List.of();
    private ColumnMap.Picker picker;

    /** As the robot names them. */
    ObservableList<String> shown() {
        return shown;
    }

    /** As they are taken for. */
    ObservableList<String> sensors() {
        return shownSensors;
    }

    /** What each column of the stream is taken for; another map holds from the next reading on. */
    void map(ColumnMap newMap, Robot newRobot) {
        List<String> newSensors = newRobot.sensors().stream().map(Sensor::name).toList();
        if (!newMap.equals(map)
                || !newSensors.equals(robotSensors)
                || !newRobot.channels().equals(channels)) {
            map = newMap;
            robotSensors = newSensors;
            channels = newRobot.channels();
            columns = List.of();
        }
    }

    /** @return whether they are others than before */
    boolean follow(List<String> newColumns) {
        if (columns.equals(newColumns)) {
            return false;
        }
        columns = newColumns;
        all.setAll(newColumns);
        picker = map.picker(newColumns, robotSensors, channels);
        sensors.setAll(picker.sensors());
        return true;
    }

    /** Of a reading with the columns followed last, the values of the sensors. */
    Reading pick(Reading reading) {
        return picker.pick(reading);
    }

    void clear() {
        columns = List.of();
        picker = null;
        all.clear();
        sensors.clear();
    }

    /** The places of those of the sensors that are no channels of another. */
    List<Integer> lines() {
        List<String> lines = ColourColumns.withoutChannels(sensors);
        return lines.stream().map(sensors::indexOf).toList();
    }
}
