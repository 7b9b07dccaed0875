package fahrbahn.core.measuring;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.check.Check;
import java.util.List;

/**
 * Turns on the spot, one wheel forwards, one back: in N turns each wheel rolls {@code N*pi*b}, so the track width that turning shows
 * is {@code b = v*t/(pi*N)} with the wheels' speed v.
 */
public final class SpinTurns {
    private SpinTurns() {}

    /** @param turns counted, above 0 @param timeS they took, above 0 */
    public record Spin(double turns, double timeS) {
        public Spin {
            Check.positive("turns", turns);
            Check.positive("timeS", timeS);
        }
    }

    /**
     * @param wheelSpeedMmPerS of each wheel at the command of the spin, without sign
     * @return effective track width, mm; the error of the speed counts in full, as it is the same in every entry
     */
    public static Measured trackWidthMm(List<Spin> spins, Measured wheelSpeedMmPerS) {
        if (spins.isEmpty()) {
            throw new BadValueException("spins", 0, "at least 1");
        }
        double[] widths = new double[spins.size()];
        double watch = 0;
        for (int i = 0; i < widths.length; i++) {
            Spin spin = spins.get(i);
            widths[i] = wheelSpeedMmPerS.value() * spin.timeS() / (Math.PI * spin.turns());
            watch += widths[i] * RollFit.WATCH_ERROR_S / spin.timeS() / widths.length;
        }
        Measured mean = Measured.mean(widths, watch);
        double speedShare = wheelSpeedMmPerS.standardError() / wheelSpeedMmPerS.value();
        return new Measured(mean.value(), Math.hypot(mean.standardError(), mean.value() * speedShare), mean.entries());
    }
}
