package fahrbahn.store.season;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.core.InMemory;
import fahrbahn.core.Repeated;
import fahrbahn.store.QuickStart;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.locks.LockSupport;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.api.io.TempDir;

/**
 * A program that is killed at any moment, while it begins seasons and while it writes into them, loses nothing it had said was saved.
 * Four writers share a program, so each kill cuts four of them short; several programs run at a time, for a start takes a second. Every other
 * program kills itself, between a step and its word.
 */
@Timeout(1800)
class KillTest extends Repeated {
    private static final int WRITERS = 4;
    private static final String SAID = "said";

    /** How many programs are on their way at a time: one starts while another writes. */
    private static final int LANES = 2;

    @TempDir(factory = InMemory.class)
    private Path folder;

    /** Each begins a season, writes into it, takes it away and begins again, saying what it did. Never ends by itself, but once. */
    static final class Writers {
        private Writers() {}

        private static Path said;
        private static int endsAtStep = Integer.MAX_VALUE;
        private static final AtomicInteger STEPS = new AtomicInteger();

        public static void main(String[] arguments) throws Exception {
            Path folder = Path.of(arguments[0]);
            said = folder.resolve(SAID);
            SeasonFiles.create(folder.resolve("warm " + ProcessHandle.current().pid()), Clock.systemUTC())
                    .close();
            say("ready");
            if (arguments.length == 1) {
                write(folder.resolve("once"), "0");
                return;
            }
            endsAtStep = arguments[1].equals("on") ? Integer.MAX_VALUE : Integer.parseInt(arguments[1]);
            for (int i = 0; i < WRITERS; i++) {
                Path file = folder.resolve("s" + i);
                String name = String.valueOf(i);
                new Thread(() -> {
                            try {
                                while (true) {
                                    write(file, name);
                                }
                            } catch (Exception broken) {
                                say("broken " + broken);
                            }
                        })
                        .start();
            }
        }

        private static void write(Path file, String name) throws Exception {
            try (SeasonFile open = SeasonFiles.openOrCreate(file, Clock.systemUTC())) {
                for (int i = 0; i < 4; i++) {
                    int step = open.lastStep() + 1;
                    open.write(Seasons.edit(
                            "step " + step,
                            Change.put("k", "", "a", String.valueOf(step)),
                            Change.put("k", "", "b", "\"" + step + "x".repeat(step % 7 * 900) + "\"")));
                    if (STEPS.incrementAndGet() == endsAtStep) {
                        Runtime.getRuntime().halt(1); // it is saved, and nobody was told
                    }
                    say(name + " " + step);
                }
                if (open.lastStep() % 12 == 0) {
                    say(name + " 0"); // begun anew, for beginning is to be cut short as well
                    Files.delete(file);
                }
            }
        }

        /** In one write, so that nothing it said is lost with it. */
        private static synchronized void say(String line) {
            try {
                Files.writeString(
                        said,
                        line + "\n",
                        StandardOpenOption.CREATE,
                        StandardOpenOption.WRITE,
                        StandardOpenOption.APPEND);
            } catch (IOException full) {
                throw new UncheckedIOException(full);
            }
        }
    }

    /** Programs that are started and killed in one folder, one after the other. */
    private static final class Lane {
        private final QuickStart programs;
        private final Path folder;
        private final Random random;
        private int kills;
        private int cutShort;

        Lane(QuickStart programs, Path folder, int seed) {
            this.programs = programs;
            this.folder = folder;
            random = new Random(seed);
        }

        void kill() throws Exception {
            long before = said().size();
            if (kills % 2 == 1) {
                Process itself = programs.start(folder, String.valueOf(1 + random.nextInt(12)));
                itself.waitFor();
            } else {
                fromOutside(before);
            }
            kills++;
            int[] confirmed = confirmed();
            for (int i = 0; i < WRITERS; i++) {
                int found = check(folder.resolve("s" + i), confirmed[i]);
                cutShort += found != confirmed[i] ? 1 : 0;
            }
        }

        private void fromOutside(long before) throws Exception {
            Process program = programs.start(folder, "on");
            try {
                // After some steps, however slow the machine, and then at any moment: not a multiple of anything the
                // program does.
                untilSaid(program, before + 1 + random.nextInt(5));
                LockSupport.parkNanos((long) (random.nextDouble() * 30e6));
            } finally {
                program.destroyForcibly();
            }
            program.waitFor();
        }

        /** Limited by the time-out of the class. */
        private void untilSaid(Process program, long lines) throws Exception {
            while (said().size() < lines) {
                assertThat(program.isAlive()).as("the program goes on").isTrue();
                LockSupport.parkNanos(2_000_000);
            }
        }

        List<String> said() throws Exception {
            Path said = folder.resolve(SAID);
            return Files.exists(said) ? Files.readAllLines(said) : List.of();
        }

        /** What each of the writers said last, a word it was cut off in left out. */
        private int[] confirmed() throws Exception {
            String all = Files.readString(folder.resolve(SAID));
            int[] last = new int[WRITERS];
            for (String line : all.substring(0, all.lastIndexOf('\n') + 1).split("\n")) {
                assertThat(line).doesNotContain("broken");
                if (line.indexOf(' ') == 1) {
                    last[line.charAt(0) - '0'] = Integer.parseInt(line.substring(2));
                }
            }
            return last;
        }

        long spareFiles() throws IOException {
            try (Stream<Path> all = Files.list(folder)) {
                return all.filter(p -> p.toString().endsWith(".part")).count();
            }
        }
    }

    @Test
    void killsLoseNothing() throws Exception {
        int kills = times(4, 100);
        QuickStart programs = new QuickStart(Files.createDirectory(folder.resolve("programs")), Writers.class);
        ExecutorService lanes = Executors.newFixedThreadPool(LANES);
        try {
            List<Lane> all = new ArrayList<>();
            List<Future<?>> ends = new ArrayList<>();
            AtomicInteger left = new AtomicInteger(kills);
            for (int i = 0; i < LANES; i++) {
                Lane lane = new Lane(programs, Files.createDirectory(folder.resolve("lane " + i)), i);
                all.add(lane);
                ends.add(lanes.submit(() -> {
                    while (left.getAndDecrement() > 0) {
                        lane.kill();
                    }
                    return null;
                }));
            }
            for (Future<?> end : ends) {
                end.get();
            }
            int steps = 0;
            for (Lane lane : all) {
                steps += lane.said().size();
                assertThat(lane.spareFiles())
                        .as("of all those kills no series is left")
                        .isLessThanOrEqualTo(WRITERS);
            }
            assertThat(all.stream().mapToInt(l -> l.kills).sum()).isEqualTo(kills);
            int cutShort = all.stream().mapToInt(l -> l.cutShort).sum();
            System.out.printf(
                    "kills: %d programs of %d writers, after %d steps said to be saved; %d cut short between a step and its word%n",
                    kills, WRITERS, steps, cutShort);
            assertThat(steps).as("they are killed at work").isGreaterThan(times(4, 100 * WRITERS));
            assertThat(cutShort)
                    .as("they are killed between a step and its word as well")
                    .isPositive();
        } finally {
            lanes.shutdownNow();
        }
    }

    /** @return the latest step that is there; 0 when there is no season */
    private static int check(Path file, int confirmed) throws Exception {
        if (!Files.exists(file)) {
            assertThat(confirmed).as("%s is gone", file).isZero();
            return 0;
        }
        try (SeasonFile season = SeasonFile.open(file, Clock.systemUTC())) {
            int step = season.lastStep();
            assertThat(step).as("%s", file).isGreaterThanOrEqualTo(confirmed);
            SeasonFile.Contents contents = season.contents();
            assertThat(contents.damaged()).isEmpty();
            assertThat(contents.documents()).hasSize(step > 0 ? 2 : 0);
            assertThat(season.body("k", "", "a"))
                    .isEqualTo(step > 0 ? Optional.of(String.valueOf(step)) : Optional.empty());
            return step;
        }
    }
}
