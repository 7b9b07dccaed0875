package fahrbahn.app.model;

import fahrbahn.core.readings.Capture;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.trials.RunRecord;
import fahrbahn.store.BadFileException;
import fahrbahn.store.CaptureJson;
import fahrbahn.store.Change;
import fahrbahn.store.RunJson;
import fahrbahn.store.SeasonFile;
import fahrbahn.store.SetupJson;
import java.nio.file.Path;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.concurrent.Executor;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import java.util.logging.Level;
import java.util.logging.Logger;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.collections.FXCollections;
import javafx.collections.ObservableList;

/**
 * The open season: what is known now, and every change to it. A change shows at once and is written at once, in order, by the
 * writer; when writing fails the coach is told.
 */
public final class SeasonModel {
    private static final Logger LOG = Logger.getLogger(SeasonModel.class.getName());

    static final String SETUP = "setup";
    static final String CAPTURE = "capture";
    static final String RUN = "run";

    /** The setup that the gains were last chosen for. */
    static final String CHOSEN_FOR = "chosen-for";

    private static final String ONLY = "main";

    private final SeasonFile file;
    private final Executor writer;
    private final Executor interfaceThread;
    private final Consumer<String> failed;
    private final ReadOnlyObjectWrapper<Optional<Setup>> setup = new ReadOnlyObjectWrapper<>(Optional.empty());
    private final ReadOnlyObjectWrapper<Optional<Setup>> gainsChosenFor = new ReadOnlyObjectWrapper<>(Optional.empty());
    private final ObservableList<Capture> captures = FXCollections.observableArrayList();
    private final ObservableList<RunRecord> runs = FXCollections.observableArrayList();
    // Made once: a listener on a wrapper that nobody keeps would be lost with it.
    private final ObservableList<Capture> shownCaptures = FXCollections.unmodifiableObservableList(captures);
    private final ObservableList<RunRecord> shownRuns = FXCollections.unmodifiableObservableList(runs);
    private String setupDocument = "{}";

    /**
     * @param writer runs one task after the other
     * @param failed told in words when a change could not be saved
     */
    public SeasonModel(SeasonFile file, Executor writer, Executor interfaceThread, Consumer<String> failed)
            throws BadFileException {
        this.file = file;
        this.writer = writer;
        this.interfaceThread = interfaceThread;
        this.failed = failed;
        for (String kind : List.of(SETUP, CHOSEN_FOR, CAPTURE, RUN)) {
            for (Map.Entry<String, String> document : file.documents(kind).entrySet()) {
                show(Change.put(kind, document.getKey(), document.getValue()));
            }
        }
    }

    public Path path() {
        return file.file();
    }

    /** The robot, line and law; empty until the coach has typed something. */
    public ReadOnlyObjectProperty<Optional<Setup>> setupProperty() {
        return setup.getReadOnlyProperty();
    }

    /** The setup, or the starting guess as long as there is none. */
    public Setup setupOrGuess() {
        return setup.get().orElseGet(StartingSetup::guess);
    }

    public ReadOnlyObjectProperty<Optional<Setup>> gainsChosenForProperty() {
        return gainsChosenFor.getReadOnlyProperty();
    }

    /** Oldest first. */
    public ObservableList<Capture> captures() {
        return shownCaptures;
    }

    /** Oldest first. */
    public ObservableList<RunRecord> runs() {
        return shownRuns;
    }

    /** Changes the setup; a refusal from a constructor passes through and nothing changes. */
    public void changeSetup(UnaryOperator<Setup> change) {
        apply(List.of(setupChange(change.apply(setupOrGuess()))));
    }

    /** Changes the setup's gains and remembers what they were chosen for, as one step. */
    public void chooseGains(UnaryOperator<Setup> change) {
        Setup chosen = change.apply(setupOrGuess());
        apply(List.of(setupChange(chosen), Change.put(CHOSEN_FOR, ONLY, SetupJson.write(chosen))));
    }

    private Change setupChange(Setup changed) {
        try {
            return Change.put(SETUP, ONLY, SetupJson.writeOver(setupDocument, changed));
        } catch (BadFileException ownDocument) {
            throw new IllegalStateException("the setup in memory is JSON", ownDocument);
        }
    }

    public void addCaptures(List<Capture> added) {
        apply(added.stream()
                .map(c -> Change.put(CAPTURE, c.id(), CaptureJson.write(c)))
                .toList());
    }

    public void removeCapture(Capture capture) {
        apply(List.of(Change.remove(CAPTURE, capture.id())));
    }

    public void logRun(RunRecord run) {
        apply(List.of(Change.put(RUN, run.id(), RunJson.write(run))));
    }

    public void undo() {
        write(file::undo);
    }

    public void redo() {
        write(file::redo);
    }

    private void apply(List<Change> changes) {
        try {
            for (Change change : changes) {
                show(change);
            }
        } catch (BadFileException ownDocument) {
            throw new IllegalStateException("documents made here can be read here", ownDocument);
        }
        write(() -> {
            file.apply(changes);
            return List.of();
        });
    }

    /** Writes on the writer and then shows what the write itself brought back, on the interface thread. */
    private void write(Callable<List<Change>> work) {
        writer.execute(() -> {
            try {
                List<Change> brought = work.call();
                interfaceThread.execute(() -> showAll(brought));
            } catch (Exception broken) {
                LOG.log(Level.SEVERE, "saving", broken);
                interfaceThread.execute(() -> failed.accept(broken.getMessage()));
            }
        });
    }

    private void showAll(List<Change> changes) {
        for (Change change : changes) {
            try {
                show(change);
            } catch (BadFileException broken) {
                failed.accept(broken.getMessage());
            }
        }
    }

    private void show(Change change) throws BadFileException {
        Optional<String> body = change.body();
        switch (change.kind()) {
            case SETUP -> {
                setupDocument = body.orElse("{}");
                setup.set(parsed(body));
            }
            case CHOSEN_FOR -> gainsChosenFor.set(parsed(body));
            case CAPTURE -> {
                captures.removeIf(c -> c.id().equals(change.id()));
                if (body.isPresent()) {
                    insert(captures, CaptureJson.parse(change.id(), body.get()), Capture::at);
                }
            }
            case RUN -> {
                runs.removeIf(r -> r.id().equals(change.id()));
                if (body.isPresent()) {
                    insert(runs, RunJson.parse(change.id(), body.get()), RunRecord::at);
                }
            }
            default -> LOG.info("a document of a kind unknown here is left alone: " + change.kind());
        }
    }

    private static Optional<Setup> parsed(Optional<String> body) throws BadFileException {
        return body.isEmpty() ? Optional.empty() : Optional.of(SetupJson.parse(body.get()));
    }

    /** In the order of time, also for one that undo brings back. */
    private static <T> void insert(List<T> list, T value, Function<T, Instant> at) {
        int place = list.size();
        while (place > 0 && at.apply(list.get(place - 1)).isAfter(at.apply(value))) {
            place--;
        }
        list.add(place, value);
    }

    /** Closes the file when everything before has been written. */
    public void close() {
        writer.execute(file::close);
    }
}
