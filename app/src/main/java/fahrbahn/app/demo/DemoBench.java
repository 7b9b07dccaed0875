package fahrbahn.app.demo;

import fahrbahn.core.measuring.Constant;
import fahrbahn.core.measuring.Fact;
import fahrbahn.core.measuring.LoopCount;
import fahrbahn.core.measuring.Measured;
import fahrbahn.core.measuring.RollFit;
import fahrbahn.core.readings.Conditions;
import fahrbahn.core.setup.Setup;
import fahrbahn.store.Change;
import fahrbahn.store.EntriesJson;
import fahrbahn.store.FactJson;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.Collectors;

/** Bench measurements of the demo robot: what ruler and stopwatch would say of it, thumbs included. */
final class DemoBench {
    private static final double[] COMMANDS = {90, 90, 160, 160, 255, 255};

    private DemoBench() {}

    /** Entries of two cards, and the loop time as a fact. The demo robot keeps the numbers it has. */
    static List<Change> measured(Setup setup, Instant at, Conditions conditions) {
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
        Fact fact = new Fact(
                Constant.LOOP_TIME,
                new Measured(period, loopTime.standardError(), loopTime.entries()),
                at,
                loops.stream().map(DemoBench::words).toList(),
                conditions,
                period);
        return List.of(
                Change.put("entries", "ROLL", EntriesJson.write(rolls)),
                Change.put("entries", "LOOPS", EntriesJson.write(loops)),
                Change.put("fact", Constant.LOOP_TIME.word(), FactJson.write(fact)));
    }

    private static String words(List<Double> row) {
        return row.stream().map(v -> String.valueOf(v.longValue())).collect(Collectors.joining(", "));
    }
}
