package fahrbahn.app.kit.field;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.TextInputControl;

/** Fields of a page in reading order, what each is, and how one that was written into is given up. */
public final class Fields {
    private static final String WHAT = "fahrbahn.what";
    private static final String NAME = "fahrbahn.name";
    private static final String GIVE_UP = "fahrbahn.giveUp";

    private Fields() {}

    /** @param name with its unit @param what in one sentence: what it is, and where to read it on a robot */
    public static void describe(Node field, String name, String what) {
        field.getProperties().put(NAME, name);
        field.getProperties().put(WHAT, what);
        field.setAccessibleHelp(what);
    }

    /** What a field is; empty where nobody has said. */
    public static Optional<String> what(Node field) {
        return Optional.ofNullable(field).map(f -> (String) f.getProperties().get(WHAT));
    }

    /** @param giveUp puts back what stood there before */
    public static void onGivingUp(Node field, Runnable giveUp) {
        field.getProperties().put(GIVE_UP, giveUp);
    }

    /** Esc: what was written and not taken is forgotten. */
    public static void giveUp(Node field) {
        if (field != null && field.getProperties().get(GIVE_UP) instanceof Runnable giveUp) {
            giveUp.run();
        }
    }

    /** Name and sentence of every field that is shown, in reading order. */
    public static Map<String, String> described(Node page) {
        Map<String, String> all = new LinkedHashMap<>();
        walk(
                page,
                node -> what(node)
                        .ifPresent(what -> all.put((String) node.getProperties().get(NAME), what)));
        return all;
    }

    /** Goes to the first field of a page. @return false when it has none */
    public static boolean first(Node page) {
        List<TextInputControl> fields = in(page);
        fields.stream().findFirst().ifPresent(Fields::write);
        return !fields.isEmpty();
    }

    /** Goes on to the next field of the same page; from the last it stays. */
    public static void next(TextInputControl from) {
        Node page = from;
        while (page.getParent() != null && !page.getStyleClass().contains("bench")) {
            page = page.getParent();
        }
        List<TextInputControl> fields = in(page);
        int next = fields.indexOf(from) + 1;
        if (next > 0 && next < fields.size()) {
            write(fields.get(next));
        }
    }

    private static void write(TextInputControl field) {
        field.requestFocus();
        field.selectAll();
    }

    private static List<TextInputControl> in(Node page) {
        List<TextInputControl> fields = new ArrayList<>();
        walk(page, node -> {
            if (node instanceof TextInputControl field && field.isEditable() && !field.isDisabled()) {
                fields.add(field);
            }
        });
        return fields;
    }

    private interface Visit {
        void node(Node node);
    }

    private static void walk(Node node, Visit visit) {
        if (!node.isVisible()) {
            return;
        }
        visit.node(node);
        if (node instanceof Parent parent) {
            parent.getChildrenUnmodifiable().forEach(child -> walk(child, visit));
        }
    }
}
