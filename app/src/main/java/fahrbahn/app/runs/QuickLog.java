package fahrbahn.app.runs;

import fahrbahn.app.errand.Errand;
import fahrbahn.app.errand.Errands;
import fahrbahn.app.kit.Stopwatch;
import fahrbahn.app.live.LiveModel;
import fahrbahn.app.live.LiveStatus;
import fahrbahn.app.season.Season;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.knowledge.Basis;
import fahrbahn.core.knowledge.Constant;
import fahrbahn.core.path.Part;
import fahrbahn.core.path.PlaceOnCourse;
import fahrbahn.core.runlog.RunClock;
import fahrbahn.core.table.Ground;
import fahrbahn.core.trials.Outcome;
import fahrbahn.core.trials.Outcome.Seen;
import fahrbahn.core.trials.PartOf;
import fahrbahn.core.trials.Run;
import fahrbahn.store.picture.PhotoPack;
import fahrbahn.store.picture.PictureFile;
import fahrbahn.words.Words;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import java.util.function.Supplier;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;

/** Logging a run at the table: what is typed, seen and timed becomes a run of the robot in hand, made with the settings of now. */
public final class QuickLog {
    private final Season season;
    private final Supplier<Map<Constant, Double>> known;
    private final Supplier<Optional<Ground>> tableInHand;
    private final Stopwatch watch;
    private final RunClock clock = new RunClock();
    private final Errand<PhotoPack> photoErrand;
    private final ReadOnlyStringWrapper logged = new ReadOnlyStringWrapper("");
    private final ReadOnlyStringWrapper robotSays = new ReadOnlyStringWrapper("");
    private final ReadOnlyStringWrapper robotTook = new ReadOnlyStringWrapper("");
    private final ReadOnlyObjectWrapper<Optional<Seen>> seen = new ReadOnlyObjectWrapper<>(Optional.empty());
    private final ReadOnlyObjectWrapper<Optional<PhotoPack>> photo = new ReadOnlyObjectWrapper<>(Optional.empty());
    private String last = "";

    /**
     * A run as it was typed; what nobody measured is empty.
     *
     * @param lostAt the number or the name of a part, or how far along
     */
    public record Typed(String time, String along, String across, String lostAt, String volts, String note) {
        public static final Typed NOTHING = new Typed("", "", "", "", "", "");

        public Typed withNote(String newNote) {
            return new Typed(time, along, across, lostAt, volts, newNote);
        }
    }

    QuickLog(
            Season season,
            Supplier<Map<Constant, Double>> known,
            Supplier<Optional<Ground>> tableInHand,
            Stopwatch watch,
            LiveModel live,
            Errands errands) {
        this.season = season;
        this.known = known;
        this.tableInHand = tableInHand;
        this.watch = watch;
        this.photoErrand = errands.errand("The photograph");
        watch.count(Stopwatch.Counting.LAPS);
        live.listeners().addClock((tS, mark) -> {
            boolean before = clock.running();
            timed(clock.hear(tS, mark));
            if (clock.running() && !before && mark == RunClock.Mark.START) {
                robotTook.set("");
                robotSays.set("The robot reports that it runs.");
            }
        });
        live.statusProperty().addListener(o -> {
            LiveStatus.Phase phase = live.statusProperty().get().phase();
            if (phase == LiveStatus.Phase.SILENT || phase == LiveStatus.Phase.AWAY) {
                timed(clock.silent());
            } else if (phase == LiveStatus.Phase.NONE) {
                clock.clear();
            }
        });
    }

    private void timed(OptionalDouble tookS) {
        tookS.ifPresent(s -> {
            robotTook.set(Words.hundredths(s));
            robotSays.set("by the robot's clock");
        });
    }

    /** What the robot itself says of its run, in words; empty when it says nothing. */
    ReadOnlyStringProperty robotSaysProperty() {
        return robotSays.getReadOnlyProperty();
    }

    /** The seconds its run took by its own clock, as they are typed; empty until it has ended. */
    ReadOnlyStringProperty robotTookProperty() {
        return robotTook.getReadOnlyProperty();
    }

    /** A stop place as far as it is typed. */
    static Outcome.Stop stop(String along, String across) {
        return new Outcome.Stop(
                Words.parse(along).orElse(Double.NaN), Words.parse(across).orElse(Double.NaN));
    }

    public Stopwatch watch() {
        return watch;
    }

    /** What was seen of the run that is to be logged. */
    ReadOnlyObjectProperty<Optional<Seen>> seenProperty() {
        return seen.getReadOnlyProperty();
    }

    /** Said again it is taken back. */
    void see(Seen what) {
        seen.set(seen.get().equals(Optional.of(what)) ? Optional.empty() : Optional.of(what));
    }

    /** Of the run that is to be logged. */
    ReadOnlyObjectProperty<Optional<PhotoPack>> photoProperty() {
        return photo.getReadOnlyProperty();
    }

    /** Makes a PNG or JPEG file ready to be kept with the run that is to be logged. */
    void takePhoto(Path file) {
        photoErrand.run(
                job -> PhotoPack.of(PictureFile.read(file, job).picture()), done -> photo.set(Optional.of(done)));
    }

    /** Logs it. @throws BadValueException naming what is no number, no time or no place */
    public void log(boolean completed, Typed typed) {
        log(completed, typed, Optional.empty());
    }

    /** The same of a run that was more than practice. */
    public void log(boolean completed, Typed typed, Optional<PartOf> partOf) {
        Outcome outcome = outcome(completed, typed);
        if (seen.get().isPresent()) {
            outcome = outcome.withSeen(seen.get().get());
        }
        double volts = number("the battery", typed.volts(), "volts, or empty");
        log(outcome, volts, typed.note().strip(), partOf);
    }

    private Outcome outcome(boolean completed, Typed typed) {
        double timeS = number("the time", typed.time(), "seconds above 0, or empty");
        if (timeS <= 0) {
            throw new BadValueException("the time", "'" + typed.time() + "'", "seconds above 0, or empty");
        }
        double along =
                number("the stop place along", typed.along(), "mm beyond its place, negative before it, or empty");
        double across =
                number("the stop place across", typed.across(), "mm to the left, negative to the right, or empty");
        Outcome outcome = Outcome.of(completed, timeS).withStop(along, across);
        return completed || typed.lostAt().isBlank() ? outcome : outcome.withLostMm(lostMm(typed.lostAt()));
    }

    private static double number(String what, String typed, String rule) {
        if (typed.isBlank()) {
            return Double.NaN;
        }
        return Words.parse(typed).orElseThrow(() -> new BadValueException(what, "'" + typed.strip() + "'", rule));
    }

    /** mm along the line of a place as it is typed. @throws BadValueException when there is no such place */
    double lostMm(String lostAt) {
        boolean mat = season.mat().kept().isPresent();
        List<Part> parts = mat ? List.of() : season.laidCourse().draft().parts();
        return PlaceOnCourse.mm(parts, lostAt)
                .orElseThrow(() -> new BadValueException(
                        "where it was lost",
                        "'" + lostAt.strip() + "'",
                        parts.isEmpty()
                                ? "how far along, as in '1.2 m'"
                                : "the number of a part of the table, 1 to " + parts.size()
                                        + ", its name as in 'bend 2', or how far along as in '1.2 m'"));
    }

    /** The table on which it runs; empty when it is not ready. */
    Optional<Ground> ground() {
        return tableInHand.get();
    }

    /** The width of the line as it is drawn, mm. */
    double lineWidthMm() {
        return season.setupOrGuess().line().widthMm();
    }

    /** The place on the line that was pointed at, as it is typed; empty where nobody knows the line. */
    String pointed(double xMm, double yMm) {
        return ground().map(g -> Words.number(PlaceOnCourse.nearestMm(g.path(), xMm, yMm) / 1000) + " m")
                .orElse("");
    }

    private void log(Outcome outcome, double volts, String note, Optional<PartOf> partOf) {
        String id = UUID.randomUUID().toString();
        Basis basis = season.basisNow().withKnown(known.get());
        Basis under = Double.isNaN(volts)
                ? basis
                : basis.withConditions(basis.conditions().withBatteryV(volts));
        Run run = new Run(id, Run.Source.TABLE, season.selection().get().robot(), under, outcome, note);
        season.logBook().log(partOf.map(run::withPartOf).orElse(run), photo.get());
        last = id;
        seen.set(Optional.empty());
        photo.set(Optional.empty());
        robotSays.set("");
        robotTook.set("");
        logged.set("Logged: run " + season.runs().size() + ", " + (outcome.completed() ? "finished" : "lost")
                + (Double.isNaN(outcome.timeS()) ? "" : ", " + Words.hundredths(outcome.timeS()) + " s"));
    }

    /** What was logged last in this sitting, in words; empty when nothing was, or when it was taken back. */
    public ReadOnlyStringProperty loggedProperty() {
        return logged.getReadOnlyProperty();
    }

    /** Takes back what was logged last, if it is the newest run still. */
    public void takeBack() {
        int newest = season.runs().size() - 1;
        if (newest >= 0 && season.runs().get(newest).id().equals(last)) {
            season.logBook().takeOut(season.runs().get(newest));
        }
        last = "";
        logged.set("");
    }
}
