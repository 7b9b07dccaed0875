package fahrbahn.core.difference;

import fahrbahn.core.setup.Options;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.stream.Stream;

/** What differs between two setups, setting by setting. */
public final class SetupDifference {
    private SetupDifference() {}

    /** Every setting that differs, in the order robot, line, law. */
    public static List<Cause> between(Setup before, Setup after) {
        List<Cause> found = new ArrayList<>(physical(before, after));
        fields(before, after).filter(cause -> cause.aspect() == Aspect.GAINS).forEach(found::add);
        return found;
    }

    /** The same without the gains themselves: everything that gains were chosen for. */
    public static List<Cause> physical(Setup before, Setup after) {
        List<Cause> found = new ArrayList<>();
        fields(before, after).filter(cause -> cause.aspect() != Aspect.GAINS).forEach(found::add);
        addSensors(found, before.robot().sensors(), after.robot().sensors());
        addOptions(found, before.law().options(), after.law().options());
        return found;
    }

    private static Stream<Cause> fields(Setup before, Setup after) {
        return Arrays.stream(SetupField.values())
                .filter(field -> !field.of(before).equals(field.of(after)))
                .map(field -> Cause.setting(
                        field.aspect(), field.wordWithUnit(), said(field.of(before)), said(field.of(after))));
    }

    private static Object said(Object value) {
        return value instanceof Boolean yes ? (yes ? "yes" : "no") : value;
    }

    private static void addOptions(List<Cause> found, Options a, Options b) {
        add(found, Aspect.LAW, "weights", a.weights(), b.weights());
        add(found, Aspect.LAW, "steps", a.steps(), b.steps());
        add(found, Aspect.LAW, "hysteresis", a.hysteresis(), b.hysteresis());
        add(found, Aspect.LAW, "patterns", a.patterns(), b.patterns());
        add(found, Aspect.LAW, "thresholds", a.thresholds(), b.thresholds());
        add(found, Aspect.LAW, "what happens when the line is lost", a.lost(), b.lost());
        add(found, Aspect.LAW, "emergency sensors", a.outer(), b.outer());
        add(found, Aspect.LAW, "limits", a.limits(), b.limits());
        add(found, Aspect.LAW, "turn marks", a.turnMarks(), b.turnMarks());
        add(found, Aspect.LAW, "way round an obstacle", a.obstacle(), b.obstacle());
    }

    private static void addSensors(List<Cause> found, List<Sensor> before, List<Sensor> after) {
        add(found, Aspect.SENSORS, "number of sensors", before.size(), after.size());
        for (int i = 0; i < Math.min(before.size(), after.size()); i++) {
            Sensor a = before.get(i);
            Sensor b = after.get(i);
            String of = " of sensor " + b.name();
            add(found, Aspect.SENSORS, "name" + of, a.name(), b.name());
            add(found, Aspect.LAYOUT, "lead (mm)" + of, a.forwardMm(), b.forwardMm());
            add(found, Aspect.LAYOUT, "place (mm)" + of, a.leftMm(), b.leftMm());
            add(found, Aspect.LAYOUT, "spot (mm)" + of, a.spotSigmaMm(), b.spotSigmaMm());
            add(found, Aspect.SURFACES, "dark" + of, a.dark(), b.dark());
            add(found, Aspect.SURFACES, "light" + of, a.light(), b.light());
            add(found, Aspect.SURFACES, "noise" + of, a.noise(), b.noise());
            add(found, Aspect.SURFACES, "step" + of, a.step(), b.step());
            add(
                    found,
                    Aspect.LAYOUT,
                    "channel" + of,
                    a.channel().word(),
                    b.channel().word());
        }
    }

    private static void add(List<Cause> found, Aspect aspect, String what, Object before, Object after) {
        if (!Objects.equals(before, after)) {
            found.add(Cause.setting(aspect, what, before, after));
        }
    }
}
