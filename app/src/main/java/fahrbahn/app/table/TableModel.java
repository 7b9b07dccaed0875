package fahrbahn.app.table;

import fahrbahn.app.season.Background;
import fahrbahn.app.season.Freshness;
import fahrbahn.app.season.SeasonModel;
import fahrbahn.app.season.Station;
import fahrbahn.app.season.StationModel;
import fahrbahn.app.season.Verdict;
import fahrbahn.app.words.Words;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.setup.Line;
import fahrbahn.core.setup.Polarity;
import fahrbahn.core.table.Course;
import fahrbahn.core.table.CourseFigures;
import fahrbahn.core.table.DemoCourses;
import fahrbahn.core.table.Draft;
import fahrbahn.core.table.Part;
import fahrbahn.store.BadFileException;
import fahrbahn.store.CourseJson;
import fahrbahn.store.CourseSvg;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
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
    private final SeasonModel season;
    private final Background background;
    private final Consumer<String> told;
    private final MatModel mat;
    private final LookModel look;
    private final ReadOnlyIntegerWrapper chosen = new ReadOnlyIntegerWrapper(-1);
    private final ReadOnlyObjectWrapper<Draft> draft = new ReadOnlyObjectWrapper<>();

    public TableModel(SeasonModel season, Background background, Consumer<String> told) {
        this.season = season;
        this.background = background;
        this.told = told;
        this.mat = new MatModel(season, background, told);
        season.courseProperty().addListener(o -> update());
        season.setupProperty().addListener(o -> judge());
        mat.tracedProperty().addListener(o -> judge());
        update();
        this.look = new LookModel(season, draftProperty(), mat, background);
    }

    public SeasonModel season() {
        return season;
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

    public CourseFigures figures() {
        return CourseFigures.of(draft.get());
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

    /** Begins with another course, or an empty table. */
    public void begin(Draft other) {
        if (change(d -> other)) {
            choose(other.parts().size() - 1);
        }
    }

    /** An empty table of the size there is. */
    public void clear() {
        begin(draft.get().withParts(List.of()).withClosed(false).withName("My course"));
    }

    /** Leads the end back to the start, or opens a closed course. */
    public void close(double radiusMm) {
        if (draft.get().closed()) {
            change(d -> d.withClosed(false));
        } else if (draft.get().parts().isEmpty()) {
            told.accept("There is nothing to close yet. Lay a part first.");
        } else {
            change(d -> d.closed(radiusMm));
        }
    }

    /** Changes the draft; what it refuses is told. @return false when refused */
    public boolean change(UnaryOperator<Draft> change) {
        try {
            season.lay(change.apply(draft.get()));
            return true;
        } catch (BadValueException refused) {
            told.accept(refused.getMessage() + ".");
            return false;
        }
    }

    /** Makes the course's tightest bend the one the robot is set up for. */
    public void useRadius() {
        double radius = figures().tightestRadiusMm();
        if (Double.isInfinite(radius)) {
            told.accept("The course has no bend, so there is no tightest one to use.");
            return;
        }
        useRadius(season, told, Math.floor(radius * 10 + 1e-6) / 10);
    }

    static void useRadius(SeasonModel season, Consumer<String> told, double radiusMm) {
        try {
            season.changeSetup(
                    s -> s.withLine(new Line(s.line().widthMm(), s.line().polarity(), radiusMm)));
        } catch (BadValueException refused) {
            told.accept(refused.getMessage() + ".");
        }
    }

    /** Saves as JSON, or as a drawing when the name ends in .svg. */
    public void save(Path file) {
        Draft saved = draft.get();
        double width = season.setupOrGuess().line().widthMm();
        boolean dark = season.setupOrGuess().line().polarity() == Polarity.DARK_ON_LIGHT;
        background.run(
                "Saving " + file.getFileName(),
                () -> {
                    try {
                        // Whole or not at all: what was there before is only replaced by what is complete.
                        Path beside = file.resolveSibling(file.getFileName() + ".part");
                        Files.writeString(
                                beside, svg(file) ? CourseSvg.write(saved, width, dark) : CourseJson.write(saved));
                        Files.move(beside, file, StandardCopyOption.REPLACE_EXISTING);
                        return "Saved as " + file.getFileName() + ".";
                    } catch (IOException cannot) {
                        return file + " cannot be written (" + cannot.getMessage() + "). Choose another folder.";
                    }
                },
                told);
    }

    private static boolean svg(Path file) {
        return file.getFileName().toString().toLowerCase(Locale.ROOT).endsWith(".svg");
    }

    /** What reading a file came to. @param problem empty when there is none */
    private record Opened(Optional<Draft> draft, String problem) {}

    /** Opens a course saved as JSON or SVG. */
    public void open(Path file) {
        background.run(
                "Opening " + file.getFileName(),
                () -> {
                    try {
                        return new Opened(
                                Optional.of(svg(file) ? CourseSvg.read(file) : CourseJson.readDraft(file)), "");
                    } catch (BadFileException bad) {
                        return new Opened(Optional.empty(), bad.getMessage() + ".");
                    }
                },
                opened -> {
                    opened.draft().ifPresent(this::begin);
                    if (!opened.problem().isEmpty()) {
                        told.accept(opened.problem());
                    }
                });
    }

    private void update() {
        draft.set(season.courseProperty().get().orElseGet(() -> Draft.of(DemoCourses.workshopLoop())));
        choose(chosen.get());
        judge();
    }

    private void judge() {
        CourseFigures f = figures();
        Draft on = draft.get();
        Optional<String> problem = on.problem();
        Freshness freshness = season.courseProperty().get().isEmpty()
                ? Freshness.missing("no course of your own")
                : problem.isPresent() ? Freshness.missing("not finished") : radiusFreshness(f);
        if (on.parts().isEmpty()) {
            say(
                    Verdict.open("An empty table of " + Words.number(on.widthMm()) + " x " + Words.number(on.heightMm())
                            + " mm. Press S to lay a straight, B a bend, or begin with one of the courses."),
                    freshness);
            return;
        }
        String amounts = on.name() + ": " + Words.number(f.lengthMm() / 1000) + " m long, "
                + Words.number(f.tapeMm() / 1000) + " m of tape, "
                + (Double.isInfinite(f.tightestRadiusMm())
                        ? "no bend"
                        : "tightest bend " + Words.millimetres(f.tightestRadiusMm()))
                + (f.gaps() == 0
                        ? ""
                        : ", " + Words.count(f.gaps(), "gap", "gaps") + " of up to "
                                + Words.millimetres(f.longestGapMm()))
                + (f.corners() == 0 ? "" : ", " + Words.count(f.corners(), "corner", "corners")) + ".";
        if (problem.isPresent()) {
            say(Verdict.care(amounts + " " + problem.get() + "."), freshness);
        } else {
            say(Verdict.good(amounts + " Go on to Measure."), freshness);
        }
    }

    private Freshness radiusFreshness(CourseFigures f) {
        double set = season.setupOrGuess().line().tightestRadiusMm();
        return f.tightestRadiusMm() < set - 0.1
                ? Freshness.stale("the robot is set up for bends of " + Words.millimetres(set) + ", the course has "
                                + Words.millimetres(f.tightestRadiusMm()))
                        .repairedBy("set the robot up for this course: U", Station.TABLE, "U")
                : Freshness.FRESH;
    }
}
