package fahrbahn.core.setup;

import java.util.List;

/**
 * What a control law steers by: which sensors it listens to and what it makes of their readings. What each is worth beside the line is in
 * {@code core.response.ErrorRule}, how a program computes it in {@code core.program}. Those who need more than what is asked here switch over
 * all of them, so that the compiler names every place where a new one has something to add.
 */
public enum ErrorSignal {
    /** The first sensor tracks an edge: error is its scaled reading less the target. */
    EDGE("edge", 1, Sensors.FIRST),
    /** The first and the last sensor straddle the line: error is left less right, scaled. */
    PAIR("pair", 2, Sensors.OUTERMOST),
    /** All sensors: error is the mean of their weights, each counted by how much line it sees. */
    ARRAY_MEAN("array-mean", 3, Sensors.ALL),
    /** All sensors: error is the sum of their scaled readings, each times its weight. No division. */
    ARRAY_DIFFERENCE("array-difference", 3, Sensors.ALL),
    /** All sensors, each compared with a threshold: the pattern chooses the steering. There is no error and no gain. */
    PATTERN("pattern", 2, Sensors.ALL);

    /** Of those that follow the line. */
    private enum Sensors {
        FIRST,
        OUTERMOST,
        ALL
    }

    private final String word;
    private final int leastSensors;
    private final Sensors sensors;

    ErrorSignal(String word, int leastSensors, Sensors sensors) {
        this.word = word;
        this.leastSensors = leastSensors;
        this.sensors = sensors;
    }

    /** The word used in setup files. */
    public String word() {
        return word;
    }

    /** That follow the line, emergency sensors not counted. On and off, two make four patterns: the oldest line follower there is. */
    public int leastSensors() {
        return leastSensors;
    }

    /** Those it listens to. @param following that follow the line, left to right */
    public List<Sensor> of(List<Sensor> following) {
        return switch (sensors) {
            case FIRST -> following.subList(0, 1);
            case OUTERMOST -> List.of(following.get(0), following.get(following.size() - 1));
            case ALL -> following;
        };
    }

    /** Whether it listens to a whole row of sensors. */
    public boolean wholeRow() {
        return sensors == Sensors.ALL;
    }

    /** Whether it tracks an edge of the line, so that side and target matter. */
    public boolean tracksEdge() {
        return this == EDGE;
    }

    /** Whether two sensors straddle the line, whose difference is the error. */
    public boolean straddles() {
        return this == PAIR;
    }

    /** Whether there is an error, which gains or steps make into steering; a pattern has none. */
    public boolean hasError() {
        return this != PATTERN;
    }

    /** Whether each sensor has a weight. */
    public boolean weighted() {
        return this == ARRAY_MEAN || this == ARRAY_DIFFERENCE;
    }

    /** Whether the error is divided by how much line is seen, so that it is in the unit of the weights and not of the scale. */
    public boolean isMean() {
        return this == ARRAY_MEAN;
    }
}
