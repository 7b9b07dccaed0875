package fahrbahn.app;

import fahrbahn.app.errand.Ending;
import fahrbahn.app.errand.Errand;
import fahrbahn.app.errand.Errands;
import fahrbahn.app.errand.Gate;
import fahrbahn.app.kit.Clocks;
import fahrbahn.app.shell.MainWindow;
import fahrbahn.app.shell.Workshop;
import fahrbahn.app.start.BackupList;
import fahrbahn.app.start.BackupPage;
import fahrbahn.app.start.Beginning;
import fahrbahn.app.start.Home;
import fahrbahn.app.start.Opener;
import fahrbahn.app.start.Remembered;
import fahrbahn.app.start.StartPage;
import fahrbahn.app.start.WindowSize;
import fahrbahn.store.file.BadFileException;
import fahrbahn.store.season.Backups;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.ThreadFactory;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicReference;
import java.util.logging.Level;
import java.util.logging.Logger;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.scene.Parent;
import javafx.scene.Scene;
import javafx.scene.control.Label;
import javafx.scene.layout.StackPane;
import javafx.stage.Stage;

/** One window: the start page, or a season. */
public final class FahrbahnApp extends Application {
    private static final Logger LOG = Logger.getLogger(FahrbahnApp.class.getName());
    private static final int SECONDS_TO_SAVE = 10;
    private static final String OPENING = "Opening.";

    /** Of {@link #begin}: the toolkit makes this class itself, and hands nothing over. */
    private static final AtomicReference<Beginning> begun = new AtomicReference<>();

    private final ExecutorService worker = Executors.newFixedThreadPool(2, daemon("worker"));
    private final Errand<Opener.Result> opening =
            new Errands(worker, Platform::runLater, this::tellStart).errand("Opening the season");
    private final Errand<List<BackupList.Choice>> looking =
            new Errands(worker, Platform::runLater, this::tellStart).errand("Looking for backups");
    private final Clocks clocks;
    private ExecutorService writer;
    private Home home;
    private Remembered remembered;
    private Backups backups;
    private Opener opener;
    private Stage stage;
    private Scene scene;
    private StartPage startPage;
    private Workshop workshop;
    private MainWindow window;

    public FahrbahnApp() {
        this(Clocks.REAL);
    }

    /** For those that drive the window. */
    public FahrbahnApp(Clocks clocks) {
        this.clocks = clocks;
    }

    private static ThreadFactory daemon(String name) {
        return work -> {
            Thread thread = new Thread(work, name);
            thread.setDaemon(true);
            return thread;
        };
    }

    /** Begins to read the season that is asked for, before the toolkit is started. */
    static void begin(List<String> arguments) {
        begun.set(new Beginning(Clocks.REAL, arguments));
    }

    @Override
    public void start(Stage newStage) {
        start(newStage, getParameters().getRaw());
    }

    /** The same with the arguments handed in, for those that drive the window. */
    public void start(Stage newStage, List<String> arguments) {
        stage = newStage;
        Beginning beginning =
                Optional.ofNullable(begun.getAndSet(null)).orElseGet(() -> new Beginning(clocks, arguments));
        home = beginning.home();
        backups = beginning.backups();
        opener = beginning.opener();
        writer = beginning.writer();
        remembered = home.remembered(writer);
        Thread.setDefaultUncaughtExceptionHandler(this::unforeseen);
        if (beginning.asked()) {
            open(beginning::result);
        }
        Appearance.load();
        if (beginning.asked()) {
            show(new StackPane(new Label(OPENING)), "Fahrbahn");
        } else {
            showStart();
        }
        WindowSize.set(stage, scene, remembered);
        stage.show();
    }

    private void unforeseen(Thread thread, Throwable broken) {
        LOG.log(Level.SEVERE, thread.getName(), broken);
        Platform.runLater(() -> {
            if (workshop != null) {
                workshop.tell("Something went wrong. Your season is saved; details are in the log.");
            }
        });
    }

    private void show(Parent root, String title) {
        if (scene == null) {
            scene = new Scene(root);
            scene.getStylesheets().add(Appearance.STYLES);
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
                FahrbahnApp.this.open(() -> opener.open(file));
            }

            @Override
            public void begin(String name) {
                FahrbahnApp.this.open(() -> opener.begin(name));
            }

            @Override
            public void demo() {
                FahrbahnApp.this.open(() -> opener.demo(false));
            }

            @Override
            public void bringBack(Path season) {
                showBackups(season);
            }

            @Override
            public void salvage(Path damaged) {
                FahrbahnApp.this.open(() -> opener.salvage(damaged));
            }
        });
        startPage.tell(home.problem());
        show(startPage, "Fahrbahn");
    }

    private void showBackups(Path season) {
        looking.run(
                job -> BackupList.of(backups, season),
                choices -> show(
                        new BackupPage(
                                season,
                                choices,
                                backup -> {
                                    showStart();
                                    open(() -> {
                                        backups.bringBack(backup, season);
                                        return opener.open(season);
                                    });
                                },
                                this::showStart),
                        "Fahrbahn"));
    }

    private void tellStart(String words) {
        if (startPage == null) {
            showStart();
        }
        startPage.tell(words);
    }

    private interface Opening {
        Opener.Result open() throws BadFileException;
    }

    private void open(Opening how) {
        if (startPage != null) {
            startPage.tell(OPENING);
        }
        opening.runToEnd(job -> how.open(), ending -> {
            if (ending instanceof Ending.Done<Opener.Result> done) {
                show(done.result());
            } else {
                tellStart(Ending.words(ending));
            }
        });
    }

    private void show(Opener.Result result) {
        if (result instanceof Opener.Opened opened) {
            work(opened);
        } else if (result instanceof Opener.Damaged damaged) {
            tellStart(damaged.why() + ".");
            startPage.offerRepair(damaged.file());
        }
    }

    private void work(Opener.Opened opened) {
        Path path = opened.season().path();
        home.used(path);
        Gate computations = new Gate(worker); // the window has both cores until it is there to be seen
        workshop = new Workshop(opened.season(), computations, Platform::runLater, clocks);
        workshop.season().pathProperty().addListener((o, before, now) -> {
            home.used(now);
            stage.setTitle("Fahrbahn: " + now.getFileName());
        });
        window = new MainWindow(workshop, clocks, remembered, this::leave);
        show(window, "Fahrbahn: " + path.getFileName());
        onceShown(computations::open);
        window.start();
        leaveWhenAsked();
        if (!opened.told().isEmpty()) {
            workshop.tell(opened.told());
        }
        if (opened.manner() == Opener.Manner.DEMO) {
            workshop.live().connectToBenchRobot();
            window.greet();
        } else if (opened.manner() == Opener.Manner.BEGUN) {
            window.begin();
        }
    }

    /** For the check that it starts anywhere: once the season is there to be seen, all is well. */
    private void leaveWhenAsked() {
        if (Boolean.getBoolean("fahrbahn.leaveWhenOpen")) {
            onceShown(() -> {
                System.out.println("shown");
                stage.hide();
            });
        }
    }

    /** After the next frame has been laid out and handed over to be painted. */
    private void onceShown(Runnable next) {
        Runnable[] laidOut = new Runnable[1];
        laidOut[0] = () -> {
            scene.removePostLayoutPulseListener(laidOut[0]);
            Platform.runLater(next);
        };
        scene.addPostLayoutPulseListener(laidOut[0]);
        Platform.requestNextPulse();
    }

    /** Closes the season and goes back to the start page. */
    private void leave() {
        closeSeason();
        showStart();
    }

    private void closeSeason() {
        if (workshop != null) {
            window.stop();
            workshop.season().ledger().backUp(backups);
            workshop.close();
            workshop = null;
        }
    }

    /** For those that drive the window: the models behind it; null on the start page. */
    public Workshop workshop() {
        return workshop;
    }

    @Override
    public void stop() throws InterruptedException {
        closeSeason();
        if (stage != null && !stage.isMaximized()) {
            WindowSize.keep(scene, remembered);
        }
        worker.shutdownNow();
        if (writer != null) {
            writer.shutdown();
            writer.awaitTermination(SECONDS_TO_SAVE, TimeUnit.SECONDS);
        }
    }
}
