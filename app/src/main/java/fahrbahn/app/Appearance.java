package fahrbahn.app;

import atlantafx.base.theme.PrimerDark;
import java.util.List;
import javafx.application.Application;
import javafx.scene.text.Font;

/** Fonts and styles, all of which ship with the program. */
final class Appearance {
    static final String STYLES = Appearance.class.getResource("fahrbahn.css").toExternalForm();

    private Appearance() {}

    /** For the whole toolkit, before the first window. */
    static void load() {
        for (String weight : List.of("400", "600", "700")) {
            Font.loadFont(
                    Appearance.class.getResourceAsStream("fonts/titillium-web-latin-" + weight + "-normal.woff"), 14);
        }
        Application.setUserAgentStylesheet(new PrimerDark().getUserAgentStylesheetBSS());
    }
}
