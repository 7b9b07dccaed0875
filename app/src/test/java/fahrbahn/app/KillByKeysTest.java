package fahrbahn.app;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.core.Repeated;
import fahrbahn.store.season.SeasonFile;
import fahrbahn.store.season.SeasonFiles;
import java.io.File;
import java.lang.management.ManagementFactory;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;
import javafx.application.Platform;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.api.FxRobot;
import org.testfx.api.FxToolkit;
import org.testfx.util.WaitForAsyncUtils;

/**
 * The window is killed at any moment while runs are logged by keys: no run is lost that was shown when the next was begun.
 */
@Timeout(1800)
class KillByKeysTest extends Repeated {
    private static final String SAID = "said";
    private static final int PATIENCE_S = 300;

    @TempDir
    private Path folder;

    /** A coach who logs one run after the other and never stops. */
    static final class Coach {
        private Coach() {}

        public static void main(String[] arguments) throws Exception {
            Path season = Path.of(arguments[0]);
            Path said = Path.of(arguments[1]);
            System.setProperty("fahrbahn.home", said.getParent().toString());
            FxToolkit.registerPrimaryStage();
            Platform.setImplicitExit(false);
            FahrbahnApp app = new FahrbahnApp();
            FxRobot robot = new Hands();
            WaitForAsyncUtils.waitForAsyncFx(PATIENCE_S * 1000L, () -> {
                Stage stage = new Stage();
                app.start(stage, List.of(season.toString()));
                stage.requestFocus();
                return null;
            });
            WaitForAsyncUtils.waitFor(
                    PATIENCE_S,
                    TimeUnit.SECONDS,
                    () -> app.workshop() != null
                            && robot.listWindows().stream().anyMatch(w -> w.isFocused())
                            && robot.lookup("#page-log").tryQuery().isEmpty());
            robot.type(KeyCode.DIGIT7);
            while (true) {
                int before = shown(app);
                robot.type(KeyCode.SPACE);
                WaitForAsyncUtils.waitFor(
                        PATIENCE_S,
                        TimeUnit.SECONDS,
                        () -> app.workshop().runs().log().watch().elapsedS() > 0.02);
                robot.type(KeyCode.SPACE).type(before % 3 == 0 ? KeyCode.X : KeyCode.R);
                WaitForAsyncUtils.waitFor(PATIENCE_S, TimeUnit.SECONDS, () -> shown(app) > before);
                robot.type(KeyCode.SPACE).type(KeyCode.B); // the next is begun
                Files.writeString(said, shown(app) + "\n", StandardOpenOption.CREATE, StandardOpenOption.APPEND);
            }
        }

        private static int shown(FahrbahnApp app) {
            return WaitForAsyncUtils.waitForAsyncFx(
                    PATIENCE_S * 1000L, () -> app.workshop().runs().runs().size());
        }
    }

    /** The same Java, module path and options, with the classes of this test. */
    private static Process coach(Path season, Path said, Path errors, String display) throws Exception {
        List<String> command = new ArrayList<>();
        command.add(ProcessHandle.current().info().command().orElse("java"));
        ManagementFactory.getRuntimeMXBean().getInputArguments().stream()
                .filter(option -> !option.startsWith("-javaagent"))
                .forEach(command::add);
        command.add("-cp");
        command.add(System.getProperty("surefire.test.class.path", System.getProperty("java.class.path")));
        command.addAll(List.of(Coach.class.getName(), season.toString(), said.toString()));
        ProcessBuilder process =
                new ProcessBuilder(command).redirectErrorStream(true).redirectOutput(errors.toFile());
        process.environment().put("DISPLAY", display);
        return process.start();
    }

    /**
     * A screen of the coach's own, new for each kill: a key that is held down while the program is killed stays down for the screen, and no other
     * test would ever see it pressed again.
     */
    private static final class Screen implements AutoCloseable {
        private final Process server;
        private final String display;

        Screen() throws Exception {
            server = new ProcessBuilder(
                            "Xvfb", "-displayfd", "1", "-screen", "0", "1600x1200x24", "-ac", "-nolisten", "tcp")
                    .redirectError(ProcessBuilder.Redirect.DISCARD)
                    .start();
            display = ":" + server.inputReader().readLine().strip();
        }

        @Override
        public void close() throws Exception {
            server.destroy();
            server.waitFor();
        }
    }

    private static List<String> said(Path said) throws Exception {
        return Files.exists(said) ? Files.readAllLines(said) : List.of();
    }

    @Test
    void noRunThatWasShownIsLost() throws Exception {
        Path season = folder.resolve("season.fahrbahn");
        SeasonFiles.openOrCreate(season, Clock.systemUTC()).close();
        int kills = times(1, 8);
        Random random = new Random(3);
        int logged = 0;
        for (int i = 0; i < kills; i++) {
            Path said = folder.resolve(SAID + i);
            File errors = folder.resolve("errors" + i).toFile();
            try (Screen screen = new Screen()) {
                Process coach = coach(season, said, errors.toPath(), screen.display);
                try {
                    int enough = 2 + random.nextInt(6);
                    while (said(said).size() < enough) {
                        assertThat(coach.isAlive())
                                .as("the coach goes on: %s", Files.readString(errors.toPath()))
                                .isTrue();
                        LockSupport.parkNanos(2_000_000);
                    }
                    LockSupport.parkNanos((long) (random.nextDouble() * 200e6));
                } finally {
                    coach.destroyForcibly();
                }
                coach.waitFor();
            }
            List<String> lines = said(said);
            int shown = Integer.parseInt(lines.get(lines.size() - 1));
            try (SeasonFile file = SeasonFile.open(season, Clock.systemUTC())) {
                SeasonFile.Contents contents = file.contents();
                assertThat(contents.damaged()).isEmpty();
                long found = contents.documents().stream()
                        .filter(change -> change.kind().equals("run"))
                        .count();
                assertThat(found).as("kill %d", i).isBetween((long) shown, shown + 1L);
                logged = (int) found;
            }
        }
        System.out.printf(
                "killed %d times while %d runs were logged by keys; none that was shown was lost%n", kills, logged);
        assertThat(logged).isGreaterThanOrEqualTo(2 * kills);
    }
}
