package fahrbahn.app.drive.run;

import fahrbahn.core.sensing.SensorFault;
import fahrbahn.core.setup.Setup;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** How the sensors of a robot do, to choose from. @param failed empty when all work */
public record SensorState(Optional<SensorFault> failed) {
    public static final SensorState ALL_WORK = new SensorState(Optional.empty());

    /** No sensor fails, and each that the program reads in every way. */
    public static List<SensorState> of(Setup setup) {
        List<SensorState> all = new ArrayList<>(List.of(ALL_WORK));
        Stream.concat(setup.lawSensors().stream(), setup.outerSensors().stream())
                .flatMap(s -> Arrays.stream(SensorFault.Kind.values()).map(kind -> new SensorFault(s.name(), kind)))
                .forEach(f -> all.add(new SensorState(Optional.of(f))));
        return List.copyOf(all);
    }

    public String words() {
        return failed.map(DriveWords::fault).orElse("all work");
    }
}
