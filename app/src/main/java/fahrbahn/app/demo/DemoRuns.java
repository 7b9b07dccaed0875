package fahrbahn.app.demo;

import fahrbahn.core.job.Job;
import fahrbahn.core.job.Workers;
import fahrbahn.core.knowledge.Basis;
import fahrbahn.core.knowledge.TablePrint;
import fahrbahn.core.readings.Conditions;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.statistics.Sample;
import fahrbahn.core.stopping.Rule;
import fahrbahn.core.stopping.Sensing;
import fahrbahn.core.stopping.StopTrial;
import fahrbahn.core.table.Ground;
import fahrbahn.core.trials.Outcome;
import fahrbahn.core.trials.Run;
import fahrbahn.core.twin.RunResult;
import fahrbahn.core.twin.Spread;
import fahrbahn.core.twin.Track;
import fahrbahn.core.twin.Twin;
import fahrbahn.store.document.Kinds;
import fahrbahn.store.document.Put;
import fahrbahn.store.json.Shared;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;

/** Evenings at the table: the twin stands in for the robot, with the usual spread of battery, start, light and grip. */
final class DemoRuns {
    private static final double FULL_V = 8.1;
    private static final double V_PER_RUN = 0.01;
    private static final long SECONDS_BETWEEN = 150;

    /** How exactly a robot is set down and stops across its line. */
    private static final double ACROSS_MM = 1.5;

    private DemoRuns() {}

    /** Where an evening was. */
    record Evening(Instant at, String table, String tableName, String print, Ground ground, Conditions conditions) {}

    /** Beyond a mark that is set a little short, as the twin stops by a timer, read off a ruler. */
    private static double[] stops(Setup setup, int count, long seed) {
        Sample places = StopTrial.of(
                        setup, Sensing.TYPICAL, Spread.TYPICAL, 2 * count, seed, Workers.all(), Job.UNWATCHED)
                .places()
                .get(Rule.TIMER);
        double[] stops = new double[count];
        for (int i = 0; i < count; i++) {
            stops[i] = halves(places.values()[i % places.n()] - places.mean() + 2);
        }
        return stops;
    }

    private static double halves(double mm) {
        return Math.round(2 * mm) / 2.0;
    }

    /**
     * @param track the evening's ground as the robot sees it, whatever its gains
     * @param count of runs, one after the other on a battery that runs down
     */
    static List<Put<?>> evening(
            String robot, Setup setup, Evening evening, Track track, int count, long seed, String note) {
        List<Put<?>> puts = new ArrayList<>();
        double[] stops = stops(setup, count, seed);
        Random hands = new Random(seed);
        for (int i = 0; i < count; i++) {
            RunResult result = Twin.run(track, setup, Spread.TYPICAL.draw(0, seed, i));
            Conditions conditions = evening.conditions()
                    .withSensorHeightMm(setup.robot().chassis().sensorHeightMm())
                    .withBatteryV(Math.round((FULL_V - V_PER_RUN * i) * 100) / 100.0);
            Instant at = evening.at().plusSeconds(i * SECONDS_BETWEEN);
            Basis basis = Basis.of(at, conditions)
                    .withSetting(Shared.setting(setup))
                    .withTable(new TablePrint(evening.table(), evening.tableName(), evening.print()));
            // As a stopwatch tells it.
            Outcome outcome = Outcome.of(result.completed(), Math.round(result.timeS() * 10) / 10.0);
            String id = "demo-" + robot + "-" + seed + "-" + i;
            puts.add(Put.of(
                    Kinds.RUN,
                    robot,
                    id,
                    new Run(
                            id,
                            Run.Source.TABLE,
                            robot,
                            basis,
                            result.completed()
                                    ? outcome.withStop(stops[i], halves(ACROSS_MM * hands.nextGaussian()))
                                    : outcome.withLostMm(Math.max(0, result.sMm())),
                            i == 0 ? note : "")));
        }
        return puts;
    }
}
