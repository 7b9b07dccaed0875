package fahrbahn.core.setup;

/** What a steering command does to the two wheels. Positive steering turns left. */
public enum Mixing {
    /** Left wheel {@code base - u}, right wheel {@code base + u}. */
    DIFFERENCE("difference") {
        @Override
        public double leftCommand(double base, double steering) {
            return base - steering;
        }

        @Override
        double turnRatePerCommand(Drive drive, double base) {
            return 2 * drive.slopePerCommand(base) / drive.effectiveTrackWidthMm();
        }

        @Override
        public double steeringLimit(Drive drive) {
            return Double.POSITIVE_INFINITY; // the wheels clamp, the steering number does not
        }
    },
    /** Steering -100..100; the outer wheel keeps {@code base}, the inner gets {@code base * (1 - |u| / 50)}. */
    INNER_WHEEL("inner-wheel") {
        @Override
        public double leftCommand(double base, double steering) {
            return steering > 0 ? base * (1 - steering / 50) : base;
        }

        @Override
        double turnRatePerCommand(Drive drive, double base) {
            return base * drive.slopePerCommand(base) / (50 * drive.effectiveTrackWidthMm());
        }

        @Override
        public double steeringLimit(Drive drive) {
            return 100;
        }
    };

    private final String word;

    Mixing(String word) {
        this.word = word;
    }

    /** The word used in setup files. */
    public String word() {
        return word;
    }

    /** Command of the left wheel before it is clamped. The right wheel's is the mirror: same base, negated steering. */
    public abstract double leftCommand(double base, double steering);

    /** Largest steering command the mixing takes, either side. */
    public abstract double steeringLimit(Drive drive);

    /** Settled turn rate per unit of steering about straight ahead, rad/s. */
    abstract double turnRatePerCommand(Drive drive, double base);
}
