package fahrbahn.core.runlog;

import fahrbahn.core.setup.Drive;
import fahrbahn.core.statistics.Sample;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What a log tells on its own.
 *
 * @param loopPeriodS times between ticks, over the whole log
 * @param wiggle over its second half, of the error or else of the readings; empty when nothing goes on to and fro
 * @param meanError over its second half; empty when it has no error
 * @param saturatedShare of the ticks with a wheel's command at its limit, over the whole log; empty when it has no commands, or nobody knows
 *     the limit
 */
public record LogFigures(
        Sample loopPeriodS, Optional<Wiggle> wiggle, OptionalDouble meanError, OptionalDouble saturatedShare) {
    /** What full power is called by most programs. */
    private static final double PERCENT = 100;

    /** Commands that never pass this may be shares of full power, of which nobody said so. */
    private static final double SHARE = 1;

    /**
     * Of a robot that nobody knows. A limit is not guessed from the commands: one that is given again and again may be a sensor at its end. It is
     * full power in percent, where the commands can be percent; else it is not known.
     */
    public static LogFigures of(RunLog log) {
        double most = 0;
        for (RunLog.Column wheel : List.of(RunLog.Column.LEFT, RunLog.Column.RIGHT)) {
            most = Math.max(
                    most,
                    Arrays.stream(log.column(wheel).orElse(new double[0]))
                            .map(Math::abs)
                            .max()
                            .orElse(0));
        }
        boolean percent = most > SHARE && most <= PERCENT;
        return percent ? of(log, PERCENT, -PERCENT) : of(log, Double.NaN, Double.NaN);
    }

    /** Of a robot whose setup is known. */
    public static LogFigures of(RunLog log, Drive drive) {
        return of(log, drive.fullCommand(), drive.leastCommand());
    }

    /** @param most command a wheel takes @param least likewise; NaN where nobody knows */
    private static LogFigures of(RunLog log, double most, double least) {
        double[] tS = new double[log.size()];
        Arrays.setAll(tS, log::tS);
        double[] periods = new double[tS.length - 1];
        Arrays.setAll(periods, i -> tS[i + 1] - tS[i]);
        int middle = log.middle();
        Optional<double[]> error = log.column(RunLog.Column.ERROR);
        return new LogFigures(
                Sample.of(periods),
                log.swinging().flatMap(e -> Wiggle.of(tS, e, middle)),
                error.map(e -> Arrays.stream(e, middle, e.length).average()).orElse(OptionalDouble.empty()),
                saturated(log, most, least));
    }

    private static OptionalDouble saturated(RunLog log, double most, double least) {
        Optional<double[]> left = log.column(RunLog.Column.LEFT);
        Optional<double[]> right = log.column(RunLog.Column.RIGHT);
        if (left.isEmpty() || right.isEmpty() || Double.isNaN(most)) {
            return OptionalDouble.empty();
        }
        int at = 0;
        for (int i = 0; i < log.size(); i++) {
            double larger = Math.max(left.get()[i], right.get()[i]);
            double smaller = Math.min(left.get()[i], right.get()[i]);
            at += larger >= most || smaller <= least ? 1 : 0;
        }
        return OptionalDouble.of((double) at / log.size());
    }
}
