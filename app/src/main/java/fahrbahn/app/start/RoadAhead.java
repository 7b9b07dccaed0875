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
            Station.ROBOT, "Where sensors sit, and what looking ahead buys: by ruler and stopwatch.",
            Station.TABLE, "The course or mat as it is: tightest bend, gaps, tape.",
            Station.MEASURE, "Readings of light and dark, from a cable or read off the robot.",
            Station.LEVELS, "The level, with its odds, instead of 'somewhere in the middle'.",
            Station.GAINS, "The lane: which gains neither wiggle nor leave the bend.",
            Station.DRIVE, "A twin drives the table hundreds of times before the robot does.",
            Station.RUNS, "The log book: whether it got better, and how sure that is.",
            Station.HANDOVER, "What to type, on one page; a new hall; a trained eye."));

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
