package fahrbahn.app;

import atlantafx.base.theme.PrimerDark;
import fahrbahn.app.demo.DemoSeason;
import fahrbahn.app.errand.Ending;
import fahrbahn.app.errand.Errand;
import fahrbahn.app.errand.Errands;
import fahrbahn.app.season.OpenSeason;
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
import javafx.scene.Parent;
import javafx.scene.Scene;
import javafx.scene.text.Font;
import javafx.stage.Stage;

/** One window: the start page, or a season. */
public final class FahrbahnApp extends Application {
    private static final Logger LOG = Logger.getLogger(FahrbahnApp.class.getName());
    private static final long DEMO_SEED = 7;
    private static final int SECONDS_TO_SAVE = 10;

    private final ExecutorService writer = Executors.newSingleThreadExecutor(daemon("season writer"));
    private final ExecutorService worker = Executors.newFixedThreadPool(2, daemon("worker"));
    private final Errand<Opened> opening =
            new Errands(worker, Platform::runLater, this::tellStart).errand("Opening the season");
    private Home home;
    private Stage stage;
    private Scene scene;
    private StartPage startPage;
    private Workshop workshop;
    private MainWindow window;

    /** How a season came to be open. */
    private enum Manner {
        WORK,
        BEGUN,
        DEMO
    }

    private record Opened(OpenSeason season, Manner manner) {}

    private static ThreadFactory daemon(String name) {
        return work -> {
            Thread thread = new Thread(work, name);
            thread.setDaemon(true);
            return thread;
        };
    }

    @Override
    public void start(Stage newStage) throws IOException {
        start(newStage, getParameters().getRaw());
    }

    /** The same with the arguments handed in, for those that drive the window. */
    void start(Stage newStage, List<String> arguments) throws IOException {
        stage = newStage;
        home = Home.open();
        home.logHere();
        Thread.setDefaultUncaughtExceptionHandler(this::unforeseen);
        for (String weight : List.of("400", "600", "700")) {
            Font.loadFont(
                    FahrbahnApp.class.getResourceAsStream("fonts/titillium-web-latin-" + weight + "-normal.woff"), 14);
        }
        Application.setUserAgentStylesheet(new PrimerDark().getUserAgentStylesheet());
        showStart();
        stage.setMinWidth(1080);
        stage.setMinHeight(700);
        stage.show();
        if (arguments.contains("demo")) {
            openDemo(arguments.contains("--fresh"));
        } else if (!arguments.isEmpty()) {
            open(Path.of(arguments.get(0)));
        }
    }

    private void unforeseen(Thread thread, Throwable broken) {
        LOG.log(Level.SEVERE, thread.getName(), broken);
        Platform.runLater(() -> {
            if (workshop != null) {
                workshop.tell(
                        "Something went wrong that nobody foresaw. Your season is saved; details are in the log.");
            }
        });
    }

    private void show(Parent root, String title) {
        if (scene == null) {
            scene = new Scene(root, 1280, 800);
            scene.getStylesheets()
                    .add(FahrbahnApp.class.getResource("fahrbahn.css").toExternalForm());
            stage.setScene(scene);
        } else {
            scene.setRoot(root);
        }
        stage.setTitle(title);
        root.requestFocus();
    }

    private void showStart() {
        startPage = new StartPage(home.recent(), new StartPage.Choices() {
            @Override
            public void open(Path file) {
                FahrbahnApp.this.open(file);
            }

            @Override
            public void begin(String name) {
                FahrbahnApp.this.begin(name);
            }

            @Override
            public void demo() {
                openDemo(false);
            }
        });
        show(startPage, "Fahrbahn");
    }

    private void tellStart(String words) {
        startPage.tell(words);
    }

    private void open(Path file) {
        run(() -> SeasonFile.open(file, Clock.systemUTC()), Manner.WORK);
    }

    private void begin(String name) {
        run(() -> SeasonFile.create(home.named(name), Clock.systemUTC()), Manner.BEGUN);
    }

    private void openDemo(boolean fresh) {
        run(
                () -> {
                    try {
                        if (fresh) {
                            Files.deleteIfExists(home.demo());
                        }
                    } catch (IOException cannot) {
                        throw new BadFileException(
                                home.demo() + " cannot be replaced (" + cannot.getMessage() + ")", cannot);
                    }
                    return DemoSeason.open(home.demo(), Clock.systemUTC());
                },
                Manner.DEMO);
    }

    private interface Opener {
        SeasonFile open() throws BadFileException;
    }

    private void run(Opener opener, Manner manner) {
        tellStart("Opening.");
        opening.runToEnd(
                job -> new Opened(OpenSeason.read(opener.open(), writer, Platform::runLater), manner), ending -> {
                    if (ending instanceof Ending.Done<Opened> done) {
                        work(done.result());
                    } else {
                        tellStart(Ending.words(ending));
                    }
                });
    }

    private void work(Opened opened) {
        Path path = opened.season().path();
        home.used(path);
        workshop = new Workshop(opened.season(), worker, Platform::runLater, Clock.systemUTC());
        window = new MainWindow(workshop, this::leave);
        show(window, "Fahrbahn: " + path.getFileName());
        window.start();
        if (opened.manner() == Manner.DEMO) {
            workshop.live().connectToBenchRobot(new BenchRobot(DEMO_SEED));
        } else if (opened.manner() == Manner.BEGUN) {
            window.begin();
        }
    }

    /** Closes the season and goes back to the start page. */
    private void leave() {
        closeSeason();
        showStart();
    }

    private void closeSeason() {
        if (workshop != null) {
            window.stop();
            workshop.close();
            workshop = null;
        }
    }

    /** For those that drive the window: the models behind it; null on the start page. */
    Workshop workshop() {
        return workshop;
    }

    @Override
    public void stop() throws InterruptedException {
        closeSeason();
        worker.shutdownNow();
        writer.shutdown();
        writer.awaitTermination(SECONDS_TO_SAVE, TimeUnit.SECONDS);
    }
}
