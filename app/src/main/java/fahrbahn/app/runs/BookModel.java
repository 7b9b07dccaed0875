package fahrbahn.app.runs;

import fahrbahn.app.errand.Errand;
import fahrbahn.app.errand.Errands;
import fahrbahn.app.season.LogBook;
import fahrbahn.app.season.Season;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.mat.Picture;
import fahrbahn.core.trials.Figure;
import fahrbahn.core.trials.LogLine;
import fahrbahn.core.trials.LogQuery;
import fahrbahn.core.trials.Outcome;
import fahrbahn.core.trials.Run;
import fahrbahn.core.trials.Stretch;
import fahrbahn.store.PhotoPack;
import fahrbahn.store.PictureFile;
import fahrbahn.words.RunWords;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import javafx.beans.InvalidationListener;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/** The log book of the robot in hand: searched, sorted, mended; and its season as stretches. */
public final class BookModel {
    private final Season season;
    private final LogBook book;
    private final QuickLog log;
    private final BookFiles files;
    private final Errand<PhotoPack> photoErrand;
    private final Errand<Picture> pictureErrand;
    private final Errand<List<Stretch>> stretchErrand;
    private final ReadOnlyObjectWrapper<Optional<Picture>> picture = new ReadOnlyObjectWrapper<>(Optional.empty());
    private Optional<String> pictureOf = Optional.empty();
    private final ReadOnlyObjectWrapper<List<Run>> shown = new ReadOnlyObjectWrapper<>(List.of());
    private final ReadOnlyObjectWrapper<Optional<Run>> inHand = new ReadOnlyObjectWrapper<>(Optional.empty());
    private final ReadOnlyObjectWrapper<List<Stretch>> stretches = new ReadOnlyObjectWrapper<>(List.of());
    private Map<Run, LogLine> lines = new IdentityHashMap<>();
    private List<LogLine> oldestFirst = List.of();
    private boolean stale = true;
    private boolean seasonStale = true;
    private LogQuery query = new LogQuery(List.of());
    private Order order = Order.NEWEST;

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

    BookModel(Season season, QuickLog log, Errands errands) {
        this.season = season;
        this.book = season.logBook();
        this.log = log;
        this.files = new BookFiles(season, errands);
        this.photoErrand = errands.errand("The photograph");
        this.pictureErrand = errands.errand("The photograph");
        this.stretchErrand = errands.errand("The season");
        inHand.addListener(o -> unpack());
        season.runs().addListener((InvalidationListener) o -> {
            stale = true;
            seasonStale = true;
            keepInHand();
        });
    }

    /** Files of runs in and out. */
    public BookFiles files() {
        return files;
    }

    /** The runs that are asked for, in their order. */
    public ReadOnlyObjectProperty<List<Run>> shownProperty() {
        return shown.getReadOnlyProperty();
    }

    /** The run that is looked at. */
    public ReadOnlyObjectProperty<Optional<Run>> inHandProperty() {
        return inHand.getReadOnlyProperty();
    }

    /** Pieces of the season, oldest first; of the robot on the table. */
    ReadOnlyObjectProperty<List<Stretch>> stretchesProperty() {
        return stretches.getReadOnlyProperty();
    }

    /** Somebody looks at the book: runs that have come are taken in. */
    public void look() {
        if (stale) {
            stale = false;
            words(List.copyOf(season.runs()));
            filter();
        }
    }

    /** @throws BadValueException naming what cannot be searched for */
    public void search(String typed) {
        query = LogQuery.parse(typed);
        look();
        filter();
    }

    public void sort(Order newOrder) {
        order = newOrder;
        look();
        filter();
    }

    private void words(List<Run> runs) {
        Map<Run, LogLine> known = new IdentityHashMap<>(2 * runs.size());
        List<LogLine> all = new ArrayList<>(runs.size());
        for (Run run : runs) {
            LogLine line = lines.get(run);
            all.add(line == null ? line(run) : line);
            known.put(run, all.get(all.size() - 1));
        }
        lines = known; // words are made once a run, those of another robot are not kept
        oldestFirst = all;
    }

    private void filter() {
        shown.set(
                order.sort(query.among(oldestFirst)).stream().map(LogLine::run).toList());
    }

    /** A run that was mended is another value under the same identifier; of another robot's log book none is in hand. */
    private void keepInHand() {
        inHand.set(inHand.get()
                .flatMap(run -> season.runs().stream()
                        .filter(r -> r.id().equals(run.id()))
                        .findFirst()));
    }

    private LogLine line(Run run) {
        return new LogLine(
                run,
                String.join(
                        " ",
                        RunWords.when(run),
                        RunWords.who(run),
                        run.basis().table().name(),
                        season.club().venueName(run.basis().conditions().venue()),
                        RunWords.outcome(run),
                        RunWords.place(run),
                        RunWords.setting(run),
                        run.outcome().seen().map(RunWords::seen).orElse(""),
                        run.basis().conditions().wheels(),
                        run.photo().isPresent() ? "photo" : "",
                        run.note()));
    }

    public void take(Run run) {
        inHand.set(Optional.of(run));
    }

    /** The next run of those that are shown, or the one before. */
    void move(int by) {
        List<Run> all = shown.get();
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

    /** The photograph of the run in hand; empty where there is none, and while it is unpacked. */
    ReadOnlyObjectProperty<Optional<Picture>> pictureProperty() {
        return picture.getReadOnlyProperty();
    }

    private void unpack() {
        Optional<String> id = inHand.get().flatMap(Run::photo);
        if (id.equals(pictureOf)) {
            return;
        }
        pictureOf = id;
        picture.set(Optional.empty());
        pictureErrand.stop();
        id.flatMap(book::photo)
                .ifPresent(photo ->
                        pictureErrand.run(job -> PhotoPack.unpack(photo), done -> picture.set(Optional.of(done))));
    }

    /** Takes the run in hand out of the book; undo brings it back. */
    public void takeOut() {
        inHand.get().ifPresent(run -> {
            List<Run> all = shown.get();
            int at = all.indexOf(run);
            book.takeOut(run);
            look();
            List<Run> left = shown.get();
            inHand.set(
                    left.isEmpty()
                            ? Optional.empty()
                            : Optional.of(left.get(Math.max(0, Math.min(at, left.size() - 1)))));
        });
    }

    /** Every state the run in hand has been in; told later. */
    void history(Consumer<List<Map.Entry<Instant, Run>>> told) {
        inHand.get().ifPresent(run -> book.history(run, told));
    }

    String venueName(String id) {
        return season.club().venueName(id);
    }

    /** Somebody looks at the season: its stretches are worked out, unless they have been. */
    void lookAtSeason() {
        if (seasonStale) {
            seasonStale = false;
            List<Run> table = season.runs().stream()
                    .filter(run -> run.source() == Run.Source.TABLE)
                    .toList();
            stretchErrand.run(job -> Stretch.of(table), stretches::set);
        }
    }
}
