package fahrbahn.core.quality;

/** Something about readings that a coach should know. Times are in s from the start of the capture. */
public sealed interface Finding {
    /** The sensor it is about. */
    String sensor();

    /** Whether it concerns this sensor, alone or with another. */
    default boolean about(String name) {
        return sensor().equals(name);
    }

    /** Whether work can go on with these readings. */
    Weight weight();

    /** How much a finding matters. */
    enum Weight {
        NOTE,
        CARE,
        STOP
    }

    /** Single readings far from the others. @param firstS when the first was @param lastS when the last was */
    record Outliers(String sensor, int count, int of, double firstS, double lastS) implements Finding {
        @Override
        public Weight weight() {
            return 20 * count > of ? Weight.CARE : Weight.NOTE;
        }
    }

    /** Far readings in a row: a crease, glare, a hand, a lifted sensor. @param size mean distance from the others' median */
    record Burst(String sensor, int count, double fromS, double toS, double size) implements Finding {
        @Override
        public Weight weight() {
            return Weight.CARE;
        }
    }

    /**
     * The readings of one spot are of two places: the sensor moved, or the stream was torn.
     *
     * @param from what it read in one third of the capture @param to what it read in another, later one
     */
    record Moved(String sensor, double from, double to) implements Finding {
        @Override
        public Weight weight() {
            return Weight.STOP;
        }
    }

    /** Readings that say there is nothing under the sensor; they are left out. @param value by which it says so */
    record NoSurface(String sensor, double value, int count, int of) implements Finding {
        @Override
        public Weight weight() {
            return 2 * count > of ? Weight.STOP : Weight.CARE;
        }
    }

    /** A sweep that met one surface only. */
    record OneSurface(String sensor, double mean) implements Finding {
        @Override
        public Weight weight() {
            return Weight.CARE;
        }
    }

    /** On light every sensor reads almost as it did on dark before. @param light now @param before on light earlier */
    record LampOff(String sensor, double light, double before) implements Finding {
        @Override
        public Weight weight() {
            return Weight.STOP;
        }
    }

    /** Both surfaces read as the other sensor read them earlier. */
    record Exchanged(String sensor, String other) implements Finding {
        @Override
        public boolean about(String name) {
            return name.equals(sensor) || name.equals(other);
        }

        @Override
        public Weight weight() {
            return Weight.STOP;
        }
    }

    /** Readings wander. @param perTenMinutes in the sensor's numbers @param share of the contrast, per ten minutes, at most 1 */
    record Drift(String sensor, double perTenMinutes, double low, double high, double share) implements Finding {
        @Override
        public Weight weight() {
            return Weight.CARE;
        }
    }

    /** Few readings, typed off a display. @param more how many would settle it @param plusMinus half of the mean's interval */
    record Unsettled(String sensor, int have, int more, double plusMinus) implements Finding {
        @Override
        public Weight weight() {
            return Weight.NOTE;
        }
    }

    /** Readings pile up at the end of the range. @param share of the readings that are there */
    record Saturated(String sensor, double end, double share) implements Finding {
        @Override
        public Weight weight() {
            return share > 0.5 ? Weight.STOP : Weight.CARE;
        }
    }

    /** Always the same number, whatever is under it. */
    record Stuck(String sensor, double value) implements Finding {
        @Override
        public Weight weight() {
            return Weight.STOP;
        }
    }

    /** The same number all along one surface: it may be stuck, or round coarsely. */
    record Unmoved(String sensor, double value) implements Finding {
        @Override
        public Weight weight() {
            return Weight.NOTE;
        }
    }

    /** Fewer readings than a scatter can be told from. @param moreS how much longer to capture; NaN when no times are known */
    record TooFew(String sensor, int have, int needed, double moreS) implements Finding {
        @Override
        public Weight weight() {
            return Weight.CARE;
        }
    }

    /** Dark and light are too alike for their noise. */
    record TooAlike(String sensor, double contrast, double noise) implements Finding {
        @Override
        public Weight weight() {
            return Weight.STOP;
        }
    }

    /** Few steps from dark to light: the error jumps. */
    record FewSteps(String sensor, double steps) implements Finding {
        @Override
        public Weight weight() {
            return steps < 8 ? Weight.STOP : Weight.CARE;
        }
    }

    /** This sensor meets the line where another is mounted. */
    record Swapped(String sensor, String other) implements Finding {
        @Override
        public boolean about(String name) {
            return name.equals(sensor) || name.equals(other);
        }

        @Override
        public Weight weight() {
            return Weight.STOP;
        }
    }

    /** The two surfaces were captured the wrong way round, going by what the setup knows of this sensor. */
    record SurfacesSwapped(String sensor) implements Finding {
        @Override
        public Weight weight() {
            return Weight.CARE;
        }
    }

    /** Two sensors, scaled alike, still differ on a surface. @param percent of the way from dark to light */
    record Disagree(String sensor, String other, String surface, double percent) implements Finding {
        @Override
        public Weight weight() {
            return Math.abs(percent) > 15 ? Weight.CARE : Weight.NOTE;
        }
    }

    /** Lifted off the table it reads as on a surface: the program cannot tell. @param surface the one it is like */
    record AirLooksLike(String sensor, String surface, double apartSd) implements Finding {
        @Override
        public Weight weight() {
            return Weight.NOTE;
        }
    }
}
