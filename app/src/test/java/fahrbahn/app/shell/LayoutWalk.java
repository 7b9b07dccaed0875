package fahrbahn.app.shell;

import fahrbahn.app.chart.CanvasRegion;
import fahrbahn.app.kit.field.Fields;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import javafx.css.PseudoClass;
import javafx.geometry.BoundingBox;
import javafx.geometry.Bounds;
import javafx.geometry.Rectangle2D;
import javafx.scene.AccessibleAttribute;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.Scene;
import javafx.scene.chart.XYChart;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBoxBase;
import javafx.scene.control.Control;
import javafx.scene.control.Labeled;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TableView;
import javafx.scene.control.TextField;
import javafx.scene.control.TextInputControl;
import javafx.scene.text.Text;

/** Walks over everything that is shown and tells what is cut off, outside the window, or laid over something else. */
final class LayoutWalk {
    /** Of layout in fractions of a pixel. */
    private static final double SLACK_PX = 1.5;

    private static final Pattern PROGRAM_NAME = Pattern.compile("\\b[a-z]+[A-Z]\\w*");
    private static final Pattern KEY =
            Pattern.compile("\\b[B-HJ-Z]\\b|\\([1-7]\\)|\\bF\\d|Enter|Space|Page Down|[Aa]rrow");
    private static final Pattern TOO_EXACT = Pattern.compile("\\d\\.\\d{5}|\\b\\d{8}|\\dE-?\\d");

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
        walk.verdict();
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
        if (asksForWords(node) && Fields.what(node).isEmpty()) {
            wrong.add("a field without a sentence: " + node);
        }
        if (!summed(node)) {
            wrong.add("a picture without a summary: " + node);
        }
        if (node instanceof TextField field && !plain(field.getText())) {
            wrong.add("not for a coach: " + field.getId() + " shows '" + field.getText() + "'");
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
        Object said = node.queryAccessibleAttribute(AccessibleAttribute.TEXT);
        boolean told = said != null && !said.toString().isBlank();
        return !asked || own || told;
    }

    /** What the coach types or chooses; the text inside an editable choice belongs to it. */
    private static boolean asksForWords(Node node) {
        boolean typed = node instanceof TextInputControl field
                && field.isEditable()
                && !(field.getParent() instanceof ComboBoxBase<?>);
        return typed || node instanceof ComboBoxBase<?> || node instanceof CheckBox;
    }

    /** A picture that shows something says with a number what. */
    private static boolean summed(Node node) {
        boolean picture = node instanceof CanvasRegion || node instanceof XYChart<?, ?>;
        boolean bare = node.getPseudoClassStates().contains(PseudoClass.getPseudoClass("bare"));
        Object said = node.queryAccessibleAttribute(AccessibleAttribute.TEXT);
        boolean explains = said != null
                && (said.toString().matches("(?s).*\\d.*") || said.toString().length() > 60);
        return !picture || bare || explains;
    }

    private void see(Labeled labeled, ScrollPane inside) {
        Shown one = new Shown(labeled, labeled.localToScene(labeled.getLayoutBounds()), inside);
        shown.add(one);
        if (!plain(labeled.getText())) {
            wrong.add("not for a coach: " + one.words());
        }
        for (Node child : labeled.getChildrenUnmodifiable()) {
            if (child instanceof Text text && cut(labeled.getText(), text.getText())) {
                wrong.add("cut: " + one.words() + " shows as '" + text.getText().replace('\n', ' ') + "'");
            }
        }
        Rectangle2D room = room(inside);
        boolean across =
                one.at().getMinX() < room.getMinX() - SLACK_PX || one.at().getMaxX() > room.getMaxX() + SLACK_PX;
        Bounds reach = inside == null
                ? new BoundingBox(0, 0, scene.getWidth(), scene.getHeight())
                : inside.getContent().localToScene(inside.getContent().getLayoutBounds());
        boolean down = !inTable(labeled)
                && (one.at().getMinY() < reach.getMinY() - SLACK_PX || one.at().getMaxY() > reach.getMaxY() + SLACK_PX);
        if (across || down) {
            wrong.add("outside: " + one.words() + " at " + box(one.at()));
        }
    }

    /** No names out of the program, no numbers of more digits than anything here is known to. */
    private static boolean plain(String words) {
        return words == null
                || !PROGRAM_NAME.matcher(words).find()
                        && !TOO_EXACT.matcher(words).find();
    }

    /** The rows of a table scroll within it. */
    private static boolean inTable(Node node) {
        return node != null && (node instanceof TableView<?> || inTable(node.getParent()));
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

    /** It always says which key takes the next step. */
    private void verdict() {
        String said = ((Labeled) scene.lookup("#verdict")).getText();
        if (!KEY.matcher(said).find()) {
            wrong.add("a verdict without a key: " + said);
        }
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
