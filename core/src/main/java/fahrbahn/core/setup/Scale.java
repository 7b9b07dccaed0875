package fahrbahn.core.setup;

/** The numbers a program works in after it has scaled a reading: dark becomes {@code low}, light becomes {@code high}. */
public enum Scale {
    PERCENT("percent", 0, 100),
    UNIT("unit", 0, 1),
    PERMILLE("permille", 0, 1000),
    /** The sensor's own numbers, not scaled at all. */
    RAW("raw", Double.NaN, Double.NaN);

    private final String word;
    private final double low;
    private final double high;

    Scale(String word, double low, double high) {
        this.word = word;
        this.low = low;
        this.high = high;
    }

    /** The word used in setup files. */
    public String word() {
        return word;
    }

    /** What the sensor's dark reading becomes. */
    public double dark(Sensor sensor) {
        return this == RAW ? sensor.dark() : low;
    }

    /** What the sensor's light reading becomes. */
    public double light(Sensor sensor) {
        return this == RAW ? sensor.light() : high;
    }

    /** Scaled reading {@code lo + (hi - lo) * (r - dark) / (light - dark)}. */
    public double scaled(Sensor sensor, double reading) {
        if (this == RAW) {
            return reading;
        }
        return low + (high - low) * (reading - sensor.dark()) / (sensor.light() - sensor.dark());
    }

    /** Scale units per unit of reading, without sign. */
    public double gain(Sensor sensor) {
        return this == RAW ? 1 : (high - low) / sensor.contrast();
    }
}
