package fahrbahn.app.chart;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import javafx.scene.Node;
import javafx.scene.paint.Paint;

/** What pens draw in, with the colours of the style sheet: a hidden node for each, all made at once. */
final class Inks {
    private static final List<String> NAMES = List.of(
            "ink-road",
            "ink-edge",
            "ink-middle",
            "ink-curve",
            "ink-robot",
            "ink-advice",
            "ink-text",
            "ink-zero",
            "ink-dark",
            "ink-light",
            "ink-band",
            "ink-best",
            "ink-left",
            "ink-right",
            "ink-spot",
            "ink-table",
            "ink-line",
            "ink-ramp",
            "ink-bump",
            "ink-mark",
            "ink-entry",
            "ink-stop",
            "ink-crease",
            "ink-obstacle",
            "ink-map-0",
            "ink-map-1",
            "ink-map-2",
            "ink-map-3",
            "ink-map-4",
            "ink-map-5",
            "ink-map-6",
            "ink-map-7",
            "ink-map-rim",
            "ink-event",
            "ink-density",
            "ink-cross",
            "ink-cross-rim");

    private final Map<String, Ink> inks = new HashMap<>();

    /**
     * @param children of what is painted; the inks are among them from the beginning, for what is added while a region is laid out
     *     would never be laid out itself
     * @param changed told when a colour is another
     */
    Inks(List<Node> children, Runnable changed) {
        for (String name : NAMES) {
            Ink ink = new Ink(name);
            ink.fillProperty().addListener(o -> changed.run());
            inks.put(name, ink);
            children.add(ink);
        }
    }

    /** @throws IllegalArgumentException for an ink that is none */
    Paint paint(String name) {
        Ink ink = inks.get(name);
        if (ink == null) {
            throw new IllegalArgumentException("there is no ink '" + name + "'");
        }
        return ink.paint();
    }
}
