package fahrbahn.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.api.condition.EnabledOnOs;
import org.junit.jupiter.api.condition.OS;
import org.junit.jupiter.api.io.TempDir;

/**
 * A program that ends at any moment, while it begins seasons and while it writes into them, loses nothing it had said was saved.
 *
 * <p>It is killed, and, for starting one takes a second, a running one is frozen and its files are copied as they lie: what a kill at that
 * moment would leave, for a killed program's files stay as they are. Four writers share a program, so each end cuts four of them short.
 */
@Timeout(240)
class KillTest {
    private static final int KILLS = 10;
    private static final int FREEZES = 120;
    private static final int WRITERS = 4;
    private static final String SAID = "said";

    @TempDir(factory = InMemory.class)
    private Path folder;

    private final Random random = new Random(5);
    private int steps;
    private int cutShort;

    /** Each begins a season, writes into it, takes it away and begins again, saying what it did. Never ends by itself. */
    static final class Writers {
        private Writers() {}

        private static Path said;

        public static void main(String[] arguments) throws Exception {
            Path folder = Path.of(arguments[0]);
            said = folder.resolve(SAID);
            SeasonFile.create(folder.resolve("warm " + ProcessHandle.current().pid()), Clock.systemUTC())
                    .close();
            say("ready");
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
            try (SeasonFile open = SeasonFile.openOrCreate(file, Clock.systemUTC())) {
                for (int i = 0; i < 4; i++) {
                    int step = open.lastStep() + 1;
                    open.write(Seasons.edit(
                            "step " + step,
                            Change.put("k", "", "a", String.valueOf(step)),
                            Change.put("k", "", "b", "\"" + step + "x".repeat(step % 7 * 900) + "\"")));
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

    private Process start() throws Exception {
        long before = said().size();
        Process program = new ProcessBuilder(
                        ProcessHandle.current().info().command().orElse("java"),
                        "-XX:TieredStopAtLevel=1",
                        "-XX:+UseSerialGC",
                        "-cp",
                        System.getProperty("surefire.test.class.path", System.getProperty("java.class.path")),
                        Writers.class.getName(),
                        folder.toString())
                .redirectErrorStream(true)
                .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                .start();
        await(program, () -> said().size() > before);
        return program;
    }

    private interface Condition {
        boolean holds() throws Exception;
    }

    /** Limited by the time-out of the class. */
    private static void await(Process program, Condition condition) throws Exception {
        while (!condition.holds()) {
            assertThat(program.isAlive()).as("the program goes on").isTrue();
            LockSupport.parkNanos(200_000);
        }
    }

    private List<String> said() throws Exception {
        Path said = folder.resolve(SAID);
        return Files.exists(said) ? Files.readAllLines(said) : List.of();
    }

    /** What each of the writers said last, a word it was cut off in left out. */
    private static int[] confirmed(Path folder) throws Exception {
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

    /** Any moment: not a multiple of anything the program does. */
    private void anyMoment(int mostMs) {
        LockSupport.parkNanos((long) (random.nextDouble() * mostMs * 1e6));
    }

    private void checkAll(Path left) throws Exception {
        int[] confirmed = confirmed(left);
        for (int i = 0; i < WRITERS; i++) {
            int found = check(left.resolve("s" + i), confirmed[i]);
            cutShort += found != confirmed[i] ? 1 : 0;
        }
    }

    @Test
    void killsLoseNothing() throws Exception {
        for (int kill = 0; kill < KILLS; kill++) {
            Process program = start();
            anyMoment(400);
            program.destroyForcibly();
            assertThat(program.waitFor(10, TimeUnit.SECONDS)).isTrue();
            checkAll(folder);
        }
        steps = said().size();
        tell(KILLS + " programs killed");
        try (Stream<Path> all = Files.list(folder)) {
            assertThat(all.filter(p -> p.toString().endsWith(".part")).count())
                    .as("of all those kills no series is left")
                    .isLessThanOrEqualTo(WRITERS);
        }
    }

    @Test
    @EnabledOnOs(OS.LINUX)
    void whatAKillAtAnyMomentWouldLeaveHasLostNothing() throws Exception {
        Process program = start();
        Path state = Path.of("/proc", String.valueOf(program.pid()), "stat");
        for (int freeze = 0; freeze < FREEZES; freeze++) {
            int before = said().size();
            await(program, () -> said().size() > before);
            anyMoment(8);
            signal(program, "STOP");
            await(program, () -> Files.readString(state).contains(") T "));
            Path left = Files.createDirectory(folder.resolve("left " + freeze));
            try (Stream<Path> files = Files.list(folder)) {
                for (Path file : files.filter(Files::isRegularFile).toList()) {
                    Files.copy(file, left.resolve(file.getFileName()));
                }
            }
            signal(program, "CONT");
            checkAll(left);
        }
        steps = said().size();
        program.destroyForcibly().waitFor();
        tell("one program frozen " + FREEZES + " times");
        assertThat(cutShort)
                .as("it is frozen between a step and its word as well")
                .isPositive();
    }

    private static void signal(Process program, String name) throws Exception {
        String kill = "kill -" + name + " " + program.pid();
        assertThat(new ProcessBuilder("sh", "-c", kill).start().waitFor()).isZero();
    }

    private void tell(String what) {
        System.out.printf(
                "kills: %s, %d writers each, after %d steps said to be saved; %d cut short between a step and its word%n",
                what, WRITERS, steps, cutShort);
        assertThat(steps).as("it ends at work").isGreaterThan(KILLS * WRITERS);
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
