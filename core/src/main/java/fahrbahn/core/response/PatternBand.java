package fahrbahn.core.response;

import fahrbahn.core.setup.Law;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import java.util.ArrayList;
import java.util.List;

/**
 * One band of offsets over a straight line in which a row of on/off sensors shows the same pattern.
 *
 * @param fromMm offset of the row's middle from the line's centre, left positive
 * @param bits outer left first: 1 sees the line
 */
public record PatternBand(double fromMm, double toMm, String bits) {
    private static final int POINTS = 4000;

    /** All bands from right to left. Each sensor is compared with the law's target, as a level in scale units. */
    public static List<PatternBand> across(Setup setup) {
        List<Sensor> sensors = setup.lawSensors();
        double left = sensors.get(0).leftMm();
        double right = sensors.get(sensors.size() - 1).leftMm();
        double spot = sensors.stream().mapToDouble(Sensor::spotSigmaMm).max().orElseThrow();
        double out = (left - right) / 2 + setup.line().widthMm() / 2 + 4 * spot;
        List<PatternBand> bands = new ArrayList<>();
        double from = -out;
        String before = bits(setup, sensors, -out);
        for (int i = 1; i <= POINTS; i++) {
            double offset = -out + 2 * out * i / POINTS;
            String here = bits(setup, sensors, offset);
            if (!here.equals(before) || i == POINTS) {
                bands.add(new PatternBand(from, offset, before));
                from = offset;
                before = here;
            }
        }
        return List.copyOf(bands);
    }

    private static String bits(Setup setup, List<Sensor> sensors, double offsetMm) {
        Law law = setup.law();
        double middle = sensors.stream().mapToDouble(Sensor::leftMm).average().orElseThrow();
        StringBuilder bits = new StringBuilder();
        for (Sensor sensor : sensors) {
            double scaled = ErrorCurve.scaledReading(
                    sensor,
                    law.scale(),
                    setup.line().polarity(),
                    setup.line().widthMm(),
                    offsetMm + sensor.leftMm() - middle);
            double line = law.scale().scaled(sensor, setup.line().polarity().line(sensor));
            bits.append((scaled - law.target()) * (line - law.target()) > 0 ? '1' : '0');
        }
        return bits.toString();
    }

    /** The bits as one number, outer left bit highest. */
    public int number() {
        return Integer.parseInt(bits, 2);
    }
}
