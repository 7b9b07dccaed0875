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
import fahrbahn.app.season.Freshness;
import fahrbahn.app.season.Sort;
import fahrbahn.app.season.Station;
import fahrbahn.app.season.StationModel;
import fahrbahn.app.season.Verdict;
import fahrbahn.app.table.TableView;
import java.util.EnumMap;
import java.util.Map;
import javafx.animation.Animation;
import javafx.animation.AnimationTimer;
import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.css.PseudoClass;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.util.Duration;

/** The frame of the window: road, verdict, the station's bench, the live strip; and the keys. */
public final class MainWindow extends BorderPane {
    private static final double FILE_WATCHED_EVERY_S = 5;

    private final Workshop workshop;
    private final Road road;
    private final LiveStrip strip;
    private final Foot foot;
    private final Map<Station, StationView> views = new EnumMap<>(Station.class);
    private final VerdictHead head = new VerdictHead(this::follow);
    private final VBox bench = Nodes.column();
    private final AnimationTimer frames = new AnimationTimer() {
        @Override
        public void handle(long now) {
            workshop.live().drain();
            strip.frame(now);
            if (!inClub) {
                views.get(here).frame().accept(now);
            }
        }
    };
    private final Timeline minutes =
            new Timeline(new KeyFrame(Duration.minutes(1), e -> workshop().minute()));
    private final Timeline moments = new Timeline(
            new KeyFrame(Duration.seconds(FILE_WATCHED_EVERY_S), e -> workshop().watchFile()));
    private final StationView club;
    private Station here = Station.ROBOT;
    private boolean inClub;

    /** @param leave back to the start page */
    public MainWindow(Workshop workshop, Runnable leave) {
        this.workshop = workshop;
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
        bench.getStyleClass().add("bench");

        VBox middle = new VBox(head, notice(), Nodes.grow(bench));
        middle.setMinHeight(0); // whatever a page asks for, the live strip stays in the window
        BorderPane left = new BorderPane(road);
        left.setTop(new HandHead(workshop, this::openClub));
        foot = new Foot(workshop, this::toggle, leave);
        left.setBottom(foot);
        left.getStyleClass().add("road-side");
        setLeft(left);
        setCenter(middle);
        strip = new LiveStrip(workshop.live(), workshop.season().setupNowProperty());
        setBottom(strip);
        KeyTaker.install(this, this::key);
        minutes.setCycleCount(Animation.INDEFINITE);
        moments.setCycleCount(Animation.INDEFINITE);
        go(Station.ROBOT);
    }

    /** Begins to take in live readings and to move pictures. */
    public void start() {
        frames.start();
        minutes.play();
        moments.play();
    }

    public void stop() {
        frames.stop();
        minutes.stop();
        moments.stop();
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

    private Workshop workshop() {
        return workshop;
    }

    private void refreshHead() {
        if (inClub) {
            head.show(
                    Verdict.open(ClubWords.inHand(workshop.club())),
                    "The club: one key each changes, adds, renames, copies or retires");
        } else {
            StationModel model = workshop.station(here);
            head.show(
                    here.title(),
                    model.verdictProperty().get(),
                    model.freshnessProperty().get());
        }
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

    private void toggle(String look) {
        PseudoClass state = PseudoClass.getPseudoClass(look);
        pseudoClassStateChanged(state, !getPseudoClassStates().contains(state));
    }

    private boolean key(KeyEvent event) {
        if (event.isShortcutDown()) {
            if (event.getCode() == KeyCode.S) {
                foot.saveAs();
                return true;
            }
            boolean turn = event.getCode() == KeyCode.Z;
            if (turn && event.isShiftDown()) {
                workshop.redo();
            } else if (turn) {
                workshop.undo();
            }
            return turn;
        }
        if (KeyTaker.writesIn(getScene().getFocusOwner())) {
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
