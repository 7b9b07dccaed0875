package fahrbahn.bench;

import fahrbahn.app.club.RobotKind;
import fahrbahn.core.knowledge.Basis;
import fahrbahn.core.readings.Capture;
import fahrbahn.core.readings.Conditions;
import fahrbahn.core.readings.Lamp;
import fahrbahn.core.readings.Reading;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.trials.Outcome;
import fahrbahn.core.trials.Run;
import fahrbahn.store.document.Kinds;
import fahrbahn.store.document.Put;
import fahrbahn.store.json.Shared;
import fahrbahn.store.season.Ledger;
import fahrbahn.store.season.Scribe;
import fahrbahn.store.season.SeasonFiles;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;

/** Years of work in one season. */
final class LargeSeason {
    static final int RUNS = 10_000;
    static final int CAPTURES = 200;
    private static final int READINGS = 200;
    private static final int SETTINGS = 12;
    private static final int PUTS_A_STEP = 20;

    private LargeSeason() {}

    static void write(Path file, Clock clock, int runs, int captures) throws Exception {
        Ledger ledger = Ledger.open(
                SeasonFiles.create(file, clock), new Scribe.Desk(Runnable::run, Runnable::run, (n, why) -> {}));
        Setup setup = RobotKind.PAIR.setup("Wren");
        List<Put<?>> puts = new ArrayList<>(List.of(Put.of(Kinds.SETUP, "main", setup)));
        Random random = new Random(1);
        for (int i = 0; i < runs; i++) {
            puts.add(Put.of(Kinds.RUN, "main", "run" + i, run(setup, clock.instant(), i, runs, random)));
        }
        for (int i = 0; i < captures; i++) {
            Capture capture = capture(clock.instant(), i, captures, random);
            puts.add(Put.of(Kinds.CAPTURE, "main", capture.id(), capture));
        }
        for (int i = 0; i < puts.size(); i += PUTS_A_STEP) {
            ledger.change("step " + i, puts.subList(i, Math.min(puts.size(), i + PUTS_A_STEP)));
        }
        ledger.close();
    }

    private static Run run(Setup setup, Instant now, int i, int runs, Random random) {
        Setup used = setup.withLaw(setup.law().withGains(0.2 + 0.05 * (i * SETTINGS / runs), 0, 0.8));
        double volts = 7.2 + Math.round(90 * random.nextDouble()) / 100.0;
        Basis basis = Basis.of(
                        now.minus(Duration.ofMinutes(5L * (runs - i))),
                        new Conditions("home", Lamp.ON, 9, volts, "soft"))
                .withSetting(Shared.setting(used));
        return new Run("run" + i, Run.Source.TABLE, "main", basis, Outcome.of(random.nextInt(10) > 0, 21), "");
    }

    private static Capture capture(Instant now, int i, int captures, Random random) {
        List<Reading> readings = new ArrayList<>();
        for (int k = 0; k < READINGS; k++) {
            double level = i % 2 == 0 ? 200 : 700;
            double[] values = {
                Math.rint(level + 3 * random.nextGaussian()), Math.rint(level + 10 + 3 * random.nextGaussian())
            };
            readings.add(new Reading(k * 0.01, "", Double.NaN, values));
        }
        return new Capture(
                "c" + i,
                i % 2 == 0 ? Capture.DARK : Capture.LIGHT,
                now.minus(Duration.ofMinutes(captures - i)),
                "bench",
                List.of("left", "right"),
                readings);
    }
}
