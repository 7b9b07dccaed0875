package fahrbahn.app.shell;

import fahrbahn.app.club.ClubWords;
import fahrbahn.app.freshness.Freshness;
import fahrbahn.app.freshness.Station;
import fahrbahn.app.kit.Clocks;
import fahrbahn.app.kit.Middle;
import fahrbahn.app.kit.Nodes;
import fahrbahn.app.kit.StationView;
import fahrbahn.app.season.StationModel;
import fahrbahn.app.season.Verdict;
import fahrbahn.app.start.Remembered;
import fahrbahn.app.start.Remembered.What;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.animation.Animation;
import javafx.animation.AnimationTimer;
import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.util.Duration;

/** The frame of the window: road, verdict, the station's bench, the live strip; and the keys. */
public final class MainWindow extends BorderPane {
    private static final double FILE_WATCHED_EVERY_S = 5;

    /** Below so many pixels large letters are a little less large. */
    private static final double NARROW = 1150;

    private final Workshop workshop;
    private final Clocks clocks;
    private final Remembered remembered;
    private final Road road;
    private final LiveStrip strip;
    private final Foot foot;
    private final Benches benches;
    private final VerdictHead head;
    private final Greeting greeting;
    private final Middle bench = new Middle();
    private final AnimationTimer frames = new AnimationTimer() {
        @Override
        public void handle(long frameNs) {
            long nowNs = clocks.handsNs().getAsLong();
            workshop.live().drain();
            strip.frame(nowNs);
            if (!inClub) {
                benches.view(here).frame().accept(nowNs);
            }
        }
    };
    private final Timeline minutes =
            new Timeline(new KeyFrame(Duration.minutes(1), e -> workshop().minute()));
    private final Timeline moments = new Timeline(
            new KeyFrame(Duration.seconds(FILE_WATCHED_EVERY_S), e -> workshop().watchFile()));
    private Station here = Station.ROBOT;
    private boolean inClub;
    private Optional<StationView> keys = Optional.empty();
    private final WindowKeys typed;

    /** @param remembered how it was left the last time @param leave back to the start page */
    public MainWindow(Workshop workshop, Clocks clocks, Remembered remembered, Runnable leave) {
        this.workshop = workshop;
        this.clocks = clocks;
        this.remembered = remembered;
        benches = new Benches(workshop, this::rememberPage);
        greeting = new Greeting(remembered);
        head = new VerdictHead(this::follow, workshop.busyProperty());
        getStyleClass().add("main-window");
        road = new Road(workshop, this::go);
        workshop.season().ledger().listen(kinds -> refreshHead());
        for (Station station : Station.values()) {
            StationModel model = workshop.station(station);
            model.verdictProperty().addListener(o -> refreshHead());
            model.freshnessProperty().addListener(o -> refreshHead());
        }
        // Only the middle scrolls: verdict and live strip stay in the window whatever a page asks for.
        VBox column = new VBox(head, greeting, Nodes.grow(bench), Messages.hint(sceneProperty()));
        StackPane middle = new StackPane(column, Messages.notice(workshop.notices()));
        middle.setAlignment(Pos.BOTTOM_CENTER);
        middle.setMinHeight(0);
        BorderPane left = new BorderPane(road);
        left.setTop(new HandHead(workshop, this::openClub));
        foot = new Foot(workshop, this::toggle, leave);
        left.setBottom(foot);
        left.getStyleClass().add("road-side");
        setLeft(left);
        setCenter(middle);
        strip = new LiveStrip(workshop.live(), workshop.season().setup().property(), remembered);
        setBottom(strip);
        // Between two rounds nothing moves: the robot's numbers come back when somebody asks for them.
        workshop.handover()
                .rounds()
                .quietProperty()
                .addListener(o ->
                        setBottom(workshop.handover().rounds().quietProperty().get() ? null : strip));
        typed = WindowKeys.install(this, workshop, clocks.handsNs());
        minutes.setCycleCount(Animation.INDEFINITE);
        moments.setCycleCount(Animation.INDEFINITE);
        widthProperty()
                .addListener(o -> pseudoClassStateChanged(PseudoClass.getPseudoClass("narrow"), getWidth() < NARROW));
        for (What look : List.of(What.DAY, What.LARGE)) {
            look(look, remembered.is(look));
        }
        goBack();
    }

    /** Where the coach was when the window was left. */
    private void goBack() {
        String left = remembered.get(What.STATION).orElse("");
        Optional<String> page = remembered.get(What.PAGE);
        go(Arrays.stream(Station.values())
                .filter(s -> s.name().equals(left))
                .findFirst()
                .orElse(Station.ROBOT));
        page.ifPresent(title -> benches.view(here).turnTo().accept(title));
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
        keys = Optional.empty();
        road.mark(null);
        bench.show(benches.club(() -> go(Station.ROBOT)).content());
        refreshHead();
        setFocusTraversable(true);
        requestFocus();
    }

    /** For a season that has just begun: first of all, what robot is it? */
    public void begin() {
        openClub();
        typed.take(KeyCode.A);
    }

    /** Somebody who may never have been here. */
    public void greet() {
        greeting.greet();
    }

    public void go(Station station) {
        if (inClub || here != station) {
            workshop.notices().over();
        }
        inClub = false;
        keys = Optional.empty();
        here = station;
        remembered.set(What.STATION, station);
        rememberPage();
        road.mark(station);
        bench.show(benches.view(station).content());
        refreshHead();
        // Keys belong to the station until the coach chooses a field.
        setFocusTraversable(true);
        requestFocus();
    }

    private void rememberPage() {
        remembered.set(What.PAGE, benches.view(here).page().get());
    }

    private Workshop workshop() {
        return workshop;
    }

    private void refreshHead() {
        if (inClub) {
            head.show(
                    Verdict.open(ClubWords.inHand(workshop.club())),
                    "Club: select, add, rename, copy or archive by one key each");
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

    private void toggle(What look) {
        look(look, !remembered.is(look));
    }

    private void look(What look, boolean on) {
        remembered.set(look, on);
        pseudoClassStateChanged(PseudoClass.getPseudoClass(look.name().toLowerCase(Locale.ROOT)), on);
    }

    /** Every key of what is shown takes the bench until it is left. */
    void showKeys() {
        if (keys.isEmpty()) {
            StationView page = KeysPage.of(inClub ? "the club" : here.title(), shown(), workshop::saveKeys);
            keys = Optional.of(page);
            bench.show(page.content());
            requestFocus();
        }
    }

    void leaveKeys() {
        if (keys.isPresent() && inClub) {
            openClub();
        } else if (keys.isPresent()) {
            go(here);
        }
    }

    /** What the bench shows. */
    StationView shown() {
        return keys.orElseGet(() -> inClub ? benches.club(() -> go(Station.ROBOT)) : benches.view(here));
    }

    /** The station that is shown; empty for the club. */
    Optional<Station> station() {
        return inClub ? Optional.empty() : Optional.of(here);
    }

    /** To the next station. */
    void goOn() {
        go(here.next());
    }

    Foot foot() {
        return foot;
    }

    LiveStrip strip() {
        return strip;
    }

    Greeting greeting() {
        return greeting;
    }
}
