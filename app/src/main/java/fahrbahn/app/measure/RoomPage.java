package fahrbahn.app.measure;

import fahrbahn.app.kit.Action;
import fahrbahn.app.kit.Nodes;
import fahrbahn.app.kit.Pages;
import fahrbahn.core.quality.Finding;
import fahrbahn.core.quality.RoomLight;
import fahrbahn.core.quality.Survey;
import fahrbahn.core.readings.Capture;
import fahrbahn.core.readings.Lamp;
import fahrbahn.words.FindingWords;
import java.util.List;
import java.util.Map;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** Does the light of the room matter, and what does a lifted robot see: measured, not believed. */
final class RoomPage {
    private final MeasureModel model;
    private final FlowPane steps = Nodes.flow();
    private final VBox rooms = Nodes.column();
    private final VBox air = Nodes.column();

    RoomPage(MeasureModel model) {
        this.model = model;
    }

    Pages.Page page() {
        Action lamps = new Action("switchLamps", "Lamps on / off", KeyCode.O, model.circumstances()::switchLamps);
        Action light = new Action("roomLight", "Light", KeyCode.L, () -> model.capture(Capture.LIGHT));
        Action dark = new Action("roomDark", "Dark", KeyCode.D, () -> model.capture(Capture.DARK));
        Action lifted = new Action("roomAir", "In the air", KeyCode.A, () -> model.capture(Capture.AIR));
        rooms.setId("rooms");
        air.setId("air");
        model.survey().lastProperty().addListener(o -> refresh());
        model.circumstances().conditionsProperty().addListener(o -> refresh());
        refresh();
        HBox content = Nodes.row(
                Nodes.panel(
                        "Lamp on, lamp off",
                        CapturedPage.wrapped(
                                "Capture light and dark with the sensors' lamps on, then off, without moving the"
                                        + " robot. If the lamps cannot be switched, cover them with tape."),
                        Nodes.flow(lamps.button(), light.button(), dark.button()),
                        steps,
                        rooms),
                Nodes.panel(
                        "Lifted off the table",
                        CapturedPage.wrapped(
                                "Lift the robot a hand's breadth and capture: a program that reads air as dark drives off"
                                        + " when it is picked up."),
                        Nodes.wrapped("Hold it with both hands, motors off.", "caution"),
                        Nodes.flow(lifted.button()),
                        air));
        for (Node panel : content.getChildren()) {
            Nodes.grow(panel);
            ((Region) panel).setPrefWidth(1); // side by side, as wide as each other
            ((Region) panel).setMaxHeight(Double.MAX_VALUE);
        }
        content.setFillHeight(true);
        content.setAlignment(Pos.TOP_LEFT);
        return new Pages.Page(content, List.of(lamps, light, dark, lifted));
    }

    private void refresh() {
        Survey survey = model.surveyShown();
        Lamp now = model.circumstances().conditionsProperty().get().lamp();
        steps.getChildren().setAll(new Label("Lamps are " + now.word() + "."));
        for (Lamp lamp : Lamp.values()) {
            for (String surface : List.of(Capture.LIGHT, Capture.DARK)) {
                boolean there = model.latest(surface, lamp).isPresent();
                steps.getChildren()
                        .add(new Label((there ? "\u2713 " : "\u25cb ") + surface + ", lamps " + lamp.word()));
            }
        }
        rooms.getChildren().clear();
        for (Map.Entry<String, RoomLight> room : survey.rooms().entrySet()) {
            rooms.getChildren().add(CapturedPage.wrapped(FindingWords.of(room.getKey(), room.getValue())));
        }
        if (survey.rooms().isEmpty()) {
            rooms.getChildren().add(Nodes.label("All four captures are there.", "caption"));
        }
        air.getChildren().clear();
        boolean lifted = model.latest(Capture.AIR, Lamp.ON).isPresent();
        List<Finding> alike = survey.between().stream()
                .filter(Finding.AirLooksLike.class::isInstance)
                .toList();
        alike.forEach(finding -> air.getChildren().add(CapturePage.line(finding)));
        if (alike.isEmpty()) {
            air.getChildren()
                    .add(CapturedPage.wrapped(
                            lifted && !survey.pairs().isEmpty()
                                    ? "In the air no sensor reads like dark or light: the program can tell it is lifted."
                                    : "Not captured yet."));
        }
    }
}
