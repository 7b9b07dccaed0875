package fahrbahn.app;

import atlantafx.base.theme.PrimerDark;
import fahrbahn.app.demo.DemoSeason;
import fahrbahn.app.shell.MainWindow;
import fahrbahn.app.shell.Workshop;
import fahrbahn.link.BenchRobot;
import fahrbahn.store.BadFileException;
import fahrbahn.store.SeasonFile;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.ThreadFactory;
import java.util.concurrent.TimeUnit;
import java.util.logging.Level;
import java.util.logging.Logger;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.scene.text.Font;
import javafx.stage.Stage;

/** One window on one season. */
public final class FahrbahnApp extends Application {
    private static final Logger LOG = Logger.getLogger(FahrbahnApp.class.getName());
    private static final long DEMO_SEED = 7;
    private static final int SECONDS_TO_SAVE = 10;

    private final ExecutorService writer = Executors.newSingleThreadExecutor(daemon("season writer"));
    private final ExecutorService worker = Executors.newFixedThreadPool(2, daemon("worker"));
    private Season season;
    private Workshop workshop;
    private MainWindow window;

    private static ThreadFactory daemon(String name) {
        return work -> {
            Thread thread = new Thread(work, name);
            thread.setDaemon(true);
            return thread;
        };
    }

    /** The season of a start, and why it is not the one that was asked for, if so. */
    private record Season(SeasonFile file, boolean demo, String refused) {}

    /** Before the window, on a thread of its own: opening a season may take a while, making the demo season does. */
    @Override
    public void init() throws IOException {
        if (getParameters() != null) {
            season = prepare(getParameters().getRaw());
        }
    }

    @Override
    public void start(Stage stage) throws IOException {
        show(stage);
    }

    /** The same with the arguments handed in, for those that drive the window. */
    void start(Stage stage, List<String> arguments) throws IOException {
        season = prepare(arguments);
        show(stage);
    }

    private Season prepare(List<String> arguments) throws IOException {
        Home home = Home.open();
        home.logHere();
        Thread.setDefaultUncaughtExceptionHandler((thread, broken) -> {
            LOG.log(Level.SEVERE, thread.getName(), broken);
            Platform.runLater(() -> {
                if (workshop != null) {
                    workshop.tell(
                            "Something went wrong that nobody foresaw. Your season is saved; details are in the log.");
                }
            });
        });
        boolean demo = arguments.contains("demo");
        try {
            return new Season(season(home, arguments, demo), demo, "");
        } catch (BadFileException bad) {
            return new Season(spare(home), demo, bad.getMessage());
        }
    }

    private void show(Stage stage) throws IOException {
        open(stage, season.file(), season.refused());
        if (season.demo()) {
            workshop.live().connectToBenchRobot(new BenchRobot(DEMO_SEED));
        }
    }

    private static SeasonFile season(Home home, List<String> arguments, boolean demo)
            throws BadFileException, IOException {
        if (demo) {
            if (arguments.contains("--fresh")) {
                Files.deleteIfExists(home.demo());
            }
            return DemoSeason.open(home.demo(), Clock.systemUTC());
        }
        for (String argument : arguments) {
            return SeasonFile.open(Path.of(argument), Clock.systemUTC());
        }
        return SeasonFile.openOrCreate(home.season(), Clock.systemUTC());
    }

    /** A file that cannot be opened must not keep the coach from working: a new season beside the others. */
    private static SeasonFile spare(Home home) throws IOException {
        Path folder = home.season().getParent();
        for (int i = 1; ; i++) {
            Path other = folder.resolve("season-" + i + ".fahrbahn");
            try {
                return SeasonFile.openOrCreate(other, Clock.systemUTC());
            } catch (BadFileException inUse) {
                if (i > 100) {
                    throw new IOException(inUse.getMessage(), inUse);
                }
            }
        }
    }

    private void open(Stage stage, SeasonFile file, String refused) throws IOException {
        for (String weight : List.of("400", "600", "700")) {
            Font.loadFont(
                    FahrbahnApp.class.getResourceAsStream("fonts/titillium-web-latin-" + weight + "-normal.woff"), 14);
        }
        Application.setUserAgentStylesheet(new PrimerDark().getUserAgentStylesheet());
        try {
            workshop = new Workshop(file, writer, worker, Platform::runLater, Clock.systemUTC());
        } catch (BadFileException damaged) {
            throw new IOException(damaged.getMessage(), damaged);
        }
        if (!refused.isEmpty()) {
            workshop.tell(refused + ". A season of its own is open instead: "
                    + file.file().getFileName() + ".");
        }
        window = new MainWindow(workshop);
        Scene scene = new Scene(window, 1280, 800);
        scene.getStylesheets().add(FahrbahnApp.class.getResource("fahrbahn.css").toExternalForm());
        stage.setTitle("Fahrbahn: " + file.file().getFileName());
        stage.setScene(scene);
        stage.setMinWidth(1080);
        stage.setMinHeight(700);
        stage.show();
        window.start();
    }

    /** For those that drive the window: the models behind it. */
    Workshop workshop() {
        return workshop;
    }

    @Override
    public void stop() throws InterruptedException {
        if (workshop != null) {
            window.stop();
            workshop.close();
        }
        worker.shutdownNow();
        writer.shutdown();
        writer.awaitTermination(SECONDS_TO_SAVE, TimeUnit.SECONDS);
    }
}
