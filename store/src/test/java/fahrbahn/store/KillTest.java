package fahrbahn.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedReader;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.Optional;
import java.util.Random;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.api.io.TempDir;

/**
 * A program killed at any moment, while it begins seasons and while it writes into them, loses nothing it had said was saved. Eight
 * writers share each program that is killed, for starting one takes a second: so each kill cuts eight of them short.
 */
@Timeout(240)
class KillTest {
    private static final int KILLS = 14;
    private static final int WRITERS = 8;

    @TempDir(factory = InMemory.class)
    private Path folder;

    /** Each begins a season, writes into it, takes it away and begins again, saying what it did. Never ends by itself. */
    static final class Writers {
        private Writers() {}

        public static void main(String[] arguments) throws Exception {
            Path folder = Path.of(arguments[0]);
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

        private static synchronized void say(String line) {
            System.out.println(line);
        }
    }

    private Process start() throws Exception {
        return new ProcessBuilder(
                        ProcessHandle.current().info().command().orElse("java"),
                        "-XX:TieredStopAtLevel=1",
                        "-XX:+UseSerialGC",
                        "-cp",
                        System.getProperty("surefire.test.class.path", System.getProperty("java.class.path")),
                        Writers.class.getName(),
                        folder.toString())
                .redirectError(ProcessBuilder.Redirect.DISCARD)
                .start();
    }

    @Test
    void killsLoseNothing() throws Exception {
        Random random = new Random(5);
        int[] confirmed = new int[WRITERS];
        int between = 0;
        int steps = 0;
        for (int kill = 0; kill < KILLS; kill++) {
            steps += runAndKill(20 + random.nextInt(400), confirmed);
            for (int i = 0; i < WRITERS; i++) {
                int found = check(folder.resolve("s" + i), confirmed[i]);
                between += found != confirmed[i] ? 1 : 0;
                confirmed[i] = found;
            }
        }
        try (Stream<Path> all = Files.list(folder)) {
            assertThat(all.filter(p -> p.toString().endsWith(".part")).count())
                    .as("of all those kills no series is left")
                    .isLessThanOrEqualTo(WRITERS);
        }
        System.out.printf(
                "kills: %d programs of %d writers each, after %d steps said to be saved; %d cut short between a step and its word%n",
                KILLS, WRITERS, steps, between);
        assertThat(steps).as("it is killed at work").isGreaterThan(KILLS * WRITERS);
    }

    /** @return how many steps it said were saved */
    private int runAndKill(int milliseconds, int[] confirmed) throws Exception {
        Process writers = start();
        int steps = 0;
        try (BufferedReader said =
                new BufferedReader(new InputStreamReader(writers.getInputStream(), StandardCharsets.UTF_8))) {
            assertThat(said.readLine()).isEqualTo("ready");
            // The process itself would close what it still had to say.
            CompletableFuture.delayedExecutor(milliseconds, TimeUnit.MILLISECONDS)
                    .execute(() -> writers.toHandle().destroyForcibly());
            for (String line = said.readLine(); line != null; line = said.readLine()) {
                assertThat(line).doesNotContain("broken");
                int space = line.indexOf(' ');
                if (space == 1) { // a last line may be half
                    confirmed[line.charAt(0) - '0'] = Integer.parseInt("0" + line.substring(2));
                    steps++;
                }
            }
        }
        assertThat(writers.waitFor(10, TimeUnit.SECONDS)).isTrue();
        return steps;
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
