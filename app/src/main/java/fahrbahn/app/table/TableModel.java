package fahrbahn.app.table;

import fahrbahn.app.errand.Errand;
import fahrbahn.app.errand.Errands;
import fahrbahn.app.live.LiveModel;
import fahrbahn.app.season.Season;
import fahrbahn.app.season.StationModel;
import fahrbahn.app.season.Verdict;
import fahrbahn.app.state.State;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.marks.CapturedColours;
import fahrbahn.core.marks.MarkCaptures;
import fahrbahn.core.mat.MatSheet;
import fahrbahn.core.mat.Traced;
import fahrbahn.core.path.Part;
import fahrbahn.core.raster.TableTop;
import fahrbahn.core.readings.Capture;
import fahrbahn.core.setup.Line;
import fahrbahn.core.setup.Polarity;
import fahrbahn.core.table.Course;
import fahrbahn.core.table.CourseFigures;
import fahrbahn.core.table.DemoCourses;
import fahrbahn.core.table.Draft;
import fahrbahn.core.table.Ground;
import fahrbahn.core.table.LaidCourse;
import fahrbahn.store.exchange.CourseSvg;
import fahrbahn.store.file.Export;
import fahrbahn.store.json.CourseJson;
import fahrbahn.words.Refusals;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import javafx.beans.property.ReadOnlyIntegerProperty;
import javafx.beans.property.ReadOnlyIntegerWrapper;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/** The course on the table while it is laid: its parts, the one in hand, and what it amounts to. */
public final class TableModel extends StationModel {
    private final Errand<String> saveErrand;
    private final Errand<Draft> openErrand;
    private final Consumer<String> told;
    private final MatModel mat;
    private final LookModel look;
    private final ReadOnlyIntegerWrapper chosen = new ReadOnlyIntegerWrapper(-1);
    private final ReadOnlyObjectWrapper<Draft> draft = new ReadOnlyObjectWrapper<>();
    private LaidCourse laid;

    /** @param live with the bench robot, which can be put on the table */
    public TableModel(Season season, State state, LiveModel live) {
        super(season);
        Errands errands = state.errands();
        this.told = errands.tell();
        this.saveErrand = errands.errand("Saving the course");
        this.openErrand = errands.errand("Opening the course");
        this.mat = new MatModel(season, state);
        season.course().keptProperty().addListener(o -> update());
        season.mat().keptProperty().addListener(o -> update());
        season.selection().property().addListener(o -> update());
        update();
        this.look = new LookModel(season, draftProperty(), mat, state, live);
        headline(this::verdict);
    }

    public MatModel mat() {
        return mat;
    }

    public LookModel look() {
        return look;
    }

    /** Courses to begin with, one of each kind. */
    public List<Course> startingPoints() {
        return DemoCourses.all();
    }

    /** What is on the table; the practice loop until the coach has laid something. */
    public ReadOnlyObjectProperty<Draft> draftProperty() {
        return draft.getReadOnlyProperty();
    }

    /** Number of the part in hand, -1 for none. */
    public ReadOnlyIntegerProperty chosenProperty() {
        return chosen.getReadOnlyProperty();
    }

    Polarity polarity() {
        return season.setupOrGuess().line().polarity();
    }

    public CourseFigures figures() {
        return laid.figures();
    }

    /** Takes a part in hand. @param index -1 for none */
    public void choose(int index) {
        chosen.set(Math.max(-1, Math.min(draft.get().parts().size() - 1, index)));
    }

    /** Lays a part after the one in hand, or at the end, and takes it in hand. */
    public void add(Part part) {
        int index = chosen.get() < 0 ? draft.get().parts().size() : chosen.get() + 1;
        if (change(d -> d.inserted(index, part).withClosed(false))) {
            choose(index);
        }
    }

    /** Takes the part in hand away. */
    public void remove() {
        int index = chosen.get();
        if (index >= 0 && change(d -> d.removed(index).withClosed(false))) {
            choose(index - 1);
        }
    }

    /** Another shape for the part in hand. */
    public void reshape(Part part) {
        int index = chosen.get();
        if (index >= 0) {
            change(d -> d.withPart(index, part));
        }
    }

    /** A table of its own with another course, in hand. */
    public void begin(Draft other) {
        season.club().additions().addTable(other);
        choose(other.parts().size() - 1);
    }

    /** An empty table of its own, of the size there is. */
    public void clear() {
        begin(draft.get().withParts(List.of()).withClosed(false).withName("My course"));
    }

    /** Leads the end back to the start, or opens a closed course. */
    public void close(double radiusMm) {
        if (draft.get().closed()) {
            change(d -> d.withClosed(false));
        } else if (draft.get().parts().isEmpty()) {
            told.accept("Nothing to close yet. Add a piece first.");
        } else {
            change(d -> d.closed(radiusMm));
        }
    }

    /** Changes the draft; what it refuses passes through, to the field it was typed into. */
    public void type(UnaryOperator<Draft> change) {
        Draft changed = change.apply(draft.get());
        if (season.mat().kept().isPresent()) {
            begin(changed.withName("My course")); // a mat has its line printed: what is laid is another table
        } else {
            season.lay(changed);
        }
    }

    /** Changes the draft; what it refuses is told. @return false when refused */
    public boolean change(UnaryOperator<Draft> change) {
        try {
            type(change);
            return true;
        } catch (BadValueException refused) {
            told.accept(Refusals.sentence(refused));
            return false;
        }
    }

    /** Paints the table in the colours that the robot in hand captured. */
    public void takeCapturedColours() {
        List<Capture> captures = List.copyOf(season.captures());
        Optional<String> sensor = MarkCaptures.sensors(captures).stream().findFirst();
        if (sensor.isEmpty()) {
            told.accept(TableWords.NO_COLOURS);
            return;
        }
        CapturedColours colours = new CapturedColours(MarkCaptures.of(captures, sensor.get()));
        if (change(d -> d.withPalette(colours.on(d.palette())))) {
            told.accept(TableWords.taken(sensor.get(), colours.known()));
        }
    }

    /** Makes the course's tightest bend the one the robot is set up for. */
    public void useRadius() {
        double radius = figures().tightestRadiusMm();
        if (Double.isInfinite(radius)) {
            told.accept("The course has no bend.");
            return;
        }
        useRadius(season, told, Math.floor(radius * 10 + 1e-6) / 10);
    }

    static void useRadius(Season season, Consumer<String> told, double radiusMm) {
        try {
            season.changeSetup(
                    s -> s.withLine(new Line(s.line().widthMm(), s.line().polarity(), radiusMm)));
        } catch (BadValueException refused) {
            told.accept(Refusals.sentence(refused));
        }
    }

    /** Saves as JSON, or as a drawing when the name ends in .svg. */
    public void save(Path file) {
        Draft saved = draft.get();
        double width = season.setupOrGuess().line().widthMm();
        boolean dark = season.setupOrGuess().line().polarity() == Polarity.DARK_ON_LIGHT;
        saveErrand.run(
                job -> {
                    Export.text(file, svg(file) ? CourseSvg.write(saved, width, dark) : CourseJson.write(saved));
                    return "Saved as " + file.getFileName() + ".";
                },
                told);
    }

    private static boolean svg(Path file) {
        return file.getFileName().toString().toLowerCase(Locale.ROOT).endsWith(".svg");
    }

    /** Opens a course saved as JSON or SVG. */
    public void open(Path file) {
        openErrand.run(job -> svg(file) ? CourseSvg.read(file) : CourseJson.readDraft(file), this::begin);
    }

    private void update() {
        laid = season.mat()
                .keptProperty()
                .get()
                .map(sheet -> new LaidCourse(Draft.of(DemoCourses.workshopLoop())
                        .withTable(sheet.widthMm(), sheet.heightMm())
                        .withParts(List.of())
                        .withClosed(false)))
                .orElseGet(season::laidCourse);
        draft.set(laid.draft());
        choose(chosen.get());
    }

    /** What the twin can ride of the table in hand; empty while it is not ready. */
    public Optional<Ground> ground() {
        return season.mat().kept().isPresent()
                ? mat.ground().map(g -> g)
                : laid.course().map(course -> course);
    }

    /** What a robot can be put on: also a mat whose line nobody has followed; empty while nobody has pointed at its colours. */
    public Optional<TableTop> top() {
        Optional<TableTop> known = ground().map(g -> g);
        return known.isPresent() ? known : mat.mat().map(m -> m);
    }

    /** What keeps the table in hand from being ready, in words; empty when it is. */
    public String problem() {
        Optional<MatSheet> sheet = season.mat().kept();
        if (sheet.isPresent()) {
            return sheet.get().traced().isEmpty() ? "its line is not found yet" : "";
        }
        CourseFigures f = figures();
        boolean straight = Double.isInfinite(f.tightestRadiusMm()) && f.corners() == 0;
        return laid.problem().isPresent() ? "not finished" : straight ? "one straight, without a bend" : "";
    }

    /** Tightest bend of the table in hand, mm; infinite without one. */
    public double tightestRadiusMm() {
        return season.mat()
                .keptProperty()
                .get()
                .map(sheet -> sheet.traced().map(Traced::tightestRadiusMm).orElse(Double.POSITIVE_INFINITY))
                .orElseGet(() -> figures().tightestRadiusMm());
    }

    private Verdict verdict() {
        return season.mat()
                .kept()
                .map(sheet ->
                        MatWords.verdict(sheet, season.setupOrGuess().line().widthMm()))
                .orElseGet(() -> TableWords.verdict(laid));
    }
}
