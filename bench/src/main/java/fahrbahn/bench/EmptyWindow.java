package fahrbahn.bench;

import javafx.application.Application;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.scene.control.Label;
import javafx.scene.layout.StackPane;
import javafx.stage.Stage;

/** What any window costs: one label, shown, and gone again. */
public final class EmptyWindow {
    private EmptyWindow() {}

    /** Apart from the main class, so that a plain class path finds JavaFX before it is needed. */
    public static final class OneLabel extends Application {
        @Override
        public void start(Stage stage) {
            stage.setScene(new Scene(new StackPane(new Label("empty")), 1280, 800));
            stage.show();
            Runnable[] shown = new Runnable[1];
            shown[0] = () -> {
                stage.getScene().removePostLayoutPulseListener(shown[0]);
                System.out.println("shown");
                Platform.runLater(stage::hide);
            };
            stage.getScene().addPostLayoutPulseListener(shown[0]);
        }
    }

    public static void main(String[] arguments) {
        Application.launch(OneLabel.class, arguments);
    }
}
