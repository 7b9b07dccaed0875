package fahrbahn.bench;

import javafx.application.Application;

/** Makes the pictures of docs/screenshots; no application itself, so that JavaFX may lie on the class path. */
public final class Pictures {
    private Pictures() {}

    /** @param arguments the folder they go to */
    public static void main(String[] arguments) {
        Application.launch(Shots.class, arguments);
    }
}
