package fahrbahn.app.robot.bench;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.measuring.SlideFit;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** A slide that was typed: rows of a place and a reading for each sensor, left to right. */
final class SlideRows {
    private SlideRows() {}

    /** @throws BadValueException with words when a row has another number of readings than the robot has sensors */
    static void check(List<Double> row, Setup setup) {
        int sensors = setup.robot().sensors().size();
        if (row.size() != sensors + 1) {
            throw new BadValueException(
                    "readings",
                    row.size() - 1,
                    sensors == 1 ? "one number" : sensors + " numbers, one for each sensor");
        }
    }

    /**
     * What each sensor's readings come to.
     *
     * @throws BadValueException when they are too few, or no line is to be seen in them
     */
    static Map<String, SlideFit> fits(List<List<Double>> rows, Setup setup) {
        rows.forEach(row -> check(row, setup));
        double[] places = column(rows, 0);
        List<Sensor> sensors = setup.robot().sensors();
        Map<String, SlideFit> fits = new LinkedHashMap<>();
        for (int i = 0; i < sensors.size(); i++) {
            fits.put(sensors.get(i).name(), SlideFit.of(places, column(rows, i + 1)));
        }
        return fits;
    }

    private static double[] column(List<List<Double>> rows, int index) {
        return rows.stream().mapToDouble(row -> row.get(index)).toArray();
    }
}
