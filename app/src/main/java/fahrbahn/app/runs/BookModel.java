package fahrbahn.app.runs;

import fahrbahn.app.errand.Errand;
import fahrbahn.app.errand.RefusedException;
import fahrbahn.app.season.LogBook;
import fahrbahn.app.season.Season;
import fahrbahn.app.state.Derived;
import fahrbahn.app.state.Parameter;
import fahrbahn.app.state.Snapshot;
import fahrbahn.app.state.State;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.mat.Picture;
import fahrbahn.core.trials.Figure;
import fahrbahn.core.trials.LogLine;
import fahrbahn.core.trials.LogQuery;
import fahrbahn.core.trials.Outcome;
import fahrbahn.core.trials.Photo;
import fahrbahn.core.trials.Run;
import fahrbahn.core.trials.Stretch;
import fahrbahn.store.picture.PhotoPack;
import fahrbahn.store.picture.PictureFile;
import fahrbahn.words.Names;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import javafx.beans.InvalidationListener;
import javafx.beans.property.ReadOnlyObjectProperty;

/** The log book of the robot in hand: searched, sorted, mended; and its season as stretches. */
public final class BookModel {
    private final Season season;
    private final LogBook book;
    private final QuickLog log;
    private final BookFiles files;
    private final Errand<PhotoPack> photoErrand;
    private final LogLines made = new LogLines();
    private final Derived<List<LogLine>> lines;
    private final Parameter<LogQuery> query;
    private final Parameter<Order> order;
    private final Derived<List<Run>> shown;
    private final Parameter<Optional<Run>> inHand;
    private final Derived<Picture> picture;
    private final Derived<List<Stretch>> stretches;

    private record Book(Snapshot<Run> runs, Names names) {}

    private record Asked(List<LogLine> lines, LogQuery query, Order order) {}

    /** In which order runs stand. */
    public enum Order {
        NEWEST("newest first", Optional.empty(), true),
        OLDEST("oldest first", Optional.empty(), false),
        FASTEST("fastest first", Optional.of(Figure.TIME), false),
        SLOWEST("slowest first", Optional.of(Figure.TIME), true),
        ALONG("stop place along", Optional.of(Figure.ALONG), false),
        LOST_AT("where it was lost", Optional.of(Figure.LOST_AT), false),
        VOLTS("volts", Optional.of(Figure.VOLTS), true),
        KP("Kp", Optional.of(Figure.KP), false);

        private final String word;
        private final Optional<Figure> figure;
        private final boolean falling;

        Order(String word, Optional<Figure> figure, boolean falling) {
            this.word = word;
            this.figure = figure;
            this.falling = falling;
        }

        public String word() {
            return word;
        }

        /** Those of which it was not measured come last. */
        List<LogLine> sort(List<LogLine> oldestFirst) {
            List<LogLine> sorted = new ArrayList<>(oldestFirst);
            if (figure.isEmpty()) {
                if (falling) {
                    Collections.reverse(sorted);
                }
                return sorted;
            }
            sorted.sort(Comparator.comparingDouble(line -> {
                double value = figure.get().of(line.run());
                return Double.isNaN(value) ? Double.POSITIVE_INFINITY : falling ? -value : value;
            }));
            return sorted;
        }
    }

    BookModel(Season season, QuickLog log, State state) {
        this.season = season;
        this.book = season.logBook();
        this.log = log;
        this.files = new BookFiles(season, state.errands());
        this.photoErrand = state.errands().errand("The photograph");
        this.query = state.parameter(new LogQuery(List.of()));
        this.order = state.parameter(Order.NEWEST);
        this.inHand = state.parameter(Optional.empty());
        this.lines = state.derive(
                "The log book",
                () -> new Book(season.runsNow(), season.club().names()),
                (of, job) -> made.of(of.runs().values(), of.names()));
        this.shown = state.deriveAtOnce(
                "The log book",
                this::asked,
                (of, job) -> of.order().sort(of.query().among(of.lines())).stream()
                        .map(LogLine::run)
                        .toList());
        this.picture = state.derive("The photograph", this::photo, (photo, job) -> PhotoPack.unpack(photo));
        this.stretches = state.derive(
                "The season",
                season::runsNow,
                (runs, job) -> Stretch.of(runs.values().stream()
                        .filter(run -> run.source() == Run.Source.TABLE)
                        .toList()));
        season.runs().addListener((InvalidationListener) o -> keepInHand());
    }

    private Asked asked() {
        List<LogLine> all = lines.get().orElseThrow(() -> new RefusedException(BookWords.BEING_READ));
        return new Asked(all, query.get(), order.get());
    }

    /** Files of runs in and out. */
    public BookFiles files() {
        return files;
    }

    /** The runs that are asked for, in their order. */
    public Derived<List<Run>> shown() {
        return shown;
    }

    /** The run that is looked at. */
    public ReadOnlyObjectProperty<Optional<Run>> inHandProperty() {
        return inHand.property();
    }

    /** Pieces of the season, oldest first; of the robot on the table. */
    Derived<List<Stretch>> stretches() {
        return stretches;
    }

    /** The photograph of the run that is looked at. */
    Derived<Picture> picture() {
        return picture;
    }

    /** Somebody is at the station, so at the book soon. */
    void makeReady() {
        lines.show();
    }

    /** Somebody looks at the book. */
    public void show() {
        lines.show();
        shown.show();
        picture.show();
    }

    /** @throws BadValueException naming what cannot be searched for */
    public void search(String typed) {
        query.set(LogQuery.parse(typed));
    }

    public void sort(Order newOrder) {
        order.set(newOrder);
    }

    /** A run that was mended is another value under the same identifier; of another robot's log book none is in hand. */
    private void keepInHand() {
        inHand.set(inHand.get()
                .flatMap(run -> season.runs().stream()
                        .filter(r -> r.id().equals(run.id()))
                        .findFirst()));
    }

    public void take(Run run) {
        inHand.set(Optional.of(run));
    }

    /** The next run of those that are shown, or the one before. */
    void move(int by) {
        List<Run> all = shown.get().orElse(List.of());
        if (all.isEmpty()) {
            return;
        }
        int now = inHand.get().map(all::indexOf).orElse(-1);
        int to = now < 0 ? 0 : Math.max(0, Math.min(all.size() - 1, now + by));
        inHand.set(Optional.of(all.get(to)));
    }

    /** Puts other figures in the place of a run's. @throws BadValueException when it cannot be */
    public void mend(UnaryOperator<Outcome> change) {
        inHand.get().ifPresent(run -> book.mend(run.withOutcome(change.apply(run.outcome()))));
    }

    public void mendNote(String note) {
        inHand.get().ifPresent(run -> book.mend(run.withNote(note.strip())));
    }

    /** @param typed the part or how far along; empty when nobody knows */
    public void mendLostAt(String typed) {
        double mm = typed.isBlank() ? Double.NaN : log.lostMm(typed);
        mend(outcome -> outcome.withLostMm(mm));
    }

    /** Adds a photograph from a file to the run in hand. */
    public void addPhoto(Path file) {
        Optional<Run> run = inHand.get();
        run.ifPresent(r -> photoErrand.run(
                job -> PhotoPack.of(PictureFile.read(file, job).picture()), done -> book.mend(r, done)));
    }

    private Photo photo() {
        return inHand.get()
                .flatMap(Run::photo)
                .flatMap(book::photo)
                .orElseThrow(() -> new RefusedException(BookWords.NO_PHOTO));
    }

    /** Takes the run in hand out of the book; undo brings it back. */
    public void takeOut() {
        inHand.get().ifPresent(run -> {
            List<Run> all = shown.get().orElse(List.of());
            int at = all.indexOf(run);
            int next = at + 1 < all.size() ? at + 1 : at - 1;
            book.takeOut(run);
            inHand.set(next < 0 ? Optional.empty() : Optional.of(all.get(next)));
        });
    }

    /** Every state the run in hand has been in; told later. */
    void history(Consumer<List<Map.Entry<Instant, Run>>> told) {
        inHand.get().ifPresent(run -> book.history(run, told));
    }

    String venueName(String id) {
        return season.club().venueName(id);
    }
}
