package fahrbahn.app;

import java.util.List;
import javafx.application.Application;

/** Starts the window. Apart from the application class, so that a plain class path finds JavaFX before it is needed. */
public final class Main {
    private static final int NO_WINDOW = 2;

    private Main() {}

    public static void main(String[] arguments) {
        FahrbahnApp.begin(List.of(arguments));
        try {
            Application.launch(FahrbahnApp.class, arguments);
        } catch (UnsupportedOperationException noDisplay) {
            leave("There is no screen to open a window on (DISPLAY is "
                    + (System.getenv("DISPLAY") == null ? "not set" : "'" + System.getenv("DISPLAY") + "'")
                    + "). Start it from a desktop, or by ./fahrbahn, which makes a screen in memory.");
        } catch (UnsatisfiedLinkError missing) {
            leave("A library of the system is missing (" + missing.getMessage()
                    + "). On Debian: apt-get install libgtk-3-0 libxtst6 libxxf86vm1 libgl1");
        }
    }

    private static void leave(String why) {
        System.err.println(why);
        System.exit(NO_WINDOW);
    }
}
