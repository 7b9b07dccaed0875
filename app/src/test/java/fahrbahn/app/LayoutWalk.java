package fahrbahn.app;

import fahrbahn.app.chart.CanvasRegion;
import java.util.ArrayList;
import java.util.List;
import javafx.geometry.Bounds;
import javafx.geometry.Rectangle2D;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.Scene;
import javafx.scene.chart.XYChart;
import javafx.scene.control.Control;
import javafx.scene.control.Labeled;
import javafx.scene.control.ScrollPane;
import javafx.scene.text.Text;

/** Walks over everything that is shown and tells what is cut off, outside the window, or laid over something else. */
final class LayoutWalk {
    /** Of layout in fractions of a pixel. */
    private static final double SLACK_PX = 1.5;

    private record Shown(Labeled node, Bounds at, ScrollPane inside) {
        String words() {
            String id = node.getId() == null ? "" : "#" + node.getId() + " ";
            return id + "'" + node.getText().replace('\n', ' ') + "'";
        }
    }

    private final Scene scene;
    private final List<Shown> shown = new ArrayList<>();
    private final List<String> wrong = new ArrayList<>();

    private LayoutWalk(Scene scene) {
        this.scene = scene;
    }

    /** On the interface thread. */
    static List<String> over(Scene scene) {
        LayoutWalk walk = new LayoutWalk(scene);
        scene.getRoot().applyCss();
        scene.getRoot().layout();
        walk.visit(scene.getRoot(), null);
        walk.overlaps();
        walk.frame("#verdict");
        walk.frame("#liveState");
        return walk.wrong;
    }

    private void visit(Node node, ScrollPane inside) {
        if (!node.isVisible() || node.getOpacity() == 0) {
            return;
        }
        if (!spoken(node)) {
            wrong.add("without words for a screen reader: " + node);
        }
        if (node instanceof Labeled labeled
                && labeled.getText() != null
                && !labeled.getText().isBlank()) {
            see(labeled, inside);
        }
        if (node instanceof Parent parent) {
            ScrollPane now = node instanceof ScrollPane scroll ? scroll : inside;
            parent.getChildrenUnmodifiable().forEach(child -> visit(child, now));
        }
    }

    /** What can have the focus, and every picture, says what it is: by its own words, or by words for a screen reader. */
    private static boolean spoken(Node node) {
        boolean asked = node instanceof CanvasRegion
                || node instanceof XYChart<?, ?>
                || node instanceof Control && node.isFocusTraversable() && !(node instanceof ScrollPane);
        boolean own = node instanceof Labeled labeled
                && labeled.getText() != null
                && !labeled.getText().isBlank();
        boolean told =
                node.getAccessibleText() != null && !node.getAccessibleText().isBlank();
        return !asked || own || told;
    }

    private void see(Labeled labeled, ScrollPane inside) {
        Shown one = new Shown(labeled, labeled.localToScene(labeled.getLayoutBounds()), inside);
        shown.add(one);
        for (Node child : labeled.getChildrenUnmodifiable()) {
            if (child instanceof Text text && cut(labeled.getText(), text.getText())) {
                wrong.add("cut: " + one.words() + " shows as '" + text.getText().replace('\n', ' ') + "'");
            }
        }
        Rectangle2D room = room(inside);
        boolean across =
                one.at().getMinX() < room.getMinX() - SLACK_PX || one.at().getMaxX() > room.getMaxX() + SLACK_PX;
        boolean down =
                inside == null && (one.at().getMinY() < -SLACK_PX || one.at().getMaxY() > scene.getHeight() + SLACK_PX);
        if (across || down) {
            wrong.add("outside: " + one.words() + " at " + box(one.at()));
        }
    }

    private static boolean cut(String wanted, String drawn) {
        return drawn.endsWith("...") && !wanted.endsWith("...");
    }

    /** What lies outside a scrolled view upwards or downwards can be scrolled to. */
    private Rectangle2D room(ScrollPane inside) {
        if (inside == null) {
            return new Rectangle2D(0, 0, scene.getWidth(), scene.getHeight());
        }
        Bounds view = inside.localToScene(inside.getLayoutBounds());
        return new Rectangle2D(view.getMinX(), view.getMinY(), view.getWidth(), view.getHeight());
    }

    private void overlaps() {
        for (int i = 0; i < shown.size(); i++) {
            for (int k = i + 1; k < shown.size(); k++) {
                Shown a = shown.get(i);
                Shown b = shown.get(k);
                if (a.inside() == b.inside()
                        && !within(a.node(), b.node())
                        && !within(b.node(), a.node())
                        && meet(a.at(), b.at())) {
                    wrong.add("over each other: " + a.words() + " at " + box(a.at()) + " and " + b.words() + " at "
                            + box(b.at()));
                }
            }
        }
    }

    private static boolean within(Node inner, Node outer) {
        for (Node node = inner; node != null; node = node.getParent()) {
            if (node == outer) {
                return true;
            }
        }
        return false;
    }

    private static boolean meet(Bounds a, Bounds b) {
        double across = Math.min(a.getMaxX(), b.getMaxX()) - Math.max(a.getMinX(), b.getMinX());
        double down = Math.min(a.getMaxY(), b.getMaxY()) - Math.max(a.getMinY(), b.getMinY());
        // Lines of text are as high as their font's tallest letters: their boxes touch where nothing of them does.
        return across > SLACK_PX && down > 4;
    }

    private void frame(String id) {
        Node node = scene.lookup(id);
        Bounds at = node.localToScene(node.getLayoutBounds());
        boolean inside = at.getMinX() >= 0
                && at.getMinY() >= 0
                && at.getMaxX() <= scene.getWidth()
                && at.getMaxY() <= scene.getHeight()
                && at.getHeight() > 5;
        if (!inside) {
            wrong.add("not in the window: " + id + " at " + box(at));
        }
    }

    private static String box(Bounds b) {
        return Math.round(b.getMinX()) + "," + Math.round(b.getMinY()) + " " + Math.round(b.getWidth()) + "x"
                + Math.round(b.getHeight());
    }
}
