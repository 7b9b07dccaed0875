package fahrbahn.app.kit;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.LongConsumer;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.css.PseudoClass;
import javafx.scene.control.Button;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/** The bench of a station with more than fits at once: one leaf is up, the others a word away. Page Up and Down turn them. */
public final class Pages {
    private static final PseudoClass UP = PseudoClass.getPseudoClass("up");

    /**
     * @param title on its tab; its id is "page-" and the title in small letters
     * @param frame called once a frame while it is up
     * @param left called when another page is turned to: what nobody looks at any more need not be worked out
     */
    public record Page(String title, Region content, List<Action> actions, LongConsumer frame, Runnable left) {
        public Page(String title, Region content, List<Action> actions, LongConsumer frame) {
            this(title, content, actions, frame, () -> {});
        }

        public Page(String title, Region content, List<Action> actions) {
            this(title, content, actions, nowNs -> {});
        }
    }

    private final List<Page> pages;
    private final List<Button> tabs = new ArrayList<>();
    private final StackPane leaf = new StackPane();
    private final ReadOnlyStringWrapper title = new ReadOnlyStringWrapper("");
    private int up = -1;
    private long frameNs;

    public Pages(List<Page> pages) {
        this.pages = List.copyOf(pages);
        for (int i = 0; i < pages.size(); i++) {
            int index = i;
            Button tab = new Button(pages.get(i).title());
            tab.setId(tabId(pages.get(i).title()));
            tab.getStyleClass().add("page-tab");
            tab.setOnAction(e -> turnTo(index));
            tabs.add(tab);
        }
        turnTo(0);
    }

    public static String tabId(String title) {
        return "page-" + title.toLowerCase(Locale.ROOT).replace(' ', '-');
    }

    /** The same; a page that the model asks for is turned to. */
    public StationView view(ReadOnlyStringProperty wanted) {
        wanted.addListener(o -> turnTo(wanted.get()));
        return view();
    }

    private void turnTo(String title) {
        for (int i = 0; i < pages.size(); i++) {
            if (pages.get(i).title().equals(title)) {
                turnTo(i);
            }
        }
    }

    public StationView view() {
        HBox row = Nodes.row();
        row.getStyleClass().add("page-tabs");
        row.getChildren().addAll(tabs);
        VBox content = Nodes.column(row, Nodes.grow(leaf));
        Action next = new Action("nextPage", "next page", KeyCode.PAGE_DOWN, () -> turn(1));
        Action previous = new Action("previousPage", "previous page", KeyCode.PAGE_UP, () -> turn(-1));
        List<Action> actions = new ArrayList<>(List.of(next, previous));
        pages.forEach(page -> actions.addAll(page.actions()));
        // Keys without a button of their own to be seen work while any leaf is up.
        next.alwaysThere();
        previous.alwaysThere();
        return new StationView(
                content,
                actions,
                nowNs -> {
                    frameNs = nowNs;
                    pages.get(up).frame().accept(nowNs);
                },
                title.getReadOnlyProperty(),
                this::turnTo);
    }

    private void turn(int by) {
        turnTo(Math.floorMod(up + by, pages.size()));
    }

    void turnTo(int index) {
        boolean first = up < 0;
        if (!first && up != index) {
            pages.get(up).left().run();
        }
        up = index;
        title.set(pages.get(index).title());
        if (!first) {
            pages.get(index).frame().accept(frameNs); // what it works out begins while it is being laid out
        }
        leaf.getChildren().setAll(pages.get(index).content());
        Nodes.layOut(leaf);
        for (int i = 0; i < tabs.size(); i++) {
            tabs.get(i).pseudoClassStateChanged(UP, i == index);
        }
    }
}
