package fahrbahn.app.table;

import fahrbahn.app.kit.Nodes;
import fahrbahn.app.kit.field.ChoiceField;
import fahrbahn.app.kit.field.NumberField;
import fahrbahn.core.path.Part;
import fahrbahn.core.path.PartShapes;
import fahrbahn.words.Words;
import java.util.Map;
import java.util.function.DoubleFunction;
import java.util.function.Function;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** The numbers of the part in hand. */
final class PartPanel {
    private final TableModel model;
    private final FlowPane fields = new FlowPane();
    private final Label name = Nodes.label("", "strong");

    private static final Map<String, String> WHAT = Map.of(
            "partRadius", "Radius of the middle of the line, from the middle of its circle, by ruler or string.",
            "partAngle",
                    "How far the line turns in this part: 90 for a quarter circle to the left, negative to the right.",
            "partLength", "How long this part is along the line, by ruler.",
            "partHeight", "How high it stands above the table, by ruler.",
            "partWay", "Which way the course continues; where the robot turns round, it ends.",
            "marksBefore", "Sides with turn marks before the crossing, as the robot comes.",
            "marksBehind", "Sides with turn marks behind the crossing, as the robot comes.",
            "obstacleRadius", "Half the width of the obstacle, by ruler.",
            "partSlope", "Slope in degrees: positive up, negative down.");

    PartPanel(TableModel model) {
        this.model = model;
    }

    /** @param actions what can be done with the part */
    VBox build(Node... actions) {
        fields.getStyleClass().add("fields");
        name.setId("partName");
        model.chosenProperty().addListener(o -> refresh());
        model.draftProperty().addListener(o -> refresh());
        refresh();
        HBox row = Nodes.row(name, Nodes.spring());
        row.getChildren().addAll(actions);
        fields.setMinHeight(66);
        VBox panel = new VBox(row, fields);
        panel.getStyleClass().add("panel");
        return panel;
    }

    private void refresh() {
        fields.getChildren().clear();
        int chosen = model.chosenProperty().get();
        if (chosen < 0 || chosen >= model.draftProperty().get().parts().size()) {
            name.setText("nothing selected");
            return;
        }
        Part part = model.draftProperty().get().parts().get(chosen);
        name.setText((chosen + 1) + " of " + model.draftProperty().get().parts().size() + ": " + word(part));
        if (part instanceof Part.Bend p) {
            add("partRadius", "radius, mm", p.radiusMm(), v -> new Part.Bend(v, p.angleRad()));
            add(
                    "partAngle",
                    "turn, deg (left +)",
                    degrees(p.angleRad()),
                    v -> new Part.Bend(p.radiusMm(), Math.toRadians(v)));
        } else if (part instanceof Part.SwingOver p) {
            add("partRadius", "radius, mm", p.radiusMm(), v -> new Part.SwingOver(v, p.angleRad()));
            add(
                    "partAngle",
                    "turn, deg (left +)",
                    degrees(p.angleRad()),
                    v -> new Part.SwingOver(p.radiusMm(), Math.toRadians(v)));
        } else if (part instanceof Part.RightAngle p) {
            add("partLength", "arms, mm", p.armMm(), v -> new Part.RightAngle(p.turn(), v));
        } else if (part instanceof Part.Crossing p) {
            crossing(p);
        } else {
            others(part);
        }
    }

    private void crossing(Part.Crossing p) {
        add("partLength", "arms, mm", p.armMm(), v -> new Part.Crossing(v, p.way(), p.marks()));
        choose(
                "partWay",
                "goes on",
                p.way(),
                Part.Turn.values(),
                Part.Turn::word,
                v -> new Part.Crossing(p.armMm(), v, p.marks()));
        choose(
                "marksBefore",
                "marks before",
                p.marks().before(),
                Part.Sides.values(),
                Part.Sides::word,
                v -> new Part.Crossing(
                        p.armMm(), p.way(), new Part.Marks(v, p.marks().behind())));
        choose(
                "marksBehind",
                "marks behind",
                p.marks().behind(),
                Part.Sides.values(),
                Part.Sides::word,
                v -> new Part.Crossing(
                        p.armMm(), p.way(), new Part.Marks(p.marks().before(), v)));
    }

    /** Those that are as long as they are set to be. */
    private void others(Part part) {
        add("partLength", "length, mm", part.lengthMm(), v -> PartShapes.withLength(part, v));
        if (part instanceof Part.Obstacle p) {
            add("obstacleRadius", "radius, mm", p.radiusMm(), v -> new Part.Obstacle(Math.max(p.lengthMm(), 2 * v), v));
        }
        if (part instanceof Part.Bump p) {
            add("partHeight", "height, mm", p.heightMm(), v -> new Part.Bump(p.lengthMm(), v));
        } else if (part instanceof Part.Crease p) {
            add("partHeight", "height, mm", p.heightMm(), v -> new Part.Crease(p.lengthMm(), v));
        } else if (part instanceof Part.Ramp p) {
            add(
                    "partSlope",
                    "slope, deg (up +)",
                    degrees(p.slopeRad()),
                    v -> new Part.Ramp(p.lengthMm(), Math.toRadians(v)));
        }
    }

    private void add(String id, String words, double value, DoubleFunction<Part> with) {
        NumberField field = new NumberField(id, words, WHAT.get(id), v -> {
            Part reshaped = with.apply(v); // refused here, with the reason at the field
            model.reshape(reshaped);
        });
        field.show(Math.round(value * 1e6) / 1e6);
        fields.getChildren().add(field);
    }

    private <E> void choose(
            String id, String words, E value, E[] values, Function<E, String> word, Function<E, Part> with) {
        ChoiceField<E> field =
                new ChoiceField<>(id, words, WHAT.get(id), values, word, v -> model.reshape(with.apply(v)));
        field.show(value);
        fields.getChildren().add(field);
    }

    private static double degrees(double rad) {
        return Math.toDegrees(rad);
    }

    private static String word(Part part) {
        if (part instanceof Part.Bend p) {
            return "bend to the " + (p.angleRad() > 0 ? "left" : "right");
        }
        if (part instanceof Part.SwingOver p) {
            return "S-bend, first to the " + (p.angleRad() > 0 ? "left" : "right");
        }
        if (part instanceof Part.RightAngle p) {
            return "corner to the " + p.turn().word();
        }
        if (part instanceof Part.Crossing p) {
            return TableWords.crossing(p);
        }
        if (part instanceof Part.Ramp p) {
            return "ramp " + (p.slopeRad() > 0 ? "up" : "down");
        }
        if (part instanceof Part.Obstacle) {
            return "obstacle on the line";
        }
        if (part instanceof Part.EntryStrip) {
            return "shiny strip";
        }
        if (part instanceof Part.StopStrip) {
            return "stop strip";
        }
        return part instanceof Part.Gap
                ? "gap"
                : part instanceof Part.Bump
                        ? "bump"
                        : part instanceof Part.Crease
                                ? "crease"
                                : part instanceof Part.End
                                        ? "end of the line"
                                        : "straight of " + Words.millimetres(part.lengthMm());
    }
}
