package fahrbahn.core.program;

import static fahrbahn.core.program.ListingBuilder.number;

import fahrbahn.core.setup.Law;
import fahrbahn.core.setup.Options;
import fahrbahn.core.setup.Polarity;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import java.util.ArrayList;
import java.util.List;

/** Readings in the scale of the law, as {@code s0}, {@code s1}, ..., the law's sensors before its emergency sensors; and how much of each lies on the line. */
final class ReadListing {
    private final Setup setup;
    private final Law law;
    private final ListingBuilder to;
    private final List<Sensor> sensors;

    ReadListing(Setup setup, ListingBuilder to) {
        this.setup = setup;
        this.law = setup.law();
        this.to = to;
        sensors = new ArrayList<>(setup.lawSensors());
        sensors.addAll(setup.outerSensors());
    }

    /** Whether the dark and light of what it reads with stand in a program: to scale by, or in raw numbers to know who sees the line. */
    static boolean hasDarkAndLight(Setup setup) {
        Law law = setup.law();
        Options options = law.options();
        return !law.scale().isRaw()
                || law.signal().isMean()
                || options.outer().isPresent()
                || options.obstacle().isPresent()
                || options.lost().action() != Options.LostLine.Action.NONE
                || options.limits().blankS() > 0;
    }

    void write() {
        to.note("Scaled readings, " + law.scale().word());
        for (int i = 0; i < sensors.size(); i++) {
            Sensor sensor = sensors.get(i);
            if (hasDarkAndLight(setup)) {
                to.constant(dark(i), sensor.dark(), sensor.name() + " on dark");
                to.constant(light(i), sensor.light(), sensor.name() + " on light");
            }
            String reading = "readings[" + setup.robot().sensors().indexOf(sensor) + "]";
            String high = number(law.scale().light(sensor));
            String span = "(" + light(i) + " - " + dark(i) + ")";
            to.set("s" + i, law.scale().isRaw() ? reading : high + " * (" + reading + " - " + dark(i) + ") / " + span);
        }
    }

    private static String dark(int i) {
        return "DARK_" + i;
    }

    private static String light(int i) {
        return "LIGHT_" + i;
    }

    /** How much of a sensor's spot lies on the line: 0 on the ground, 1 on the line. */
    String share(int i) {
        Polarity polarity = setup.line().polarity();
        if (law.scale().isRaw()) {
            boolean darkLine = polarity == Polarity.DARK_ON_LIGHT;
            String ground = darkLine ? light(i) : dark(i);
            String line = darkLine ? dark(i) : light(i);
            return "(s" + i + " - " + ground + ") * (1 / (" + line + " - " + ground + "))";
        }
        Sensor sensor = sensors.get(i);
        double ground = law.scale().scaled(sensor, polarity.ground(sensor));
        double perLine = 1 / (law.scale().scaled(sensor, polarity.line(sensor)) - ground);
        return "(s" + i + " - " + number(ground) + ") * " + number(perLine);
    }
}
