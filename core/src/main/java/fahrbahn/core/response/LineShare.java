package fahrbahn.core.response;

import fahrbahn.core.setup.Polarity;
import fahrbahn.core.setup.Scale;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import java.util.List;

/** How much of each sensor's spot lies on the line, by its scaled reading. Allocates nothing after it is made; has no state. */
public final class LineShare {
    private final double[] ground;
    private final double[] perLine;

    public LineShare(Setup setup, List<Sensor> sensors) {
        Scale scale = setup.law().scale();
        Polarity polarity = setup.line().polarity();
        ground = new double[sensors.size()];
        perLine = new double[sensors.size()];
        for (int i = 0; i < ground.length; i++) {
            Sensor sensor = sensors.get(i);
            ground[i] = scale.scaled(sensor, polarity.ground(sensor));
            perLine[i] = 1 / (scale.scaled(sensor, polarity.line(sensor)) - ground[i]);
        }
    }

    /** 0 on the ground, 1 on the line. */
    public double of(int sensor, double scaled) {
        return (scaled - ground[sensor]) * perLine[sensor];
    }
}
