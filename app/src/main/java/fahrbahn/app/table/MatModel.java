package fahrbahn.app.table;

import fahrbahn.app.season.Background;
import fahrbahn.app.season.SeasonModel;
import fahrbahn.app.words.Words;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.job.CancelledException;
import fahrbahn.core.job.Job;
import fahrbahn.core.mat.LineFollower;
import fahrbahn.core.mat.Mat;
import fahrbahn.core.mat.Picture;
import fahrbahn.core.mat.Traced;
import fahrbahn.core.table.Raster;
import fahrbahn.store.BadFileException;
import fahrbahn.store.PictureFile;
import java.nio.file.Path;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/** A mat from a picture: its size, the colours of line and ground, and the line followed. Lives as long as the window. */
public final class MatModel {
    /** What a mat without a stated size is taken for until the coach types it: a usual table. */
    private static final double USUAL_WIDTH_MM = 2400;

    private final SeasonModel season;
    private final Background.Slot slot;
    private final Consumer<String> told;
    private final ReadOnlyObjectWrapper<Optional<Imported>> imported = new ReadOnlyObjectWrapper<>(Optional.empty());
    private final ReadOnlyObjectWrapper<Optional<Traced>> traced = new ReadOnlyObjectWrapper<>(Optional.empty());
    private final ReadOnlyBooleanWrapper working = new ReadOnlyBooleanWrapper(false);
    private volatile boolean cancelled;

    /**
     * @param widthMm as the file or the coach says
     * @param sized true when either has said it
     * @param line colour of the line, once it has been pointed at
     * @param ground colour of the ground, likewise
     */
    public record Imported(
            String name,
            Picture picture,
            double widthMm,
            boolean sized,
            Optional<Integer> line,
            Optional<Integer> ground) {
        public double heightMm() {
            return widthMm * picture.rows() / picture.columns();
        }

        private Imported withWidthMm(double newWidthMm) {
            return new Imported(name, picture, newWidthMm, true, line, ground);
        }

        private Imported withLine(int rgb) {
            return new Imported(name, picture, widthMm, sized, Optional.of(rgb), ground);
        }

        private Imported withGround(int rgb) {
            return new Imported(name, picture, widthMm, sized, line, Optional.of(rgb));
        }
    }

    /** What came of some work. @param problem empty when there is none */
    private record Attempt<T>(Optional<T> result, String problem) {}

    MatModel(SeasonModel season, Background background, Consumer<String> told) {
        this.season = season;
        this.slot = background.new Slot();
        this.told = told;
    }

    /** The picture on the table; empty until one has been imported. */
    public ReadOnlyObjectProperty<Optional<Imported>> importedProperty() {
        return imported.getReadOnlyProperty();
    }

    /** Its line, once it has been followed. */
    public ReadOnlyObjectProperty<Optional<Traced>> tracedProperty() {
        return traced.getReadOnlyProperty();
    }

    /** True while a picture is read or a line followed. */
    public ReadOnlyBooleanProperty workingProperty() {
        return working.getReadOnlyProperty();
    }

    public void open(Path file) {
        begin(
                "Reading " + file.getFileName(),
                () -> {
                    try {
                        return new Attempt<>(Optional.of(PictureFile.read(file)), "");
                    } catch (BadFileException bad) {
                        return new Attempt<PictureFile>(Optional.empty(), bad.getMessage() + ".");
                    }
                },
                read -> show(file.getFileName().toString(), read.picture(), read.widthMm()));
    }

    private void show(String name, Picture picture, OptionalDouble widthMm) {
        traced.set(Optional.empty());
        imported.set(Optional.of(new Imported(
                name,
                picture,
                widthMm.orElse(USUAL_WIDTH_MM),
                widthMm.isPresent(),
                Optional.empty(),
                Optional.empty())));
        if (picture.scaledFrom() > 0) {
            told.accept("The picture's longest side of " + picture.scaledFrom() + " pixels was scaled down to "
                    + Math.max(picture.columns(), picture.rows()) + "; that is enough for a mat.");
        }
    }

    public void close() {
        cancel();
        traced.set(Optional.empty());
        imported.set(Optional.empty());
    }

    /** @throws BadValueException when it is not a size */
    public void setWidthMm(double widthMm) {
        imported.get().ifPresent(mat -> {
            Mat checked = new Mat(mat.name(), mat.picture(), widthMm, 0x000000, 0xffffff);
            imported.set(Optional.of(mat.withWidthMm(checked.widthMm())));
            traced.set(Optional.empty());
        });
    }

    /** Takes the colour at a place for that of the line. */
    public void pickLine(double xMm, double yMm) {
        imported.get()
                .ifPresent(mat ->
                        imported.set(Optional.of(mat.withLine(Mat.colourAt(mat.picture(), mat.widthMm(), xMm, yMm)))));
    }

    /** Takes the colour at a place for that of the ground. */
    public void pickGround(double xMm, double yMm) {
        imported.get()
                .ifPresent(mat -> imported.set(
                        Optional.of(mat.withGround(Mat.colourAt(mat.picture(), mat.widthMm(), xMm, yMm)))));
    }

    /** The mat, once line and ground have been pointed at; what is wrong with them is told. */
    public Optional<Mat> mat() {
        Imported mat = imported.get().orElse(null);
        if (mat == null || mat.line().isEmpty() || mat.ground().isEmpty()) {
            return Optional.empty();
        }
        try {
            return Optional.of(new Mat(
                    mat.name(),
                    mat.picture(),
                    mat.widthMm(),
                    mat.line().get(),
                    mat.ground().get()));
        } catch (BadValueException alike) {
            told.accept(alike.getMessage() + ".");
            return Optional.empty();
        }
    }

    /** Follows the line from a place on it. */
    public void follow(double xMm, double yMm) {
        Optional<Mat> mat = mat();
        if (mat.isEmpty()) {
            told.accept("Point at the line and at the ground beside it first: their colours tell them apart.");
            return;
        }
        Job job = new Job() {
            @Override
            public boolean cancelled() {
                return cancelled;
            }
        };
        begin(
                "Following the line",
                () -> {
                    try {
                        Raster raster = mat.get().raster();
                        // A little blur takes the grain out of photographs and leaves edges where they are.
                        return new Attempt<>(
                                Optional.of(LineFollower.from(raster.blurred(1.2 * raster.cellMm()), xMm, yMm, job)),
                                "");
                    } catch (BadValueException | CancelledException cannot) {
                        return new Attempt<Traced>(Optional.empty(), cannot.getMessage() + ".");
                    }
                },
                line -> traced.set(Optional.of(line)));
    }

    /** Makes the followed line's tightest bend the one the robot is set up for. */
    public void useRadius() {
        double radius = traced.get().map(Traced::tightestRadiusMm).orElse(Double.POSITIVE_INFINITY);
        if (Double.isInfinite(radius)) {
            told.accept("Follow a line with a bend first; then its tightest one can be used.");
        } else {
            TableModel.useRadius(season, told, Math.rint(radius));
        }
    }

    /** Stops the work at hand. */
    public void cancel() {
        cancelled = true;
        slot.forget();
        working.set(false);
    }

    private <T> void begin(String what, Supplier<Attempt<T>> work, Consumer<T> show) {
        cancelled = false;
        working.set(true);
        slot.run(
                what,
                work,
                attempt -> {
                    working.set(false);
                    attempt.result().ifPresent(show);
                    if (!attempt.problem().isEmpty()) {
                        told.accept(attempt.problem());
                    }
                },
                () -> working.set(false));
    }

    /** What was found, in one sentence. */
    public static String words(Traced line) {
        return (line.closed() ? "A closed" : "An open") + " line of " + Words.number(line.lengthMm() / 1000) + " m, "
                + Words.millimetres(line.widthMm()) + " wide, "
                + (Double.isInfinite(line.tightestRadiusMm())
                        ? "without a bend"
                        : "tightest bend " + Words.millimetres(Math.rint(line.tightestRadiusMm())))
                + (line.gapsMm().isEmpty()
                        ? ""
                        : ", " + Words.count(line.gapsMm().size(), "gap", "gaps"))
                + (line.corners().isEmpty()
                        ? ""
                        : ", " + Words.count(line.corners().size(), "corner", "corners"))
                + (line.crossings() == 0 ? "" : ", " + Words.count(line.crossings(), "crossing", "crossings"))
                + ".";
    }
}
