package fahrbahn.app;

import fahrbahn.app.season.OpenSeason;
import fahrbahn.app.shell.Workshop;
import fahrbahn.core.readings.Capture;
import fahrbahn.core.readings.Reading;
import fahrbahn.store.season.SeasonFiles;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Executor;

/** A workshop without a window: everything runs at once, on the thread of the test, under a clock that the test moves. */
public final class Shop {
    public static final Instant MORNING = Instant.parse("2026-05-04T09:00:00Z");

    private Shop() {}

    public static Workshop open(Path file, Clock clock) throws Exception {
        return open(file, clock, Runnable::run);
    }

    /** @param worker for computations */
    public static Workshop open(Path file, Clock clock, Executor worker) throws Exception {
        return new Workshop(
                OpenSeason.read(SeasonFiles.openOrCreate(file, clock), Runnable::run, Runnable::run),
                worker,
                Runnable::run,
                new HandClocks().clocks(clock));
    }

    /** A capture by the two sensors of a new robot. */
    public static Capture capture(String surface, Instant at, double left, double right, Workshop shop) {
        List<Reading> readings = new ArrayList<>();
        for (int i = 0; i < 40; i++) {
            double wobble = i % 4 - 1.5;
            readings.add(new Reading(i * 0.01, surface, Double.NaN, new double[] {left + wobble, right + wobble}));
        }
        return new Capture(
                surface + at + left,
                surface,
                at,
                "test",
                List.of("left", "right"),
                readings,
                shop.season().conditionsNow());
    }

    /** A clock that stands until it is moved. */
    public static final class MovableClock extends Clock {
        public Instant now = MORNING;

        @Override
        public ZoneId getZone() {
            return ZoneOffset.UTC;
        }

        @Override
        public Clock withZone(ZoneId zone) {
            return this;
        }

        @Override
        public Instant instant() {
            return now;
        }
    }
}
