package fahrbahn.app.kit;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.LongConsumer;
import java.util.function.Supplier;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.css.PseudoClass;
import javafx.scene.control.Button;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/**
 * The bench of a station with more than fits at once: one leaf is up, the others a word away. Page Up and Down turn them. A page is built when
 * it is first turned to: most of an evening's pages are never looked at.
 */
public final class Pages {
    private static final PseudoClass UP = PseudoClass.getPseudoClass("up");

    /**
     * @param frame called once a frame while it is up
     * @param left called when another page is turned to: what nobody looks at any more need not be worked out
     */
    public record Page(Region content, List<Action> actions, LongConsumer frame, Runnable left) {
        public Page(Region content, List<Action> actions, LongConsumer frame) {
            this(content, actions, frame, () -> {});
        }

        public Page(Region content, List<Action> actions) {
            this(content, actions, nowNs -> {});
        }
    }

    /** A page that may not be built yet. */
    private static final class Leaf {
        private final String title;
        private final Button tab;
        private final Supplier<Page> builder;
        private Page page;

        Leaf(String title, Supplier<Page> builder) {
            this.title = title;
            this.builder = builder;
            tab = new Button(title);
            tab.setId(tabId(title));
            tab.getStyleClass().add("page-tab");
        }

        boolean built() {
            return page != null;
        }

        Page page() {
            if (page == null) {
                page = builder.get();
            }
            return page;
        }
    }

    private final List<Leaf> leaves = new ArrayList<>();
    private final StackPane shown = new StackPane();
    private final ReadOnlyStringWrapper title = new ReadOnlyStringWrapper("");
    private int up = -1;
    private long frameNs;

    /** @param title on its tab; its id is "page-" and the title in small letters */
    public Pages with(String newTitle, Supplier<Page> builder) {
        Leaf leaf = new Leaf(newTitle, builder);
        int index = leaves.size();
        leaf.tab.setOnAction(e -> turnTo(index));
        leaves.add(leaf);
        return this;
    }

    public static String tabId(String title) {
        return "page-" + title.toLowerCase(Locale.ROOT).replace(' ', '-');
    }

    /** The same; a page that the model asks for, or has asked for already, is turned to. */
    public StationView view(ReadOnlyStringProperty wanted) {
        StationView view = view();
        turnTo(wanted.get());
        wanted.addListener(o -> turnTo(wanted.get()));
        return view;
    }

    private void turnTo(String wanted) {
        for (int i = 0; i < leaves.size(); i++) {
            if (leaves.get(i).title.equals(wanted)) {
                turnTo(i);
            }
        }
    }

    public StationView view() {
        turnTo(0);
        HBox row = Nodes.row();
        row.getStyleClass().add("page-tabs");
        leaves.forEach(leaf -> row.getChildren().add(leaf.tab));
        VBox content = Nodes.column(row, Nodes.grow(shown));
        Action next = new Action("nextPage", "next page", KeyCode.PAGE_DOWN, () -> turn(1));
        Action previous = new Action("previousPage", "previous page", KeyCode.PAGE_UP, () -> turn(-1));
        List<Action> turning = List.of(next, previous);
        // Keys without a button of their own to be seen work while any leaf is up.
        turning.forEach(Action::alwaysThere);
        return new StationView(
                content,
                () -> all(turning),
                code -> StationView.take(turning, code)
                        || leaves.stream()
                                .anyMatch(leaf -> leaf.built() && StationView.take(leaf.page.actions(), code)),
                nowNs -> {
                    frameNs = nowNs;
                    leaves.get(up).page().frame().accept(nowNs);
                },
                title.getReadOnlyProperty(),
                this::turnTo);
    }

    /** Of every page, built for it where it was not yet. */
    private List<Action> all(List<Action> turning) {
        List<Action> actions = new ArrayList<>(turning);
        leaves.forEach(leaf -> actions.addAll(leaf.page().actions()));
        return actions;
    }

    private void turn(int by) {
        turnTo(Math.floorMod(up + by, leaves.size()));
    }

    private void turnTo(int index) {
        boolean first = up < 0;
        if (!first && up != index) {
            leaves.get(up).page().left().run();
        }
        up = index;
        Leaf leaf = leaves.get(index);
        title.set(leaf.title);
        if (!first) {
            leaf.page().frame().accept(frameNs); // what it works out begins while it is being laid out
        }
        shown.getChildren().setAll(leaf.page().content());
        Nodes.layOut(shown);
        for (int i = 0; i < leaves.size(); i++) {
            leaves.get(i).tab.pseudoClassStateChanged(UP, i == index);
        }
    }
}
