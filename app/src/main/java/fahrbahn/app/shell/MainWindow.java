package fahrbahn.app.shell;

import fahrbahn.app.club.ClubPage;
import fahrbahn.app.club.ClubWords;
import fahrbahn.app.drive.DriveView;
import fahrbahn.app.gains.GainsView;
import fahrbahn.app.kit.KeyTaker;
import fahrbahn.app.kit.Nodes;
import fahrbahn.app.kit.StationView;
import fahrbahn.app.levels.LevelsView;
import fahrbahn.app.measure.MeasureView;
import fahrbahn.app.robot.RobotView;
import fahrbahn.app.runs.RunsView;
import fahrbahn.app.season.Club.Sort;
import fahrbahn.app.season.Freshness;
import fahrbahn.app.season.Station;
import fahrbahn.app.season.StationModel;
import fahrbahn.app.season.Verdict;
import fahrbahn.app.table.TableView;
import fahrbahn.store.Ledger;
import java.util.EnumMap;
import java.util.Map;
import javafx.animation.Animation;
import javafx.animation.AnimationTimer;
import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.css.PseudoClass;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.TextInputControl;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.util.Duration;

/** The frame of the window: road, verdict, the station's bench, the live strip; and the keys. */
public final class MainWindow extends BorderPane {
    private static final PseudoClass DAY = PseudoClass.getPseudoClass("day");
    private static final int MOST_STEPS_SHOWN = 20;
    private static final PseudoClass LARGE = PseudoClass.getPseudoClass("large");

    private final Workshop workshop;
    private final Runnable leave;
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
            if (!inClub) {
                views.get(here).frame().run();
            }
        }
    };
    private final Timeline minutes = new Timeline(new KeyFrame(Duration.minutes(1), e -> minute()));
    private final StationView club;
    private Station here = Station.ROBOT;
    private boolean inClub;

    /** @param leave back to the start page */
    public MainWindow(Workshop workshop, Runnable leave) {
        this.workshop = workshop;
        this.leave = leave;
        getStyleClass().add("main-window");
        road = new Road(workshop, this::go);
        club = ClubPage.of(workshop.club(), () -> go(Station.ROBOT));
        workshop.season().ledger().listen(kinds -> refreshHead());
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
        left.setTop(new HandHead(workshop, this::openClub));
        left.setBottom(foot());
        left.getStyleClass().add("road-side");
        setLeft(left);
        setCenter(middle);
        strip = new LiveStrip(workshop.live(), workshop.season(), workshop::tell);
        setBottom(strip);
        KeyTaker.install(this, this::key);
        minutes.setCycleCount(Animation.INDEFINITE);
        go(Station.ROBOT);
    }

    /** Begins to take in live readings and to move pictures. */
    public void start() {
        frames.start();
        minutes.play();
    }

    public void stop() {
        frames.stop();
        minutes.stop();
    }

    /** The club's list takes the bench until a station is gone to. */
    public void openClub() {
        inClub = true;
        road.mark(null);
        bench.getChildren().setAll(Nodes.grow(club.content()));
        refreshHead();
        setFocusTraversable(true);
        requestFocus();
    }

    /** For a season that has just begun: first of all, what robot is it? */
    public void begin() {
        openClub();
        take(KeyCode.A);
    }

    public void go(Station station) {
        inClub = false;
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
        if (inClub) {
            refreshClubHead();
            return;
        }
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

    private void minute() {
        workshop.minute();
    }

    private void refreshClubHead() {
        sentence.setText(ClubWords.inHand(workshop.club()));
        freshness.setText("The club: one key each changes, adds, renames, copies or retires");
        for (Verdict.Tone each : Verdict.Tone.values()) {
            head.pseudoClassStateChanged(
                    PseudoClass.getPseudoClass(each.word().replace(' ', '-')), each == Verdict.Tone.OPEN);
        }
        tone.setAccessibleText(Verdict.Tone.OPEN.word());
        repair.setVisible(false);
    }

    /** Goes where the repair is and does it, or shows where the coach has to. */
    private void follow(Freshness.Repair way) {
        if (inClub || here != way.station()) {
            go(way.station());
        }
        way.act().run();
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
        undo.setOnAction(e -> workshop.undo());
        Button redo = new Button("Redo");
        redo.setId("redo");
        redo.setOnAction(e -> workshop.redo());
        Button day = new Button("Day");
        day.setId("day");
        day.setOnAction(e -> toggle(DAY));
        Button large = new Button("Large");
        large.setId("large");
        large.setOnAction(e -> toggle(LARGE));
        Label file = Nodes.label(workshop.season().path().getFileName().toString(), "caption");
        Label turned = Nodes.label("", "caption");
        turned.setId("turned");
        turned.setMaxWidth(186);
        turned.textProperty().bind(workshop.turnedProperty());
        Tooltip whole = new Tooltip();
        whole.textProperty().bind(workshop.turnedProperty());
        turned.setTooltip(whole);
        Button seasons = new Button("Seasons");
        seasons.setId("seasons");
        seasons.setOnAction(e -> leave.run());
        VBox foot = Nodes.column(
                Nodes.row(file, Nodes.spring(), seasons),
                Nodes.row(undo, redo, steps()),
                turned,
                Nodes.row(day, large));
        foot.getStyleClass().add("foot");
        return foot;
    }

    /** The list of steps in words; choosing one takes back everything down to it. */
    private MenuButton steps() {
        MenuButton steps = new MenuButton("Steps");
        steps.setId("steps");
        steps.setOnShowing(e -> {
            steps.getItems().clear();
            int back = 0;
            for (Ledger.Labelled step : workshop.season().ledger().undoable()) {
                if (back++ == MOST_STEPS_SHOWN) {
                    break;
                }
                int times = back;
                MenuItem item = new MenuItem(step.label());
                item.setOnAction(chosen -> {
                    for (int i = 0; i < times; i++) {
                        workshop.undo();
                    }
                });
                steps.getItems().add(item);
            }
            if (steps.getItems().isEmpty()) {
                steps.getItems().add(new MenuItem("Nothing to undo"));
            }
        });
        steps.getItems().add(new MenuItem("")); // without an item it would not open
        return steps;
    }

    private void toggle(PseudoClass state) {
        pseudoClassStateChanged(state, !getPseudoClassStates().contains(state));
    }

    private boolean key(KeyEvent event) {
        if (event.isShortcutDown()) {
            boolean turn = event.getCode() == KeyCode.Z;
            if (turn && event.isShiftDown()) {
                workshop.redo();
            } else if (turn) {
                workshop.undo();
            }
            return turn;
        }
        if (getScene().getFocusOwner() instanceof TextInputControl) {
            boolean away = event.getCode() == KeyCode.ESCAPE;
            if (away) {
                requestFocus();
            }
            return away;
        }
        return take(event.getCode());
    }

    private boolean take(KeyCode code) {
        for (Map.Entry<Sort, String> key : HandHead.KEYS.entrySet()) {
            if (code.getName().equals(key.getValue())) {
                workshop.club().takeNext(key.getKey());
                return true;
            }
        }
        if (code == KeyCode.DIGIT0) {
            openClub();
            return true;
        }
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
        StationView shown = inClub ? club : views.get(here);
        return shown.actions().stream().anyMatch(action -> action.take(code));
    }
}
