package fahrbahn.core.stopping;

import fahrbahn.core.twin.Spread;

/** What makes runs stop at different places. */
public enum Cause {
    /** Volts: how fast it is. */
    BATTERY("battery") {
        @Override
        Spread alone(Spread all) {
            return new Spread(0, 0, all.batteryShare(), 0, 0, 0, 0, 0);
        }
    },
    /** How soon the wheels follow. */
    LAG("lag") {
        @Override
        Spread alone(Spread all) {
            return new Spread(0, 0, 0, all.lagShare(), 0, 0, 0, 0);
        }
    },
    /** Slip, and wheels that are uneven. */
    GRIP("grip") {
        @Override
        Spread alone(Spread all) {
            return new Spread(0, 0, 0, 0, all.gripShare(), 0, 0, 0);
        }
    },
    /** Where and how it was set down. */
    START("start") {
        @Override
        Spread alone(Spread all) {
            return new Spread(all.offsetMm(), all.headingRad(), 0, 0, 0, 0, 0, 0);
        }
    },
    /** What its sensors see of line and place: light, height, and the errors of what the rule decides by. */
    SEEING("seeing") {
        @Override
        Spread alone(Spread all) {
            return new Spread(0, 0, 0, 0, 0, all.lightShare(), all.heightShare(), 0);
        }
    };

    private final String word;

    Cause(String word) {
        this.word = word;
    }

    /** As commands tell it. */
    public String word() {
        return word;
    }

    /** Of what differs between runs, this alone. */
    abstract Spread alone(Spread all);
}
