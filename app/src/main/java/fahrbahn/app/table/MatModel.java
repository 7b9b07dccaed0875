package fahrbahn.app.table;

import fahrbahn.app.errand.Errand;
import fahrbahn.app.errand.Errands;
import fahrbahn.app.errand.RefusedException;
import fahrbahn.app.season.Season;
import fahrbahn.app.state.Derived;
import fahrbahn.app.state.State;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.mat.LineFollower;
import fahrbahn.core.mat.Mat;
import fahrbahn.core.mat.MatSheet;
import fahrbahn.core.mat.PackedPicture;
import fahrbahn.core.mat.Picture;
import fahrbahn.core.mat.Traced;
import fahrbahn.core.mat.TracedMat;
import fahrbahn.core.raster.Raster;
import fahrbahn.store.picture.PictureFile;
import fahrbahn.store.picture.PicturePack;
import fahrbahn.words.Refusals;
import fahrbahn.words.Words;
import java.nio.file.Path;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Consumer;
import javafx.beans.binding.Bindings;
import javafx.beans.binding.BooleanBinding;
import javafx.beans.property.ReadOnlyObjectProperty;

/** The mat that the table in hand is: its picture, its size, the colours of line and ground, and the line followed. */
public final class MatModel {
    /** What a mat without a stated size is taken for until the coach types it: a usual table. */
    private static final double USUAL_WIDTH_MM = 2400;

    private final Season season;
    private final Errand<Import> importErrand;
    private final Errand<Traced> followErrand;
    private final BooleanBinding working;
    private final Consumer<String> told;
    private final Derived<Picture> picture;

    private record Import(PicturePack pack, OptionalDouble widthMm) {}

    MatModel(Season season, State state) {
        this.season = season;
        Errands errands = state.errands();
        this.told = errands.tell();
        importErrand = errands.errand("Reading the picture");
        followErrand = errands.errand("Following the line");
        picture = state.derive("Unpacking the mat", this::packed, (packed, job) -> PicturePack.unpack(packed));
        picture.eagerly();
        working = Bindings.or(
                importErrand.runningProperty(),
                Bindings.or(picture.computingProperty(), followErrand.runningProperty()));
    }

    /** What the season keeps of it; empty when the table in hand is no mat. */
    public ReadOnlyObjectProperty<Optional<MatSheet>> sheetProperty() {
        return season.mat().keptProperty();
    }

    /** Its pixels; empty until they are unpacked. */
    public Derived<Picture> picture() {
        return picture;
    }

    /** True while a picture is read or a line followed. */
    public BooleanBinding workingProperty() {
        return working;
    }

    private Optional<MatSheet> sheet() {
        return season.mat().kept();
    }

    /** @throws RefusedException when the table in hand is no mat */
    private PackedPicture packed() {
        return sheet().flatMap(sheet -> season.picture(sheet.picture())).orElseThrow(() -> new RefusedException(""));
    }

    /** Reads a picture from a file; it becomes a table of its own, in hand. */
    public void open(Path file) {
        String name = file.getFileName().toString().replaceFirst("\\.[^.]*$", "");
        importErrand.run(
                job -> {
                    PictureFile read = PictureFile.read(file, job);
                    return new Import(PicturePack.of(read.picture()), read.widthMm());
                },
                read -> show(name.isBlank() ? "Mat" : name, read));
    }

    private void show(String name, Import read) {
        Picture pixels = read.pack().picture();
        season.club()
                .additions()
                .addMat(
                        new MatSheet(
                                name,
                                read.pack().id(),
                                pixels.columns(),
                                pixels.rows(),
                                read.widthMm().orElse(USUAL_WIDTH_MM),
                                read.widthMm().isPresent(),
                                Optional.empty(),
                                Optional.empty(),
                                Optional.empty()),
                        read.pack().packed());
        if (pixels.scaledFrom() > 0) {
            told.accept("The picture's longest side of " + pixels.scaledFrom() + " pixels was scaled down to "
                    + Math.max(pixels.columns(), pixels.rows()) + "; that is enough for a mat.");
        }
    }

    /** @throws BadValueException when it is not a size */
    public void setWidthMm(double widthMm) {
        sheet().ifPresent(mat -> season.mat()
                .set(
                        "width of " + mat.name() + " " + Words.number(mat.widthMm(), 4) + " to "
                                + Words.number(widthMm, 4),
                        mat.withWidthMm(widthMm)));
    }

    /** Takes the colour at a place for that of the line. */
    public void pickLine(double xMm, double yMm) {
        pick(xMm, yMm, true);
    }

    /** Takes the colour at a place for that of the ground. */
    public void pickGround(double xMm, double yMm) {
        pick(xMm, yMm, false);
    }

    private void pick(double xMm, double yMm, boolean line) {
        if (sheet().isEmpty() || picture.get().isEmpty()) {
            return;
        }
        MatSheet mat = sheet().get();
        int rgb = Mat.colourAt(picture.get().get(), mat.widthMm(), xMm, yMm);
        season.mat()
                .set(
                        "colour of the " + (line ? "line" : "ground") + " on " + mat.name(),
                        line ? mat.withLineRgb(rgb) : mat.withGroundRgb(rgb));
    }

    /** The mat, once its picture is unpacked and line and ground have been pointed at; what is wrong with them is told. */
    public Optional<Mat> mat() {
        if (sheet().isEmpty() || picture.get().isEmpty()) {
            return Optional.empty();
        }
        MatSheet mat = sheet().get();
        if (mat.lineRgb().isEmpty() || mat.groundRgb().isEmpty()) {
            return Optional.empty();
        }
        try {
            return Optional.of(new Mat(
                    mat.name(),
                    picture.get().get(),
                    mat.widthMm(),
                    mat.lineRgb().get(),
                    mat.groundRgb().get()));
        } catch (BadValueException alike) {
            told.accept(Refusals.sentence(alike));
            return Optional.empty();
        }
    }

    /** What the twin can ride, once the line has been followed. */
    public Optional<TracedMat> ground() {
        return sheet().flatMap(MatSheet::traced).flatMap(line -> mat().map(mat -> new TracedMat(mat, line)));
    }

    /** Follows the line from a place on it. */
    public void follow(double xMm, double yMm) {
        Optional<Mat> mat = mat();
        if (mat.isEmpty()) {
            told.accept("Pick the line and the background first.");
            return;
        }
        MatSheet of = sheet().orElseThrow();
        followErrand.run(
                job -> {
                    Raster raster = mat.get().raster();
                    // A little blur takes the grain out of photographs and leaves edges where they are.
                    return LineFollower.from(raster.blurred(1.2 * raster.cellMm()), xMm, yMm, job);
                },
                line -> {
                    if (sheet().equals(Optional.of(of))) { // another mat, or other colours, have another line
                        season.mat().set("the line followed on " + of.name(), of.withTraced(line));
                    }
                });
    }

    /** Makes the followed line's tightest bend the one the robot is set up for. */
    public void useRadius() {
        double radius =
                sheet().flatMap(MatSheet::traced).map(Traced::tightestRadiusMm).orElse(Double.POSITIVE_INFINITY);
        if (Double.isInfinite(radius)) {
            told.accept("Find a line with a bend first.");
        } else {
            TableModel.useRadius(season, told, Math.floor(radius)); // no wider than the line has it
        }
    }

    /** Stops the work at hand. */
    public void cancel() {
        importErrand.stop();
        followErrand.stop();
    }
}
