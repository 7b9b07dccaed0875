package fahrbahn.store;

import fahrbahn.core.knowledge.Setting;
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

    private final SeasonFile file;
    private final Shared shared;
    private final Desk desk;
    private final Deque<Waiting> waiting = new ArrayDeque<>(); // of the writer's thread

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
        this.shared = shared;
        this.desk = desk;
    }

    Instant now() {
        return file.now();
    }

    void write(Instant at, FileStep.Cause cause, String label, List<Put<?>> puts) {
        desk.writer().execute(() -> {
            waiting.add(new Waiting(at, cause, label, puts));
            drain();
        });
    }

    void retry() {
        desk.writer().execute(this::drain);
    }

    private void drain() {
        boolean late = waiting.size() > 1;
        while (!waiting.isEmpty()) {
            Waiting next = waiting.peek();
            try {
                List<Setting> settings = new ArrayList<>();
                file.write(new FileStep(next.at(), next.cause(), next.label(), changes(next, settings)));
                shared.written(settings);
                waiting.remove();
            } catch (BadFileException | RuntimeException broken) {
                LOG.log(Level.SEVERE, "saving '" + next.label() + "'", broken);
                int unsaved = waiting.size();
                desk.ledgerThread().execute(() -> desk.saved().stands(unsaved, broken.getMessage()));
                return;
            }
        }
        if (late) {
            desk.ledgerThread().execute(() -> desk.saved().stands(0, ""));
        }
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
