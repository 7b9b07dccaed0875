package fahrbahn.app.chart;

import javafx.scene.Node;
import javafx.scene.text.Font;

/** The font that canvases write in: the one the app ships, in the size of the window's text setting. */
public final class TextFont {
    private static final double NORMAL = 14;
    private static final double LARGE = 17;

    private TextFont() {}

    public static Font of(Node node) {
        boolean large = node.getScene() != null
                && node.getScene().getRoot().getPseudoClassStates().stream()
                        .anyMatch(state -> state.getPseudoClassName().equals("large"));
        return Font.font("Titillium Web", large ? LARGE : NORMAL);
    }
}
