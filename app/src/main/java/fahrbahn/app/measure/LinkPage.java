package fahrbahn.app.measure;

import fahrbahn.app.kit.FileAsk;
import fahrbahn.app.kit.Nodes;
import fahrbahn.app.kit.Pages;
import fahrbahn.app.kit.field.Fields;
import fahrbahn.app.kit.field.Spoken;
import fahrbahn.app.live.LiveModel;
import fahrbahn.app.live.LiveStatus;
import fahrbahn.core.check.Text;
import fahrbahn.core.readings.ColumnMap;
import java.util.ArrayList;
import java.util.List;
import javafx.beans.InvalidationListener;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser.ExtensionFilter;

/** Ways to a robot, how the link stands, and which column is which sensor. */
final class LinkPage {
    private final MeasureModel model;
    private final LiveModel live;
    private final Label state = Nodes.label("", "strong");
    private final Label counts = Nodes.label("", "caption");
    private final ComboBox<String> ports = new ComboBox<>();
    private final GridPane columns = new GridPane();

    LinkPage(MeasureModel model) {
        this.model = model;
        this.live = model.live();
    }

    Pages.Page page() {
        Button bench = new Button("Simulated robot");
        bench.setId("linkBench");
        bench.setOnAction(e -> live.connectToBenchRobot());
        Button file = new Button("Live log file");
        file.setId("linkFile");
        file.setOnAction(e -> chooseFile());
        Button off = new Button("Disconnect");
        off.setOnAction(e -> live.disconnect());
        state.setId("linkState");
        columns.getStyleClass().add("table");
        columns.setId("columnMap");
        live.statusProperty().addListener(o -> refreshState());
        live.columns().addListener((InvalidationListener) o -> refreshColumns());
        model.asking().columnsProperty().addListener(o -> refreshColumns());
        model.asking().questionProperty().addListener(o -> refreshColumns());
        model.setupNowProperty().addListener(o -> refreshColumns());
        refreshState();
        refreshColumns();
        VBox content = Nodes.column(
                Nodes.panel(
                        "The link",
                        state,
                        counts,
                        Nodes.flow(bench, file, off),
                        serial(),
                        CapturedPage.wrapped(
                                "Over a network: type its address and port in the strip below, like 127.0.0.1:5801. A"
                                        + " broken link reconnects by itself; bad lines are counted and skipped.")),
                Nodes.panel("Which column is which sensor", columns));
        return new Pages.Page(content, List.of());
    }

    private Region serial() {
        ports.setId("serialPort");
        ports.setAccessibleText("Serial port");
        ports.setEditable(true);
        Fields.describe(ports, "serial port", "Port of the robot's cable or radio; Look for ports lists them.");
        ports.setPromptText("port");
        ports.setPrefWidth(210);
        ComboBox<Integer> rate = new ComboBox<>();
        rate.setId("serialRate");
        rate.setAccessibleText("Baud rate of the serial port");
        Fields.describe(rate, "baud", "Speed of the port, as in the robot's program, often 115200.");
        rate.getItems().setAll(LiveModel.SERIAL_RATES);
        rate.setValue(LiveModel.SERIAL_RATES.get(0));
        Button look = new Button("Look for ports");
        look.setId("lookForPorts");
        look.setOnAction(e -> model.findPorts(found -> {
            ports.getItems().setAll(found);
            if (found.isEmpty()) {
                model.tell("No serial port was found. Plug the robot in, wait a moment, then look again.");
            } else {
                ports.setValue(found.get(0));
            }
        }));
        Button connect = new Button("Connect by serial");
        connect.setId("connectSerial");
        connect.setOnAction(e -> {
            String port = ports.getEditor().getText().strip();
            if (port.isEmpty()) {
                model.tell("No serial port is chosen. Look for ports, or type the port's name.");
            } else {
                live.connectToSerial(port, rate.getValue());
            }
        });
        return Nodes.flow(ports, rate, Nodes.label("baud", "caption"), look, connect);
    }

    private void chooseFile() {
        FileAsk.open(
                state, live::connectToFile, new ExtensionFilter("Readings that another program writes", "*.*", "*"));
    }

    private void refreshState() {
        LiveStatus status = live.statusProperty().get();
        state.setText(
                switch (status.phase()) {
                    case NONE -> "No robot is connected.";
                    case WAITING ->
                        status.brokenLines() == 0
                                ? "Waiting for the first line from " + status.source() + "."
                                : "Nothing from " + status.source()
                                        + " can be read. Over serial, try another baud rate; else check what its program"
                                        + " prints.";
                    case LIVE -> "Live from " + status.source() + ".";
                    case SILENT -> status.source() + " is connected but silent. Is its program running?";
                    case AWAY -> status.source() + " is disconnected; it reconnects by itself.";
                });
        counts.setText(
                status.phase() == LiveStatus.Phase.NONE
                        ? ""
                        : Text.of(
                                "%d readings, %d broken lines skipped, %d dropped because they came too fast, %d interruptions",
                                status.readings(), status.brokenLines(), status.dropped(), status.interruptions()));
    }

    private void refreshColumns() {
        columns.getChildren().clear();
        if (model.asking().matches().isEmpty()) {
            columns.add(Nodes.label("Columns show here once readings come.", "caption"), 0, 0);
            return;
        }
        columns.addRow(
                0,
                Nodes.label("column", "caption"),
                Nodes.label("is sensor", "caption"),
                Nodes.label("found", "caption"));
        int row = 1;
        for (ColumnMap.Match match : model.asking().matches()) {
            columns.addRow(
                    row,
                    Nodes.label(match.column(), "strong"),
                    choice(match, row),
                    new Label(match.how().words()));
            row++;
        }
    }

    private ComboBox<String> choice(ColumnMap.Match match, int row) {
        ComboBox<String> box = new ComboBox<>();
        box.setId("column-" + (row - 1));
        box.setAccessibleText("Sensor that column " + match.column() + " is");
        Fields.describe(box, "column " + match.column(), "Which sensor this column is.");
        List<String> sensors = new ArrayList<>(model.robotSensors());
        if (!sensors.contains(match.sensor()) && !match.sensor().isEmpty()) {
            sensors.add(match.sensor());
        }
        sensors.add(ColumnMap.NONE);
        box.getItems().setAll(sensors);
        box.setConverter(new Spoken<>(s -> s.isEmpty() ? "(no sensor)" : s));
        box.setValue(match.sensor());
        box.setOnAction(e -> {
            if (box.getValue() != null && !box.getValue().equals(match.sensor())) {
                model.asking().mapColumn(match.column(), box.getValue());
            }
        });
        return box;
    }
}
