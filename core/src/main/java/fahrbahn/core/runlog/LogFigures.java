package fahrbahn.core.runlog;

import fahrbahn.core.trials.Sample;
import java.util.Arrays;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.DoubleStream;

/**
 * What a log tells on its own.
 *
 * @param loopPeriodS times between ticks, over the whole log
 * @param wiggle over its second half; empty when nothing goes on to and fro
 * @param meanError over its second half; empty when there is nothing to take an error from
 * @param saturatedShare of the ticks with a wheel's command at its limit, over the whole log; empty when it has no commands
 */
public record LogFigures(
        Sample loopPeriodS, Optional<Wiggle> wiggle, OptionalDouble meanError, OptionalDouble saturatedShare) {
    /** A command that is the largest of all is a limit when it is given so often: at ticks, and as a share of them. */
    private static final int LEAST_AT_LIMIT = 5;

    private static final double LEAST_SHARE = 0.01;

    private static final int LEAST_RUN = 3;

    /** One that is given all the time is the speed, and no limit. */
    private static final double ALWAYS_SHARE = 0.98;

    /** Limits found in the log itself. */
    public static LogFigures of(RunLog log) {
        return of(log, limit(log, 1), limit(log, -1));
    }

    /** @param most command a wheel takes @param least likewise; infinite for none */
    public static LogFigures of(RunLog log, double most, double least) {
        double[] tS = new double[log.size()];
        Arrays.setAll(tS, log::tS);
        double[] periods = new double[tS.length - 1];
        Arrays.setAll(periods, i -> tS[i + 1] - tS[i]);
        int middle = log.middle();
        Optional<double[]> error = log.error();
        return new LogFigures(
                Sample.of(periods),
                error.flatMap(e -> Wiggle.of(tS, e, middle)),
                error.map(e -> Arrays.stream(e, middle, e.length).average()).orElse(OptionalDouble.empty()),
                saturated(log, most, least));
    }

    private static OptionalDouble saturated(RunLog log, double most, double least) {
        Optional<double[]> left = log.column(RunLog.Column.LEFT);
        Optional<double[]> right = log.column(RunLog.Column.RIGHT);
        if (left.isEmpty() || right.isEmpty()) {
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

    /** Ticks of a wheel at a command that it keeps for a while, as it does at a limit and seldom elsewhere. */
    private static int standing(double[] commands, int way, double extreme) {
        int times = 0;
        int run = 0;
        for (int i = 0; i <= commands.length; i++) {
            if (i < commands.length && way * commands[i] >= extreme) {
                run++;
            } else {
                times += run >= LEAST_RUN ? run : 0;
                run = 0;
            }
        }
        return times;
    }

    /** The largest command of both wheels where it is given again and again; infinite where it is not. @param way 1 upwards, -1 downwards */
    private static double limit(RunLog log, int way) {
        double[] left = log.column(RunLog.Column.LEFT).orElse(new double[0]);
        double[] right = log.column(RunLog.Column.RIGHT).orElse(new double[0]);
        double extreme = DoubleStream.concat(DoubleStream.of(left), DoubleStream.of(right))
                .map(c -> way * c)
                .max()
                .orElse(Double.POSITIVE_INFINITY);
        int times = standing(left, way, extreme) + standing(right, way, extreme);
        boolean limit =
                times >= LEAST_AT_LIMIT && times >= LEAST_SHARE * log.size() && times < ALWAYS_SHARE * log.size();
        return limit ? way * extreme : way * Double.POSITIVE_INFINITY;
    }
}
