package fahrbahn.app.shell;

import fahrbahn.app.kit.Nodes;
import fahrbahn.app.kit.field.Fields;
import fahrbahn.app.live.LiveModel;
import fahrbahn.app.live.LiveStatus;
import fahrbahn.app.live.LiveStatus.Phase;
import fahrbahn.app.start.Remembered;
import fahrbahn.app.start.Remembered.What;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import fahrbahn.words.Words;
import java.util.ArrayList;
import java.util.List;
import javafx.beans.InvalidationListener;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.css.PseudoClass;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Slider;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** The connected robot along the bottom: how the link stands, each sensor's reading, and the bench robot's place on its mat. */
final class LiveStrip extends HBox {
    /** All bars together; the more sensors, the narrower each. */
    private static final double BARS_WIDTH = 620;

    private static final double WIDEST_BAR = 150;
    private static final double BETWEEN = 12;
    private static final int CROWDED = 5;
    private static final PseudoClass OLD = PseudoClass.getPseudoClass("old");
    private static final PseudoClass SIMULATED = PseudoClass.getPseudoClass("simulated");
    private static final long SHOWN_EVERY_NS = 80_000_000;

    private final LiveModel live;
    private final ReadOnlyObjectProperty<Setup> setup;
    private final Remembered remembered;
    private final Label state = Nodes.label("", "live-state");
    private final Label counts = Nodes.label("", "caption");
    private final HBox bars = Nodes.row();
    private List<Integer> shown = List.of();
    private final List<Label> values = new ArrayList<>();
    private final List<Region> fills = new ArrayList<>();
    private final TextField address = new TextField();
    private final Button connect = new Button("Connect");
    private final Button bench = new Button("Simulated robot");
    private final Button disconnect = new Button("Disconnect");
    private final VBox place;
    private final Slider slider = new Slider();
    private final ToggleButton lamp = new ToggleButton("lamp off");
    private boolean changed;
    private long shownNs;
    private double barWidth = WIDEST_BAR;

    LiveStrip(LiveModel live, ReadOnlyObjectProperty<Setup> setup, Remembered remembered) {
        this.live = live;
        this.remembered = remembered;
        this.setup = setup;
        getStyleClass().add("live-strip");
        bars.getStyleClass().add("live-bars");
        address.setId("address");
        address.setPromptText("127.0.0.1:5801");
        address.setPrefColumnCount(12);
        address.setAccessibleText("address of a robot");
        Fields.describe(
                address,
                "address",
                "Network address and port from which the robot sends its readings; its manual gives them.");
        address.setText(remembered.get(What.ADDRESS).orElse(""));
        address.setOnAction(e -> connect());
        connect.setId("connect");
        connect.setOnAction(e -> connect());
        bench.setId("connectBench");
        bench.setOnAction(e -> live.connectToBenchRobot());
        disconnect.setId("disconnect");
        disconnect.setOnAction(e -> live.disconnect());
        state.setId("liveState");
        place = place();
        VBox link = Nodes.column(Nodes.row(state, counts), Nodes.row(bench, address, connect, disconnect));
        getChildren().addAll(link, Nodes.grow(bars), place);
        live.sensors().addListener((InvalidationListener) o -> rebuild());
        live.statusProperty().addListener(o -> changed = true);
        live.latestProperty().addListener(o -> changed = true);
        refresh();
    }

    /** Called once a frame; shows what is new some twelve times a second, which is as fast as figures can be read. */
    void frame(long nowNs) {
        if (changed && nowNs - shownNs > SHOWN_EVERY_NS) {
            shownNs = nowNs;
            changed = false;
            refresh();
            refreshValues();
        }
    }

    /** Where the bench robot is: over a strip of light, line and dark, or on the table in hand. */
    private VBox place() {
        slider.setId("benchPlace");
        slider.setPrefWidth(120);
        slider.setAccessibleText("Place of the simulated robot across its line, mm");
        slider.valueProperty().addListener(o -> send("at " + slider.getValue()));
        lamp.setId("benchLamp");
        lamp.getStyleClass().add("small");
        lamp.setOnAction(e -> send(lamp.isSelected() ? "lamp off" : "lamp on"));
        VBox box = Nodes.column(
                Nodes.row(
                        Nodes.label("place on:", "caption"),
                        command("benchLight", "light", "light"),
                        command("benchDark", "dark", "dark"),
                        command("benchSweep", "sweep", "sweep"),
                        command("benchSlide", "slide", "at -60", "slide 60 30"),
                        command("benchLift", "lift", "lift"),
                        lamp),
                Nodes.row(
                        slider,
                        Nodes.label("on the table", "caption"),
                        command("benchStart", "to the start", "start"),
                        command("benchDrive", "drive", "drive"),
                        command("benchHalt", "halt", "halt")));
        box.managedProperty().bind(box.visibleProperty());
        return box;
    }

    /** Puts the focus on the first thing to be done here. */
    void toFirst() {
        (place.isVisible() ? place.lookup("#benchLight") : bench.isVisible() ? bench : disconnect).requestFocus();
    }

    private void send(String line) {
        live.send(line);
    }

    private Button command(String id, String words, String... lines) {
        Button button = new Button(words);
        button.setId(id);
        button.getStyleClass().add("small");
        button.setOnAction(e -> List.of(lines).forEach(this::send));
        return button;
    }

    private void connect() {
        remembered.set(What.ADDRESS, address.getText().strip());
        live.connectTo(address.getText());
    }

    private void refresh() {
        LiveStatus status = live.statusProperty().get();
        boolean connected = status.phase() != Phase.NONE;
        state.setText(
                switch (status.phase()) {
                    case NONE -> "No robot connected";
                    case WAITING -> "Waiting for " + status.source();
                    case LIVE -> (status.simulated() ? "Simulated: " : "Live: ") + status.source();
                    case SILENT -> "Silent for " + status.quietS() + " s: " + status.source();
                    case AWAY -> "Away for " + status.quietS() + " s, trying again: " + status.source();
                });
        bars.pseudoClassStateChanged(OLD, status.old());
        counts.setText(
                connected
                        ? status.readings() + " readings"
                                + (status.brokenLines() > 0 ? ", " + status.brokenLines() + " broken lines" : "")
                                + (status.dropped() > 0 ? ", " + status.dropped() + " dropped" : "")
                                + (status.interruptions() > 0
                                        ? ", " + Words.count(status.interruptions(), "interruption", "interruptions")
                                        : "")
                        : "");
        for (Region only : List.of(bench, address, connect)) {
            only.setVisible(!connected);
            only.setManaged(!connected);
        }
        disconnect.setVisible(connected);
        disconnect.setManaged(connected);
        place.setVisible(status.simulated());
        if (!status.simulated()) {
            lamp.setSelected(false); // the next one comes with its lamps on
        }
        pseudoClassStateChanged(SIMULATED, status.simulated());
        reach(live.rig().onLightMm());
    }

    /** From ground to ground, across the line. */
    private void reach(double mm) {
        if (slider.getMax() != mm) {
            slider.setMin(-mm);
            slider.setMax(mm);
            slider.setValue(mm);
        }
    }

    private void rebuild() {
        bars.getChildren().clear();
        values.clear();
        fills.clear();
        shown = live.lines();
        int count = Math.max(1, shown.size());
        barWidth = Math.min(WIDEST_BAR, BARS_WIDTH / count - BETWEEN);
        bars.pseudoClassStateChanged(PseudoClass.getPseudoClass("crowded"), count > CROWDED);
        for (int place : shown) {
            String sensor = live.sensors().get(place);
            Label value = Nodes.label("", "live-value");
            value.setId("live-" + sensor);
            Region fill = new Region();
            fill.getStyleClass().add("live-fill");
            Pane bar = new Pane(fill);
            bar.getStyleClass().add("live-bar");
            bar.setPrefSize(barWidth, 14);
            bar.setMinWidth(barWidth);
            setup.get().robot().sensors().stream()
                    .filter(s -> s.name().equals(sensor))
                    .findFirst()
                    .ifPresent(s -> bar.getChildren().addAll(tick("D", s.dark(), s), tick("L", s.light(), s)));
            values.add(value);
            fills.add(fill);
            Label name = Nodes.label(sensor, "caption");
            bars.getChildren().add(new VBox(count > CROWDED ? new VBox(name, value) : Nodes.row(name, value), bar));
        }
    }

    private Label tick(String letter, double reading, Sensor sensor) {
        Label tick = Nodes.label(letter, "live-tick");
        tick.setLayoutX(barWidth * share(reading, sensor) - 4);
        tick.setLayoutY(13);
        return tick;
    }

    /** Where a reading stands on a bar that shows dark to light and a fifth of that beyond each. */
    private static double share(double reading, Sensor sensor) {
        double low = Math.min(sensor.dark(), sensor.light()) - 0.2 * sensor.contrast();
        return Math.max(0, Math.min(1, (reading - low) / (1.4 * sensor.contrast())));
    }

    private void refreshValues() {
        double[] latest = live.latestProperty().get();
        for (int i = 0; i < values.size() && shown.get(i) < latest.length; i++) {
            double reading = latest[shown.get(i)];
            values.get(i).setText(Words.number(reading, 4));
            String name = live.sensors().get(shown.get(i));
            double share = setup.get().robot().sensors().stream()
                    .filter(s -> s.name().equals(name))
                    .mapToDouble(s -> share(reading, s))
                    .findFirst()
                    .orElse(0);
            fills.get(i).setPrefSize(barWidth * share, 14);
        }
    }
}
