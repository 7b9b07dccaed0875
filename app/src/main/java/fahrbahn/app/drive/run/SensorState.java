package fahrbahn.app.drive.run;

import fahrbahn.core.sensing.SensorFault;
import java.util.Optional;

/** How the sensors of a robot do, to choose from. @param failed empty when all work */
public record SensorState(Optional<SensorFault> failed) {
    public static final SensorState ALL_WORK = new SensorState(Optional.empty());

    public String words() {
        return failed.map(DriveWords::fault).orElse("all work");
    }
}
