package fahrbahn.app.drive;

import fahrbahn.core.twin.SensorFault;
import java.util.Optional;

/** How the sensors of a robot do, to choose from. @param failed empty when all work */
public record SensorState(Optional<SensorFault> failed) {
    static final SensorState ALL_WORK = new SensorState(Optional.empty());

    String words() {
        return failed.map(DriveWords::fault).orElse("all work");
    }
}
