package fahrbahn.app;

import java.util.List;
import javafx.application.Application;

/** Starts the window. Apart from the application class, so that a plain class path finds JavaFX before it is needed. */
public final class Main {
    private Main() {}

    public static void main(String[] arguments) {
        FahrbahnApp.begin(List.of(arguments));
        Application.launch(FahrbahnApp.class, arguments);
    }
}
