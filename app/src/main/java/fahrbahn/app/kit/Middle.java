package fahrbahn.app.kit;

import javafx.application.Platform;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.ScrollPane;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.VBox;

/** The one part of the window that scrolls: what it shows is as high as the room, or as it must be to be shown whole. */
public final class Middle extends ScrollPane {
    private final Content content = new Content();

    public Middle() {
        content.getStyleClass().addAll("column", "bench");
        setContent(content);
        setFitToWidth(true);
        setFitToHeight(true);
        setFocusTraversable(false);
        setMinHeight(0);
        skinProperty().addListener(o -> paintWhatChanges());
        // Pressed with the mouse it would take the focus, and the arrow keys with it, from what was pressed.
        content.addEventHandler(MouseEvent.MOUSE_PRESSED, MouseEvent::consume);
    }

    /**
     * The skin keeps what is shown as one picture for fast scrolling, and paints it anew whole when a cursor moves in it by a pixel: without a
     * graphics card that took half of every frame of the replay. What little is scrolled here is painted as it comes.
     */
    private void paintWhatChanges() {
        Node viewport = lookup(".viewport");
        if (viewport != null) {
            viewport.setCache(false);
        }
    }

    /** Laid out at once: before that nothing in it can be pressed, and the key of a quick hand would be lost. */
    public void show(Node page) {
        content.getChildren().setAll(Nodes.grow(page));
        setVvalue(0);
        if (getScene() != null) {
            Nodes.layOut(getScene().getRoot());
        }
    }

    /** What is shown. */
    public Parent content() {
        return content;
    }

    @Override
    protected void layoutChildren() {
        content.keepWhole(getViewportBounds().getWidth());
        super.layoutChildren();
        if (content.keepWhole(getViewportBounds().getWidth())) { // a scroll bar has come or gone
            super.layoutChildren();
            Platform.runLater(this::requestLayout);
        }
    }

    /**
     * How high it must be depends on its width, which a scrolled view does not ask about: without this, words that go on in a second line
     * would lie below the end of what can be scrolled to.
     */
    private static final class Content extends VBox {
        /** @return whether it must be another height than before */
        private boolean keepWhole(double width) {
            double needed = width > 0 ? Math.ceil(computeMinHeight(width)) : 0;
            boolean other = needed != getMinHeight();
            setMinHeight(needed);
            return other;
        }
    }
}
