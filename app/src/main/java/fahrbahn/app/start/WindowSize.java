package fahrbahn.app.start;

import fahrbahn.app.start.Remembered.What;
import javafx.animation.PauseTransition;
import javafx.beans.InvalidationListener;
import javafx.geometry.Rectangle2D;
import javafx.scene.Scene;
import javafx.stage.Screen;
import javafx.stage.Stage;
import javafx.stage.WindowEvent;
import javafx.util.Duration;

/**
 * How large the window is: as it was left, else as planned, never larger than the screen. What counts is what is inside it: the borders
 * that a window manager puts round it come on top.
 */
public final class WindowSize {
    private static final double WIDTH = 1280;
    private static final double HEIGHT = 800;
    private static final double LEAST_WIDTH = 1000;
    private static final double LEAST_HEIGHT = 640;

    private WindowSize() {}

    /** Best before the stage is shown: of one that is, the system has had its say. */
    public static void set(Stage stage, Scene scene, Remembered remembered) {
        Rectangle2D screen = Screen.getPrimary().getVisualBounds();
        double wide =
                remembered.number(What.WIDTH, LEAST_WIDTH, screen.getWidth()).orElse(WIDTH);
        double high =
                remembered.number(What.HEIGHT, LEAST_HEIGHT, screen.getHeight()).orElse(HEIGHT);
        stage.setMinWidth(Math.min(LEAST_WIDTH, screen.getWidth()));
        stage.setMinHeight(Math.min(LEAST_HEIGHT, screen.getHeight()));
        stage.setWidth(Math.min(wide, screen.getWidth()));
        stage.setHeight(Math.min(high, screen.getHeight()));
        if (!stage.isShowing()) {
            new Settling(stage, scene, wide, high, screen).begin();
        }
    }

    /**
     * Some window managers answer a new window with a size of their own, or take their borders off what was asked for. Once a while has gone
     * by without a change, the size that was wanted is asked for again.
     */
    private static final class Settling {
        private static final Duration QUIET = Duration.millis(200);
        private static final int MOST_TIMES = 5;

        private final Stage stage;
        private final Scene scene;
        private final double wide;
        private final double high;
        private final Rectangle2D screen;
        private final PauseTransition quiet = new PauseTransition(QUIET);
        private final InvalidationListener changed = o -> quiet.playFromStart();
        private int times;

        Settling(Stage stage, Scene scene, double wide, double high, Rectangle2D screen) {
            this.stage = stage;
            this.scene = scene;
            this.wide = wide;
            this.high = high;
            this.screen = screen;
            quiet.setOnFinished(e -> settle());
        }

        void begin() {
            scene.widthProperty().addListener(changed);
            scene.heightProperty().addListener(changed);
            stage.addEventHandler(WindowEvent.WINDOW_SHOWN, e -> quiet.playFromStart());
        }

        private void settle() {
            double width = Math.min(screen.getWidth(), stage.getWidth() + wide - scene.getWidth());
            double height = Math.min(screen.getHeight(), stage.getHeight() + high - scene.getHeight());
            boolean there = width == stage.getWidth() && height == stage.getHeight();
            if (there || times++ == MOST_TIMES) {
                scene.widthProperty().removeListener(changed);
                scene.heightProperty().removeListener(changed);
            } else {
                stage.setWidth(width);
                stage.setHeight(height);
                quiet.playFromStart();
            }
        }
    }

    /** Before the window closes. */
    public static void keep(Scene scene, Remembered remembered) {
        remembered.set(What.WIDTH, scene.getWidth());
        remembered.set(What.HEIGHT, scene.getHeight());
    }
}
