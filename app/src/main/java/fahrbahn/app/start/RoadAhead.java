package fahrbahn.app.start;

import fahrbahn.app.freshness.Station;
import fahrbahn.app.kit.Nodes;
import java.util.EnumMap;
import java.util.Map;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/** What the app does, for those who have not seen it: the stations of the road, and the guess that each replaces by a number. */
final class RoadAhead extends VBox {
    private static final Map<Station, String> REPLACED = new EnumMap<>(Map.of(
            Station.ROBOT, "Where the sensors sit and how fast it rolls, by ruler and stopwatch.",
            Station.TABLE, "Your course or mat: tightest bend, gaps, tape.",
            Station.MEASURE, "Light and dark readings, by cable or off the display.",
            Station.LEVELS, "The best threshold, and how often it would misread.",
            Station.GAINS, "The gains that neither wiggle nor leave the bend.",
            Station.DRIVE, "Hundreds of simulated runs on your table before the first real one.",
            Station.RUNS, "A scoreboard and log book: is it better, and how sure?",
            Station.HANDOVER, "The pit card, the program, a new venue, drills."));

    RoadAhead() {
        getStyleClass().add("road-ahead");
        HBox stops = new HBox();
        for (Station station : Station.values()) {
            Label number = Nodes.label(String.valueOf(station.ordinal() + 1), "stop-number");
            Region shape = new Region();
            shape.getStyleClass().add("stop-shape");
            StackPane place = new StackPane(shape, number);
            place.getStyleClass().add("stop-place");
            VBox stop = new VBox(
                    place, Nodes.label(station.title(), "strong"), Nodes.wrapped(REPLACED.get(station), "caption"));
            stop.getStyleClass().add("ahead-stop");
            stop.setPrefWidth(120);
            HBox.setHgrow(stop, Priority.ALWAYS);
            stops.getChildren().add(stop);
        }
        Region asphalt = new Region();
        asphalt.getStyleClass().add("ahead-asphalt");
        Region middle = new Region();
        middle.getStyleClass().add("ahead-middle");
        StackPane road = new StackPane(asphalt, middle);
        road.getStyleClass().add("ahead-road");
        road.setMouseTransparent(true);
        StackPane both = new StackPane(road, stops);
        getChildren().addAll(Nodes.wrapped("From readings to a smooth run", "panel-title"), both);
    }
}
