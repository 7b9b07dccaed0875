package fahrbahn.store.season;

import fahrbahn.store.file.BadFileException;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;

/** Season files for tests: made of plain documents, under a clock that is moved by hand. */
public final class Seasons {
    static final Instant MORNING = Instant.parse("2026-05-04T09:00:00Z");

    private Seasons() {}

    static FileStep edit(String label, Change... changes) {
        return new FileStep(MORNING, FileStep.Cause.EDIT, label, List.of(changes));
    }

    /** So many documents of different length, each changed twice, in steps of five. */
    public static void fill(Path file, int documents, Clock clock) throws BadFileException {
        try (SeasonFile season = SeasonFiles.openOrCreate(file, clock)) {
            for (int state = 1; state <= 2; state++) {
                for (int from = 0; from < documents; from += 5) {
                    List<Change> changes = new ArrayList<>();
                    for (int i = from; i < Math.min(documents, from + 5); i++) {
                        changes.add(Change.put("note", "robot" + i % 3, "n" + i, body(i, state)));
                    }
                    season.write(edit("state " + state + " from " + from, changes.toArray(Change[]::new)));
                }
            }
        }
    }

    /** Some of a few characters, some longer than a page. */
    static String body(int document, int state) {
        return "{\"n\":" + document + ",\"state\":" + state + ",\"text\":\""
                + "ab\u00e4".repeat(document * document % 2500) + "\"}";
    }

    public static final class HandClock extends Clock {
        private Instant now = MORNING;

        void move(Instant to) {
            now = to;
        }

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
