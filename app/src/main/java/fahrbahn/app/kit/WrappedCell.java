package fahrbahn.app.kit;

import javafx.scene.control.TableCell;
import javafx.scene.text.Text;

/** Words of a table that go on below themselves where their column is too narrow, and are never cut. */
public final class WrappedCell<S> extends TableCell<S, String> {
    private static final double PADDING = 18;

    private final Text words = new Text();

    public WrappedCell() {
        words.getStyleClass().add("cell-words");
        words.wrappingWidthProperty().bind(widthProperty().subtract(PADDING));
        setGraphic(words);
    }

    @Override
    protected void updateItem(String item, boolean empty) {
        super.updateItem(item, empty);
        words.setText(empty || item == null ? "" : item);
    }
}
