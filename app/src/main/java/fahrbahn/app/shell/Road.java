package fahrbahn.app.shell;

import fahrbahn.app.kit.Nodes;
import fahrbahn.app.season.Freshness;
import fahrbahn.app.season.Station;
import java.util.EnumMap;
import java.util.Locale;
import java.util.Map;
import java.util.function.Consumer;
import javafx.css.PseudoClass;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ContentDisplay;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.scene.shape.CubicCurveTo;
import javafx.scene.shape.MoveTo;
import javafx.scene.shape.Path;

/** The road down the left side: a winding line with a stop for each station, its state by shape and word. */
final class Road extends Pane {
    private static final PseudoClass HERE = PseudoClass.getPseudoClass("here");
    private static final double TOP = 40;
    private static final double BETWEEN = 62;
    private static final double MIDDLE = 40;
    private static final double SWING = 9;

    private final Map<Station, Button> stops = new EnumMap<>(Station.class);

    Road(Workshop workshop, Consumer<Station> go) {
        getStyleClass().add("road");
        setPrefWidth(206);
        setMinWidth(206);
        getChildren().addAll(winding("road-kerb"), winding("road-asphalt"), winding("road-middle"));
        for (Station station : Station.values()) {
            Button stop = stop(workshop, station);
            stop.setOnAction(e -> go.accept(station));
            stop.relocate(0, y(station.ordinal()) - 28);
            stops.put(station, stop);
            getChildren().add(stop);
        }
    }

    void mark(Station here) {
        stops.forEach((station, stop) -> stop.pseudoClassStateChanged(HERE, station == here));
    }

    private static double x(int stop) {
        return MIDDLE + (stop % 2 == 0 ? -SWING : SWING);
    }

    private static double y(int stop) {
        return TOP + stop * BETWEEN;
    }

    private static Path winding(String styleClass) {
        Path path = new Path(new MoveTo(x(0), y(0) - 34));
        for (int i = 0; i <= Station.values().length; i++) {
            double before = i == 0 ? y(0) - 34 : y(i - 1);
            double middle = (before + y(i)) / 2;
            path.getElements().add(new CubicCurveTo(x(Math.max(0, i - 1)), middle, x(i), middle, x(i), y(i)));
        }
        path.getStyleClass().add(styleClass);
        path.setManaged(false);
        path.setMouseTransparent(true);
        return path;
    }

    private static Button stop(Workshop workshop, Station station) {
        Region shape = new Region();
        shape.getStyleClass().add("stop-shape");
        StackPane place = new StackPane(shape, Nodes.label(String.valueOf(station.ordinal() + 1), "stop-number"));
        place.getStyleClass().add("stop-place");
        place.setTranslateX(x(station.ordinal()) - MIDDLE);
        Label title = Nodes.label(station.title(), "stop-title");
        Label state = Nodes.label("", "stop-state");
        Node words = new VBox(title, state);
        Button stop = new Button("", Nodes.row(place, words));
        stop.setContentDisplay(ContentDisplay.GRAPHIC_ONLY);
        stop.setId("station-" + station.name().toLowerCase(Locale.ROOT));
        stop.getStyleClass().add("stop");
        stop.setPrefSize(206, 56);
        state.setMaxWidth(116);
        Tooltip why = new Tooltip();
        Runnable refresh = () -> {
            Freshness freshness = workshop.station(station).freshnessProperty().get();
            boolean stale = freshness.mark() == Freshness.Mark.STALE || freshness.mark() == Freshness.Mark.GUESS;
            state.setText(freshness.mark().word() + (stale ? ": " + freshness.reason() : ""));
            why.setText(freshness.reason());
            stop.setTooltip(freshness.reason().isEmpty() ? null : why);
            for (Freshness.Mark mark : Freshness.Mark.values()) {
                stop.pseudoClassStateChanged(PseudoClass.getPseudoClass(mark.style()), mark == freshness.mark());
            }
            stop.setAccessibleText(station.title() + ", " + freshness.mark().word() + " " + freshness.reason());
        };
        workshop.station(station).freshnessProperty().addListener(o -> refresh.run());
        refresh.run();
        return stop;
    }
}
