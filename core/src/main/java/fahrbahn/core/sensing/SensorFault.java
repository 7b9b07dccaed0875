package fahrbahn.core.sensing;

import fahrbahn.core.check.Check;

/** A sensor that has failed, to try what becomes of the robot. @param sensor its name */
public record SensorFault(String sensor, Kind kind) {
    /** How it has failed. */
    public enum Kind {
        /** It reads the ground wherever it is: knocked up, or its plug is out. */
        STUCK_ON_GROUND("stuck-on-ground"),
        /** It reads the line wherever it is: dirt before it, or its lamp is out. */
        STUCK_ON_LINE("stuck-on-line"),
        /** The line stands out half as much as it did: dust, or it sits higher. */
        HALF_CONTRAST("half-contrast");

        private final String word;

        Kind(String word) {
            this.word = word;
        }

        /** As commands take it. */
        public String word() {
            return word;
        }
    }

    public SensorFault {
        Check.text("sensor", sensor, "the name of a sensor");
    }

    /** What is left of the line's share in a reading. */
    double contrast() {
        return kind == Kind.HALF_CONTRAST ? 0.5 : 0;
    }

    /** Share of the line it reads where it sees none. */
    double least() {
        return kind == Kind.STUCK_ON_LINE ? 1 : 0;
    }
}
