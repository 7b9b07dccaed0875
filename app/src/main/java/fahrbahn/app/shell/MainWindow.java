package fahrbahn.app.shell;

import fahrbahn.app.drive.DriveView;
import fahrbahn.app.gains.GainsView;
import fahrbahn.app.kit.Nodes;
import fahrbahn.app.kit.Pages;
import fahrbahn.app.kit.StationView;
import fahrbahn.app.levels.LevelsView;
import fahrbahn.app.measure.MeasureView;
import fahrbahn.app.robot.RobotView;
import fahrbahn.app.runs.RunsView;
import fahrbahn.app.season.Freshness;
import fahrbahn.app.season.Station;
import fahrbahn.app.season.StationModel;
import fahrbahn.app.season.Verdict;
import fahrbahn.app.table.TableView;
import java.util.EnumMap;
import java.util.Map;
import javafx.animation.AnimationTimer;
import javafx.css.PseudoClass;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** The frame of the window: road, verdict, the station's bench, the live strip; and the keys. */
public final class MainWindow extends BorderPane {
    private static final PseudoClass DAY = PseudoClass.getPseudoClass("day");
    private static final PseudoClass LARGE = PseudoClass.getPseudoClass("large");

    private final Workshop workshop;
    private final Road road;
    private final LiveStrip strip;
    private final Map<Station, StationView> views = new EnumMap<>(Station.class);
    private final Label sentence = Nodes.label("", "verdict-sentence");
    private final Label freshness = Nodes.label("", "verdict-freshness");
    private final Region tone = new Region();
    private final Button repair = new Button();
    private final HBox head = Nodes.row(tone, Nodes.grow(Nodes.column(sentence, freshness)), repair);
    private final VBox bench = Nodes.column();
    private final AnimationTimer frames = new AnimationTimer() {
        @Override
        public void handle(long now) {
            workshop.live().drain();
            strip.frame();
            views.get(here).frame().run();
        }
    };
    private Station here = Station.ROBOT;

    public MainWindow(Workshop workshop) {
        this.workshop = workshop;
        getStyleClass().add("main-window");
        road = new Road(workshop, this::go);
        views.put(Station.ROBOT, RobotView.of(workshop.robot()));
        views.put(Station.TABLE, TableView.of(workshop.table()));
        views.put(Station.MEASURE, MeasureView.of(workshop.measure()));
        views.put(Station.LEVELS, LevelsView.of(workshop.levels()));
        views.put(Station.GAINS, GainsView.of(workshop.gains()));
        views.put(Station.DRIVE, DriveView.of(workshop.drive()));
        views.put(Station.RUNS, RunsView.of(workshop.runs()));
        for (Station station : Station.values()) {
            StationModel model = workshop.station(station);
            model.verdictProperty().addListener(o -> refreshHead());
            model.freshnessProperty().addListener(o -> refreshHead());
        }
        sentence.setId("verdict");
        sentence.setWrapText(true);
        sentence.setMinHeight(Region.USE_PREF_SIZE);
        freshness.setId("freshness");
        tone.getStyleClass().add("tone");
        repair.setId("repair");
        repair.getStyleClass().add("repair");
        repair.setMinWidth(Region.USE_PREF_SIZE);
        repair.managedProperty().bind(repair.visibleProperty());
        head.getStyleClass().add("verdict");
        bench.getStyleClass().add("bench");

        VBox middle = new VBox(head, notice(), Nodes.grow(bench));
        BorderPane left = new BorderPane(road);
        left.setBottom(foot());
        left.getStyleClass().add("road-side");
        setLeft(left);
        setCenter(middle);
        strip = new LiveStrip(workshop.live(), workshop.season(), workshop::tell);
        setBottom(strip);
        addEventFilter(KeyEvent.KEY_PRESSED, this::key);
        go(Station.ROBOT);
    }

    /** Begins to take in live readings and to move pictures. */
    public void start() {
        frames.start();
    }

    public void stop() {
        frames.stop();
    }

    public void go(Station station) {
        here = station;
        road.mark(station);
        Region content = views.get(station).content();
        bench.getChildren().setAll(Nodes.grow(content));
        refreshHead();
        // Keys belong to the station until the coach chooses a field.
        setFocusTraversable(true);
        requestFocus();
    }

    private void refreshHead() {
        StationModel model = workshop.station(here);
        Verdict verdict = model.verdictProperty().get();
        Freshness fresh = model.freshnessProperty().get();
        sentence.setText(verdict.sentence());
        freshness.setText(
                here.title() + ": " + fresh.mark().word() + (fresh.reason().isEmpty() ? "" : ", " + fresh.reason()));
        for (Verdict.Tone each : Verdict.Tone.values()) {
            PseudoClass state = PseudoClass.getPseudoClass(each.word().replace(' ', '-'));
            head.pseudoClassStateChanged(state, each == verdict.tone());
        }
        tone.setAccessibleText(verdict.tone().word());
        repair.setVisible(fresh.repair().isPresent());
        fresh.repair().ifPresent(way -> {
            repair.setText("Shortest repair: " + way.words());
            repair.setOnAction(e -> follow(way));
        });
    }

    /** Goes where the repair is; there already, does it. A page is turned to at once. */
    private void follow(Freshness.Repair way) {
        boolean there = here == way.station();
        if (!there) {
            go(way.station());
        }
        Node page = lookup("#" + Pages.tabId(way.press()));
        if (page instanceof Button tab) {
            tab.fire();
        } else if (there) {
            take(KeyCode.getKeyCode(way.press()));
        }
    }

    /** What went wrong last, until it is put away. */
    private HBox notice() {
        Label words = new Label();
        words.setId("notice");
        words.setWrapText(true);
        words.textProperty().bind(workshop.noticeProperty());
        Button away = new Button("Put away");
        away.setId("noticeAway");
        away.setMinWidth(Region.USE_PREF_SIZE);
        away.setOnAction(e -> workshop.tell(""));
        HBox notice = Nodes.row(Nodes.grow(words), away);
        notice.getStyleClass().add("notice");
        notice.visibleProperty().bind(workshop.noticeProperty().isNotEmpty());
        notice.managedProperty().bind(notice.visibleProperty());
        return notice;
    }

    private VBox foot() {
        Button undo = new Button("Undo");
        undo.setId("undo");
        undo.setOnAction(e -> workshop.season().undo());
        Button redo = new Button("Redo");
        redo.setId("redo");
        redo.setOnAction(e -> workshop.season().redo());
        Button day = new Button("Day");
        day.setId("day");
        day.setOnAction(e -> toggle(DAY));
        Button large = new Button("Large");
        large.setId("large");
        large.setOnAction(e -> toggle(LARGE));
        Label file = Nodes.label(workshop.season().path().getFileName().toString(), "caption");
        VBox foot = Nodes.column(file, Nodes.row(undo, redo), Nodes.row(day, large));
        foot.getStyleClass().add("foot");
        return foot;
    }

    private void toggle(PseudoClass state) {
        pseudoClassStateChanged(state, !getPseudoClassStates().contains(state));
    }

    private void key(KeyEvent event) {
        if (event.isShortcutDown()) {
            if (event.getCode() == KeyCode.Z) {
                if (event.isShiftDown()) {
                    workshop.season().redo();
                } else {
                    workshop.season().undo();
                }
                event.consume();
            }
            return;
        }
        if (getScene().getFocusOwner() instanceof TextInputControl) {
            if (event.getCode() == KeyCode.ESCAPE) {
                requestFocus();
                event.consume();
            }
            return;
        }
        if (take(event.getCode())) {
            event.consume();
        }
    }

    private boolean take(KeyCode code) {
        if (code.isDigitKey()) {
            int number = code.ordinal() - KeyCode.DIGIT0.ordinal();
            if (number >= 1 && number <= Station.values().length) {
                go(Station.values()[number - 1]);
                return true;
            }
            return false;
        }
        if (code == KeyCode.N) {
            go(here.next());
            return true;
        }
        return views.get(here).actions().stream().anyMatch(action -> action.take(code));
    }
}
