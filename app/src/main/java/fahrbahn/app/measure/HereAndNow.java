package fahrbahn.app.measure;

import fahrbahn.app.kit.Nodes;
import fahrbahn.app.kit.field.ChoiceField;
import fahrbahn.app.kit.field.Fields;
import fahrbahn.app.kit.field.NumberField;
import fahrbahn.core.readings.Conditions;
import fahrbahn.core.readings.Lamp;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** Where and with what the team works now: noted with whatever is measured, and watched for change. */
final class HereAndNow {
    private final MeasureModel model;
    private final TextField venue = new TextField();
    private final TextField wheels = new TextField();
    private final NumberField battery;
    private final NumberField height;
    private final ChoiceField<Lamp> lamp;

    HereAndNow(MeasureModel model) {
        this.model = model;
        battery = new NumberField(
                "battery",
                "battery, V",
                "Battery voltage at rest, off the display or a meter: a fresh battery drives faster.",
                v -> model.circumstances().note(c -> c.withBatteryV(v)));
        height = new NumberField(
                "heightNow",
                "sensor height, mm",
                "Sensor height above the table now, by ruler or a stack of cards.",
                model.circumstances()::setSensorHeightMm);
        lamp = new ChoiceField<>(
                "lampNow", "sensors' lamps", "Whether the sensors' lamps are on.", Lamp.values(), Lamp::word, l -> {
                    if (l != model.circumstances().conditionsProperty().get().lamp()) {
                        model.circumstances().switchLamps();
                    }
                });
    }

    Region build() {
        model.circumstances().conditionsProperty().addListener(o -> refresh());
        model.setupNowProperty().addListener(o -> refresh());
        refresh();
        return Nodes.panel(
                "Conditions, saved with each capture",
                Nodes.flow(
                        venue(),
                        lamp,
                        height,
                        battery,
                        text("wheelsNow", "wheels", wheels, Conditions::withWheels),
                        caution()));
    }

    private static Label caution() {
        Label caution = Nodes.label(
                "Charge LiPos where you can see them, in a fireproof bag. Never charge a swollen pack. The venue's rules come first.",
                "caution");
        caution.setWrapText(true);
        caution.setMaxWidth(350);
        caution.setMinHeight(Region.USE_PREF_SIZE);
        return caution;
    }

    /** A name of a venue takes it in hand; a new one is added to the club. */
    private Node venue() {
        venue.setId("venue");
        venue.setAccessibleText("venue");
        venue.setPrefColumnCount(11);
        Fields.describe(
                venue,
                "venue",
                "Where the table is now: other lamps need other thresholds. A new name is added to the club.");
        Runnable commit = () -> model.circumstances().goTo(venue.getText());
        venue.setOnAction(e -> commit.run());
        venue.focusedProperty().addListener((o, was, is) -> {
            if (!is) {
                commit.run();
            }
        });
        return new VBox(Nodes.label("venue", "caption"), venue);
    }

    private interface With {
        Conditions apply(Conditions conditions, String text);
    }

    private Node text(String id, String words, TextField field, With with) {
        field.setId(id);
        field.setAccessibleText(words);
        field.setPrefColumnCount(11);
        Fields.describe(field, words, "Wheels or tyres fitted now, in your own words.");
        Runnable commit = () -> model.circumstances().note(c -> with.apply(c, field.getText()));
        field.setOnAction(e -> commit.run());
        field.focusedProperty().addListener((o, was, is) -> {
            if (!is) {
                commit.run();
            }
        });
        return new VBox(Nodes.label(words, "caption"), field);
    }

    private void refresh() {
        Conditions now = model.circumstances().conditionsProperty().get();
        venue.setText(model.circumstances().venueName(now.venue()));
        wheels.setText(now.wheels());
        lamp.show(now.lamp());
        battery.show(now.batteryV());
        height.show(model.setupNowProperty().get().robot().chassis().sensorHeightMm());
    }
}
