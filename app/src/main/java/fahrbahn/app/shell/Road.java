package fahrbahn.app.shell;

import fahrbahn.app.chart.TextFont;
import fahrbahn.app.freshness.Freshness;
import fahrbahn.app.freshness.Station;
import fahrbahn.app.kit.Nodes;
import fahrbahn.app.kit.field.Fields;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Consumer;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ContentDisplay;
import javafx.scene.control.Label;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.scene.shape.CubicCurveTo;
import javafx.scene.shape.MoveTo;
import javafx.scene.shape.Path;
import javafx.scene.shape.Rectangle;
import javafx.scene.text.Text;

/** The road down the left side: a winding line with a stop for each station, its state by shape and word. */
final class Road extends Pane {
    private static final PseudoClass HERE = PseudoClass.getPseudoClass("here");
    private static final PseudoClass TIGHT = PseudoClass.getPseudoClass("tight");
    private static final double BETWEEN = 62;

    /** Two lines of words. */
    private static final double LEAST_BETWEEN = 34;

    private static final double TWO_LINES_EM = 3.5;

    /** Height of a title. */
    private static final double TITLE_EM = 1.9;

    /** Where the words of a stop begin, with a little air at their end. */
    private static final double WORDS_FROM_PX = 92;

    private static final double MIDDLE = 40;
    private static final double SWING = 9;

    private final Map<Station, Button> stops = new EnumMap<>(Station.class);
    private final List<Path> lanes = List.of(winding("road-kerb"), winding("road-asphalt"), winding("road-middle"));
    private double between;
    private final Workshop workshop;

    Road(Workshop workshop, Consumer<Station> go) {
        this.workshop = workshop;
        getStyleClass().add("road");
        setMinHeight(LEAST_BETWEEN * Station.values().length);
        setPrefHeight(BETWEEN * Station.values().length);
        getChildren().addAll(lanes);
        Rectangle clip = new Rectangle();
        clip.widthProperty().bind(widthProperty());
        clip.heightProperty().bind(heightProperty());
        setClip(clip);
        for (Station station : Station.values()) {
            Button stop = stop(station);
            stop.setOnAction(e -> go.accept(station));
            stops.put(station, stop);
            getChildren().add(stop);
        }
    }

    void mark(Station here) {
        stops.forEach((station, stop) -> stop.pseudoClassStateChanged(HERE, station == here));
    }

    /** As far apart as there is room for. */
    @Override
    protected void layoutChildren() {
        double room = Math.max(LEAST_BETWEEN, Math.min(BETWEEN, getHeight() / Station.values().length));
        if (room != between) {
            between = room;
            lanes.forEach(this::wind);
            together(between < TWO_LINES_EM * ems());
        }
        stops.forEach((station, stop) -> {
            say(station, stop);
            stop.resizeRelocate(0, y(station.ordinal()) - between / 2, getWidth(), between);
        });
    }

    /** The reason stands on the road where it can be read whole; elsewhere the stop says it when it has the focus. */
    private void say(Station station, Button stop) {
        Label state = (Label) stop.lookup(".stop-state");
        Freshness freshness = workshop.station(station).freshnessProperty().get();
        boolean stale = freshness.mark() == Freshness.Mark.STALE || freshness.mark() == Freshness.Mark.GUESS;
        String whole = freshness.mark().word() + ": " + freshness.reason();
        Text measured = new Text(whole);
        measured.setFont(state.getFont());
        measured.setWrappingWidth(getWidth() - WORDS_FROM_PX);
        double room = between - TITLE_EM * ems();
        boolean fits = stale && measured.getLayoutBounds().getHeight() <= room;
        boolean tight = between < TWO_LINES_EM * ems();
        state.setText(tight ? "" : fits ? whole : freshness.mark().word()); // there the shape says it alone
        state.setMaxWidth(getWidth() - WORDS_FROM_PX);
    }

    private double ems() {
        return TextFont.of(this).getSize();
    }

    /** Where there is no room for two lines, title and mark share one. */
    private void together(boolean oneLine) {
        pseudoClassStateChanged(TIGHT, oneLine);
        for (Button stop : stops.values()) {
            StackPane words = (StackPane) stop.lookup(".stop-words");
            if (words == null) {
                continue;
            }
            Pane before = (Pane) words.getChildren().get(0);
            Node title = before.getChildren().get(0);
            Node state = before.getChildren().get(1);
            before.getChildren().clear();
            words.getChildren().setAll(oneLine ? Nodes.row(title, state) : new VBox(title, state));
        }
    }

    private static double x(int stop) {
        return MIDDLE + (stop % 2 == 0 ? -SWING : SWING);
    }

    private double y(int stop) {
        return (stop + 0.5) * between;
    }

    private void wind(Path path) {
        double top = -between / 2;
        path.getElements().setAll(new MoveTo(x(0), top));
        for (int i = 0; i <= Station.values().length; i++) {
            double before = i == 0 ? top : y(i - 1);
            double middle = (before + y(i)) / 2;
            path.getElements().add(new CubicCurveTo(x(Math.max(0, i - 1)), middle, x(i), middle, x(i), y(i)));
        }
    }

    private static Path winding(String styleClass) {
        Path path = new Path();
        path.getStyleClass().add(styleClass);
        path.setManaged(false);
        path.setMouseTransparent(true);
        return path;
    }

    private Button stop(Station station) {
        Region shape = new Region();
        shape.getStyleClass().add("stop-shape");
        StackPane place = new StackPane(shape, Nodes.label(String.valueOf(station.ordinal() + 1), "stop-number"));
        place.getStyleClass().add("stop-place");
        place.setTranslateX(x(station.ordinal()) - MIDDLE);
        Label title = Nodes.label(station.title(), "stop-title");
        Label state = Nodes.label("", "stop-state");
        state.setWrapText(true);
        StackPane words = new StackPane(new VBox(title, state));
        words.setAlignment(Pos.CENTER_LEFT);
        words.getStyleClass().add("stop-words");
        Button stop = new Button("", Nodes.row(place, words));
        stop.setContentDisplay(ContentDisplay.GRAPHIC_ONLY);
        stop.setId("station-" + station.name().toLowerCase(Locale.ROOT));
        stop.getStyleClass().add("stop");
        Runnable refresh = () -> {
            Freshness freshness = workshop.station(station).freshnessProperty().get();
            requestLayout();
            for (Freshness.Mark mark : Freshness.Mark.values()) {
                stop.pseudoClassStateChanged(PseudoClass.getPseudoClass(mark.style()), mark == freshness.mark());
            }
            String said = station.title() + ": " + freshness.mark().word()
                    + (freshness.reason().isEmpty() ? "" : ", " + freshness.reason());
            Fields.describe(stop, station.title(), said);
            stop.setAccessibleText(station.title() + ", " + freshness.mark().word() + " " + freshness.reason());
        };
        Nodes.hint(
                stop, () -> workshop.station(station).freshnessProperty().get().reason());
        workshop.station(station).freshnessProperty().addListener(o -> refresh.run());
        refresh.run();
        return stop;
    }
}
