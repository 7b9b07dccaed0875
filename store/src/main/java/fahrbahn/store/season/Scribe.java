package fahrbahn.store.season;

import fahrbahn.core.knowledge.Setting;
import fahrbahn.store.document.Codec;
import fahrbahn.store.document.Kind;
import fahrbahn.store.document.Kinds;
import fahrbahn.store.document.Put;
import fahrbahn.store.file.BadFileException;
import fahrbahn.store.json.Shared;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Executor;
import java.util.function.Consumer;
import java.util.logging.Level;
import java.util.logging.Logger;

/**
 * Writes steps into the season file, in order, on a thread of its own. What cannot be written waits and is tried again with the next
 * change; until then the coach is told that it is not saved.
 */
public final class Scribe {
    private static final Logger LOG = Logger.getLogger(Scribe.class.getName());

    private SeasonFile file; // of the writer's thread
    private final Clock clock;
    private final Shared shared;
    private final Desk desk;
    private final Deque<Waiting> waiting = new ArrayDeque<>(); // of the writer's thread
    private int toldUnsaved; // likewise
    private String toldWhy = "";

    /**
     * Where the scribe works.
     *
     * @param writer runs one task after the other
     * @param ledgerThread where results are told
     * @param saved told how many changes are not saved, and why, when that changes
     */
    public record Desk(Executor writer, Executor ledgerThread, Saved saved) {}

    /** How saving stands. */
    public interface Saved {
        /** @param why in words; empty when everything is saved */
        void stands(int unsaved, String why);
    }

    private record Waiting(Instant at, FileStep.Cause cause, String label, List<Put<?>> puts) {}

    Scribe(SeasonFile file, Shared shared, Desk desk) {
        this.file = file;
        this.clock = file.clock();
        this.shared = shared;
        this.desk = desk;
    }

    Clock clock() {
        return clock;
    }

    Instant now() {
        return clock.instant();
    }

    void write(Instant at, FileStep.Cause cause, String label, List<Put<?>> puts) {
        desk.writer().execute(() -> {
            waiting.add(new Waiting(at, cause, label, puts));
            drain();
        });
    }

    void retry() {
        desk.writer().execute(() -> {
            drain();
            try {
                file.ensureThere();
            } catch (BadFileException gone) {
                tell(gone.getMessage());
            }
        });
    }

    private void tell(String why) {
        int unsaved = waiting.size();
        if (unsaved != toldUnsaved || !why.equals(toldWhy)) {
            toldUnsaved = unsaved;
            toldWhy = why;
            desk.ledgerThread().execute(() -> desk.saved().stands(unsaved, why));
        }
    }

    private void drain() {
        while (!waiting.isEmpty()) {
            Waiting next = waiting.peek();
            try {
                List<Setting> settings = new ArrayList<>();
                file.write(new FileStep(next.at(), next.cause(), next.label(), changes(next, settings)));
                shared.written(settings);
                waiting.remove();
            } catch (BadFileException | RuntimeException broken) {
                LOG.log(Level.SEVERE, "saving '" + next.label() + "'", broken);
                tell(broken.getMessage());
                return;
            }
        }
        tell("");
    }

    void copyTo(Path target, Consumer<Optional<String>> failure) {
        desk.writer().execute(() -> {
            drain();
            finish(failure, () -> file.copyTo(target));
        });
    }

    void moveTo(Path target, Consumer<Optional<String>> failure) {
        desk.writer()
                .execute(() -> finish(failure, () -> {
                    file.copyTo(target);
                    SeasonFile moved = file.reopenedAt(target);
                    file.close();
                    file = moved;
                    drain();
                }));
    }

    void backUp(Backups backups) {
        desk.writer().execute(() -> {
            drain();
            try {
                backups.make(file);
            } catch (BadFileException | RuntimeException cannot) {
                LOG.log(Level.WARNING, "the backup at closing", cannot);
            }
        });
    }

    private interface Work {
        void run() throws BadFileException;
    }

    private void finish(Consumer<Optional<String>> failure, Work work) {
        Optional<String> why = Optional.empty();
        try {
            work.run();
        } catch (BadFileException | RuntimeException cannot) {
            LOG.log(Level.SEVERE, "copying the season", cannot);
            why = Optional.of(cannot.getMessage());
        }
        Optional<String> told = why;
        desk.ledgerThread().execute(() -> failure.accept(told));
    }

    private List<Change> changes(Waiting step, List<Setting> settings) throws BadFileException {
        List<Change> changes = new ArrayList<>();
        for (Put<?> put : step.puts()) {
            changes.add(change(put));
        }
        // What the documents point to goes with them.
        settings.addAll(shared.unwritten());
        for (Setting setting : settings) {
            String body = Kinds.SETTING.codec().write(setting, shared);
            changes.add(0, Change.put(Kinds.SETTING.name(), "", setting.id(), body));
        }
        return changes;
    }

    private <T> Change change(Put<T> put) throws BadFileException {
        String kind = put.kind().name();
        if (put.value().isEmpty()) {
            return Change.remove(kind, put.owner(), put.id());
        }
        if (put.asWritten().isPresent()) {
            return Change.put(kind, put.owner(), put.id(), put.asWritten().get());
        }
        T value = put.value().get();
        Codec<T> codec = put.kind().codec();
        Optional<String> before = file.body(kind, put.owner(), put.id());
        String body = before.isPresent() ? codec.writeOver(before.get(), value, shared) : codec.write(value, shared);
        return Change.put(kind, put.owner(), put.id(), body);
    }

    <T> void history(Kind<T> kind, String owner, String id, Consumer<List<Map.Entry<Instant, T>>> told) {
        desk.writer().execute(() -> {
            List<Map.Entry<Instant, T>> states = new ArrayList<>();
            for (Map.Entry<Instant, Change> state : file.history(kind.name(), owner, id)) {
                try {
                    if (state.getValue().body().isPresent()) {
                        String body = state.getValue().body().get();
                        states.add(Map.entry(state.getKey(), kind.codec().read(id, body, shared)));
                    }
                } catch (BadFileException | RuntimeException unreadable) {
                    LOG.log(Level.WARNING, "an earlier state of " + kind + " " + id, unreadable);
                }
            }
            desk.ledgerThread().execute(() -> told.accept(states));
        });
    }

    void body(Kind<?> kind, String owner, String id, Consumer<Optional<String>> told) {
        desk.writer().execute(() -> {
            Optional<String> body = file.body(kind.name(), owner, id);
            desk.ledgerThread().execute(() -> told.accept(body));
        });
    }

    void close() {
        desk.writer().execute(() -> {
            drain();
            file.close();
        });
    }
}
