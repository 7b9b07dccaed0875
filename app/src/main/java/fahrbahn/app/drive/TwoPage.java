package fahrbahn.app.drive;

import fahrbahn.app.drive.TwoModel.Compared;
import fahrbahn.app.drive.TwoModel.Side;
import fahrbahn.app.drive.view.CourseView;
import fahrbahn.app.drive.view.Runner;
import fahrbahn.app.kit.Action;
import fahrbahn.app.kit.Nodes;
import fahrbahn.app.kit.Pages;
import fahrbahn.app.kit.field.ChoiceField;
import fahrbahn.core.review.CompareWords;
import fahrbahn.core.review.Difference;
import fahrbahn.core.trace.Trace;
import fahrbahn.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;

/** A against B: two robots or settings from the same starts, as figures and as ghosts on one table. */
final class TwoPage {
    private static final double SIDE_WIDTH = 470;

    /** Robots are played so many steps faster than real. */
    private static final int FASTER = 1;

    private final DriveModel drive;
    private final TwoModel model;
    private final CourseView course = new CourseView("A and B on the table");
    private final GridPane figures = new GridPane();
    private final Label differs = Nodes.wrapped("", "reason");
    private final ProgressBar progress = new ProgressBar(0);
    private VBox page;
    private Playback playback;

    TwoPage(DriveModel drive) {
        this.drive = drive;
        this.model = drive.two();
        figures.setId("twoFigures");
        figures.getStyleClass().add("table");
        differs.setId("twoDiffers");
        progress.setId("twoProgress");
    }

    Pages.Page page() {
        ChoiceField<Side> a = choice("sideA", "A", model::chooseA);
        ChoiceField<Side> b = choice("sideB", "B", model::chooseB);
        Action compare = new Action("compareTwo", "Drive both", KeyCode.SPACE, model::compare);
        Action pin = new Action("holdA", "Keep present settings as A", KeyCode.A, () -> hold(a, b));
        Action stop = new Action("stopTwo", "Stop", KeyCode.S, model.compared()::endEarly);
        Action play = new Action("playTwo", "Play", KeyCode.P, this::toggle);
        Action closer = new Action("twoCloser", "Closer", KeyCode.Z, course::lookCloser);
        Action save = new Action("saveTwo", "Save", KeyCode.T, this::save);
        compare.button().disableProperty().bind(model.compared().computingProperty());
        stop.button()
                .disableProperty()
                .bind(model.compared().computingProperty().not());
        progress.visibleProperty().bind(model.compared().computingProperty());
        offer(a, b);
        drive.setupNowProperty().addListener(o -> {
            offer(a, b);
            course.showLine(lineWidthMm());
        });
        course.showLine(lineWidthMm());
        model.compared().valueProperty().addListener(o -> refresh());
        drive.laidProperty().addListener(o -> lay());
        lay();
        refresh();
        VBox side =
                Nodes.column(Nodes.panel("Same starts, pair by pair", figures), Nodes.panel("What differs", differs));
        side.setMinWidth(SIDE_WIDTH);
        side.setMaxWidth(SIDE_WIDTH);
        FlowPane controls = Nodes.flow(
                a,
                b,
                compare.button(),
                pin.button(),
                stop.button(),
                play.button(),
                closer.button(),
                save.button(),
                progress);
        controls.getStyleClass().add("by-bottom");
        page = Nodes.column(
                controls,
                Nodes.grow(Nodes.row(
                        Nodes.grow(Nodes.panel("One start, A in full and B dashed", Nodes.grow(course))), side)));
        return new Pages.Page(page, List.of(compare, pin, stop, play, closer, save), this::frame);
    }

    private ChoiceField<Side> choice(String id, String word, Consumer<Side> set) {
        return new ChoiceField<>(
                id,
                word,
                "As set, as kept before, another robot, or a setting from the log book.",
                new Side[0],
                Side::name,
                set);
    }

    private void hold(ChoiceField<Side> a, ChoiceField<Side> b) {
        model.pin();
        offer(a, b);
    }

    private void offer(ChoiceField<Side> a, ChoiceField<Side> b) {
        List<Side> sides = model.sides();
        a.offer(sides, model.a());
        b.offer(sides, model.b());
    }

    private double lineWidthMm() {
        return drive.setupNowProperty().get().line().widthMm();
    }

    private void lay() {
        drive.laidProperty().get().ifPresent(laid -> course.lay(laid.ground()));
    }

    private void save() {
        Saver.save(drive, page, "compared.png", false, () -> List.of(course.sheet()));
    }

    private void toggle() {
        if (playback != null) {
            playback.toggle();
        }
    }

    private void refresh() {
        Optional<Compared> last = model.compared().get();
        figures.getChildren().clear();
        if (last.isEmpty()) {
            playback = null;
            course.show(List.of(), 0);
            figures.add(
                    Nodes.wrapped("Space simulates both 400 times. Keep A, change one thing, compare.", "caption"),
                    0,
                    0);
            differs.setText(CompareWords.differs(model.differences()));
            return;
        }
        Compared compared = last.get();
        course.lay(compared.ground());
        List<Runner> runners = new ArrayList<>();
        runners.add(new Runner("A", compared.a().setup(), compared.ghostA(), "ink-left", false));
        runners.add(new Runner("B", compared.b().setup(), compared.ghostB(), "ink-right", true));
        course.show(runners, 0);
        playback = new Playback(longer(compared), FASTER);
        String[] head = {"", "A", "B", "B minus A", "likely range"};
        for (int i = 0; i < head.length; i++) {
            figures.add(Nodes.cell(head[i], "caption"), i, 0);
        }
        row(1, "finishes, %", compared.both().chance(), 100);
        row(2, "time, s", compared.both().timeS(), 1);
        row(3, "RMS from line, mm", compared.both().rmsMm(), 1);
        row(4, "line crossings, per m", compared.both().pathCrossingsPerM(), 1);
        row(5, "steering travel, per m", compared.both().travelPerM(), 1);
        row(6, "stops beyond finish, mm", compared.both().stop().alongMm(), 1);
        row(7, "its scatter, mm", compared.both().stop().scatterMm(), 1);
        figures.add(Nodes.wrapped("Grey: no clear difference.", "caption"), 0, 8, 5, 1);
        differs.setText(CompareWords.differs(compared.differs()));
    }

    private static Trace longer(Compared compared) {
        int a = compared.ghostA().size() - 1;
        int b = compared.ghostB().size() - 1;
        return compared.ghostA().tS(a) >= compared.ghostB().tS(b) ? compared.ghostA() : compared.ghostB();
    }

    private void row(int row, String what, Difference difference, double times) {
        figures.add(Nodes.cell(what), 0, row);
        figures.add(Nodes.cell(number(times * difference.a()), "strong"), 1, row);
        figures.add(Nodes.cell(number(times * difference.b()), "strong"), 2, row);
        figures.add(Nodes.cell(number(times * difference.size()), "strong"), 3, row);
        String interval = difference.told()
                ? number(times * difference.low()) + " to " + number(times * difference.high())
                : "too few";
        boolean hidden = difference.told() && !difference.shown();
        figures.add(Nodes.cell(interval, hidden ? "caption" : "strong"), 4, row);
    }

    private static String number(double value) {
        return Words.number(value, 3);
    }

    private void frame(long nowNs) {
        progress.setProgress(model.compared().progress());
        if (playback != null && playback.frame(nowNs)) {
            course.moveTo(playback.atS());
        }
    }
}
