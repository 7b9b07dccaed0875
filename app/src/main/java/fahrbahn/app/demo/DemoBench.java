package fahrbahn.app.demo;

import fahrbahn.core.knowledge.Basis;
import fahrbahn.core.knowledge.Constant;
import fahrbahn.core.knowledge.Fact;
import fahrbahn.core.measuring.LoopCount;
import fahrbahn.core.measuring.Measured;
import fahrbahn.core.measuring.RollFit;
import fahrbahn.core.setup.Setup;
import fahrbahn.store.document.Kinds;
import fahrbahn.store.document.Put;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.Collectors;

/** Bench measurements of the demo robot: what ruler and stopwatch would say of it, thumbs included. */
final class DemoBench {
    private static final double[] COMMANDS = {90, 90, 160, 160, 255, 255};

    /** Standard errors of careful bench work, as shares of the value. */
    private static final Map<Constant, Double> CAREFUL = Map.of(
            Constant.FREE_SPEED, 0.006,
            Constant.TRACK_WIDTH, 0.008,
            Constant.LAG, 0.04,
            Constant.SPOT, 0.015);

    private DemoBench() {}

    /** Entries of two cards, and the constants as facts. The demo robot keeps the numbers it has. */
    static List<Put<?>> measured(String robot, Setup setup, Basis basis) {
        Random thumb = new Random(11);
        List<List<Double>> rolls = new ArrayList<>();
        for (double command : COMMANDS) {
            double time = 1000 / setup.robot().drive().speedMmPerS(command)
                    + RollFit.WATCH_ERROR_S / 2 * thumb.nextGaussian();
            rolls.add(List.of(
                    command, 1000.0, Math.round(time * 100) / 100.0, (double) Math.round(3 * thumb.nextGaussian())));
        }
        double period = setup.robot().loop().periodS();
        List<List<Double>> loops =
                List.of(List.of(Math.floor(10 / period), 10.0), List.of(Math.floor(10 / period), 10.0));
        Measured loopTime = LoopCount.periodS(loops.stream()
                .map(row -> new LoopCount.Count(row.get(0), row.get(1)))
                .toList());
        List<Put<?>> puts = new ArrayList<>();
        puts.add(Put.of(Kinds.ENTRIES, robot, "ROLL", rolls));
        puts.add(Put.of(Kinds.ENTRIES, robot, "LOOPS", loops));
        puts.add(fact(
                robot,
                Constant.LOOP_TIME,
                new Measured(period, loopTime.standardError(), loopTime.entries()),
                loops,
                basis));
        CAREFUL.forEach((constant, share) -> {
            double value = constant.of(setup);
            puts.add(fact(robot, constant, new Measured(value, share * value, 3), List.of(), basis));
        });
        return puts;
    }

    private static Put<?> fact(
            String robot, Constant constant, Measured measured, List<List<Double>> entries, Basis basis) {
        List<String> words = entries.stream().map(DemoBench::words).toList();
        return Put.of(Kinds.FACT, robot, constant.word(), new Fact(constant, measured, words, basis));
    }

    private static String words(List<Double> row) {
        return row.stream().map(v -> String.valueOf(v.longValue())).collect(Collectors.joining(", "));
    }
}
