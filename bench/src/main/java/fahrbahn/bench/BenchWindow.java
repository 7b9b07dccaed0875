package fahrbahn.bench;

import fahrbahn.app.FahrbahnApp;
import fahrbahn.app.kit.Clocks;
import fahrbahn.app.shell.Workshop;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.FutureTask;
import java.util.concurrent.locks.LockSupport;
import java.util.function.BooleanSupplier;
import javafx.application.Platform;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.Scene;
import javafx.scene.control.Button;
import javafx.stage.Stage;

/** The program's window, driven from outside. */
final class BenchWindow {
    private static boolean started;

    private final FahrbahnApp app = new FahrbahnApp(Clocks.REAL);
    private Stage stage;

    private BenchWindow() {}

    /** @param home of its own */
    static BenchWindow open(Path home, Path season) throws Exception {
        if (!started) {
            CountDownLatch up = new CountDownLatch(1);
            Platform.startup(up::countDown);
            Platform.setImplicitExit(false);
            up.await();
            started = true;
        }
        System.setProperty("fahrbahn.home", home.toString());
        BenchWindow window = new BenchWindow();
        window.on(() -> {
            window.stage = new Stage();
            window.app.start(window.stage, List.of(season.toString()));
            return null;
        });
        window.until(
                () -> window.shop() != null && !window.shop().busyProperty().get());
        return window;
    }

    <T> T on(Callable<T> work) throws Exception {
        FutureTask<T> task = new FutureTask<>(work);
        Platform.runLater(task);
        return task.get();
    }

    void until(BooleanSupplier condition) throws Exception {
        while (!on(condition::getAsBoolean)) {
            LockSupport.parkNanos(5_000_000);
        }
    }

    Workshop shop() {
        return app.workshop();
    }

    Scene scene() {
        return stage.getScene();
    }

    Node node(String id) {
        return scene().lookup("#" + id);
    }

    void press(String button) throws Exception {
        on(() -> {
            ((Button) node(button)).fire();
            return null;
        });
    }

    private static final long STILL_MS = 300;

    /** How long it is from this change until what it asks for is there and laid out, ms; begun when what was before is painted. */
    double shownMs(Runnable change, BooleanSupplier there) throws Exception {
        Thread.sleep(STILL_MS);
        CompletableFuture<Double> shown = new CompletableFuture<>();
        Platform.runLater(() -> {
            long start = System.nanoTime();
            change.run();
            layOutWhen(there, () -> shown.complete((System.nanoTime() - start) / 1e6));
        });
        return shown.get();
    }

    private void layOutWhen(BooleanSupplier there, Runnable done) {
        if (!there.getAsBoolean()) {
            Platform.runLater(() -> layOutWhen(there, done));
            return;
        }
        Parent root = scene().getRoot();
        root.applyCss();
        root.layout();
        done.run();
    }

    void close() throws Exception {
        on(() -> {
            stage.hide();
            app.stop();
            return null;
        });
    }
}
