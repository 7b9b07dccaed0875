package fahrbahn.core.measuring;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.check.Check;
import fahrbahn.core.loop.LoopModel;
import fahrbahn.core.loop.WiggleClock;
import java.util.List;

/** Wiggles counted and timed on a straight line with too much gain: the lag of the drive, by the {@link WiggleClock}. */
public record WiggleTiming(Measured periodS, Measured lagS) {
    /** @param wiggles whole ones, there and back, at least 1 @param timeS they took, above 0 */
    public record Wiggles(double wiggles, double timeS) {
        public Wiggles {
            Check.require(wiggles >= 1, "wiggles", wiggles, "at least 1");
            Check.positive("timeS", timeS);
        }
    }

    /**
     * @param model the robot at the speed it wiggled at
     * @throws BadValueException when no lag of 0 or more gives this period
     */
    public static WiggleTiming of(List<Wiggles> timings, LoopModel model) {
        if (timings.isEmpty()) {
            throw new BadValueException("timings", 0, "at least 1");
        }
        double[] periods = new double[timings.size()];
        double error = 0;
        for (int i = 0; i < periods.length; i++) {
            Wiggles one = timings.get(i);
            periods[i] = one.timeS() / one.wiggles();
            error += RollFit.WATCH_ERROR_S / one.wiggles() / periods.length;
        }
        Measured period = Measured.mean(periods, error);
        double lag = WiggleClock.of(period.value(), model).lagS();
        // The slope is taken towards longer periods, where the clock has an answer whenever it has one here.
        double step = 1e-4 * period.value();
        double perPeriod = (WiggleClock.of(period.value() + step, model).lagS() - lag) / step;
        return new WiggleTiming(
                period, new Measured(lag, Math.abs(perPeriod) * period.standardError(), period.entries()));
    }
}
