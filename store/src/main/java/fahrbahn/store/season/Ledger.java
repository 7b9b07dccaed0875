package fahrbahn.store.season;

import fahrbahn.store.document.Kind;
import fahrbahn.store.document.Put;
import fahrbahn.store.file.BadFileException;
import fahrbahn.store.json.Shared;
import fahrbahn.store.season.FileStep.Cause;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Deque;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;

/**
 * What an open season holds, as typed values, with its steps of undo. A change shows at once and is handed to the {@link Scribe},
 * which writes it in order; undo works on what is in memory, so that memory and file can never go different ways. Belongs to one
 * thread; opened on any.
 */
public final class Ledger {
    /** Further back than this nobody undoes step by step; every earlier state stays in the file. */
    static final int MOST_STEPS = 200;

    private final Held held;
    private final Scribe scribe;
    private final Deque<Step> undoable = new ArrayDeque<>();
    private final Deque<Step> redoable = new ArrayDeque<>();
    private final List<Consumer<Set<Kind<?>>>> listeners = new ArrayList<>();
    private final List<String> leftOut;
    private Act act;

    /** A step as it stands on the list. */
    public record Labelled(Instant at, String label) {}

    /** What undoing or redoing puts in place. */
    private record Step(Instant at, String label, List<Put<?>> puts) {}

    private Ledger(Held held, Scribe scribe, List<String> leftOut) {
        this.held = held;
        this.scribe = scribe;
        this.leftOut = leftOut;
    }

    /** Reads all there is, on the caller's thread, which may take a moment. What cannot be read is left as it is, and named. */
    public static Ledger open(SeasonFile file, Scribe.Desk desk) throws BadFileException {
        try {
            return read(file, desk);
        } catch (BadFileException | RuntimeException broken) {
            file.close();
            throw broken;
        }
    }

    private static Ledger read(SeasonFile file, Scribe.Desk desk) throws BadFileException {
        Shared shared = new Shared();
        SeasonFile.Contents contents = file.contents();
        List<String> leftOut = new ArrayList<>(contents.damaged());
        SeasonReader reader = new SeasonReader(shared, leftOut);
        Held held = reader.held(contents.documents());
        Ledger ledger = new Ledger(held, new Scribe(file, shared, desk), leftOut);
        SeasonFile.Steps steps = file.steps(MOST_STEPS);
        steps.undo().forEach(s -> ledger.undoable.push(new Step(s.at(), s.label(), reader.puts(s.changes()))));
        steps.redo().forEach(s -> ledger.redoable.push(new Step(s.at(), s.label(), reader.puts(s.changes()))));
        return ledger;
    }

    /** The season's time, which never goes back, whatever the computer's clock does. */
    public Clock clock() {
        return scribe.clock();
    }

    /** Documents that could not be read, in words; they are in the file as they were. */
    public List<String> leftOut() {
        return Collections.unmodifiableList(leftOut);
    }

    public <T> Optional<T> get(Kind<T> kind, String owner, String id) {
        return held.get(kind, owner, id);
    }

    /** The one document of this kind that an owner has. */
    public <T> Optional<T> get(Kind<T> kind, String owner) {
        return get(kind, owner, Kind.ONLY);
    }

    /** The documents of an owner by identifier, in the order they were first made. A view, not to be kept. */
    public <T> Map<String, T> all(Kind<T> kind, String owner) {
        return held.all(kind, owner);
    }

    /** Everyone who has a document of this kind, in the order they first had one. */
    public Set<String> owners(Kind<?> kind) {
        return held.owners(kind);
    }

    /** Told, after each change, which kinds of document it touched. */
    public void listen(Consumer<Set<Kind<?>>> listener) {
        listeners.add(listener);
    }

    /**
     * Changes documents, as one step of undo; what changes nothing is dropped.
     *
     * @param label in words, as it is to stand on the list of steps
     */
    public void change(String label, List<Put<?>> puts) {
        List<Put<?>> real = puts.stream().filter(held::changes).toList();
        if (real.isEmpty()) {
            return;
        }
        if (act != null) {
            act.add(real, held.before(real));
            show(real);
            return;
        }
        Instant at = scribe.now();
        push(new Step(at, label, held.before(real)));
        make(at, Cause.EDIT, label, real);
    }

    private void push(Step step) {
        undoable.push(step);
        while (undoable.size() > MOST_STEPS) {
            undoable.removeLast();
        }
        redoable.clear();
    }

    /**
     * What one act changes in several documents, each seen by what changes the next, is one step of undo and written as one.
     *
     * @param label as it is to stand on the list of steps
     */
    public void together(String label, Runnable changes) {
        if (act != null) {
            changes.run(); // part of a larger act
            return;
        }
        Act now = new Act();
        act = now;
        try {
            changes.run();
        } finally {
            act = null;
            now.forgetUnchanged();
            if (!now.puts.isEmpty()) {
                Instant at = scribe.now();
                push(new Step(at, label, now.before()));
                scribe.write(at, Cause.EDIT, label, List.copyOf(now.puts.values()));
            }
        }
    }

    /** What an act has changed so far: the latest of each document, and what it was before the first. */
    private static final class Act {
        private record Document(Kind<?> kind, String owner, String id) {}

        private final Map<Document, Put<?>> puts = new LinkedHashMap<>();
        private final Map<Document, Put<?>> before = new LinkedHashMap<>();

        void add(List<Put<?>> changed, List<Put<?>> was) {
            changed.forEach(put -> puts.put(document(put), put));
            was.forEach(put -> before.putIfAbsent(document(put), put));
        }

        /** What is in the end as it was. */
        void forgetUnchanged() {
            before.entrySet()
                    .removeIf(e ->
                            e.getValue().value().equals(puts.get(e.getKey()).value()));
            puts.keySet().retainAll(before.keySet());
        }

        private static Document document(Put<?> put) {
            return new Document(put.kind(), put.owner(), put.id());
        }

        List<Put<?>> before() {
            List<Put<?>> all = new ArrayList<>(before.values());
            Collections.reverse(all);
            return all;
        }
    }

    /** Keeps documents without a step of undo. */
    public void note(List<Put<?>> puts) {
        List<Put<?>> real = puts.stream().filter(held::changes).toList();
        if (!real.isEmpty()) {
            make(scribe.now(), Cause.NOTE, "", real);
        }
    }

    /** Takes back the latest step. @return its label; empty when there is none */
    public Optional<String> undo() {
        return turn(undoable, redoable, Cause.UNDO);
    }

    /** Makes the step last taken back again. @return its label; empty when there is none */
    public Optional<String> redo() {
        return turn(redoable, undoable, Cause.REDO);
    }

    private Optional<String> turn(Deque<Step> from, Deque<Step> to, Cause cause) {
        if (from.isEmpty()) {
            return Optional.empty();
        }
        Step step = from.pop();
        to.push(new Step(step.at(), step.label(), held.before(step.puts())));
        make(scribe.now(), cause, step.label(), step.puts());
        return Optional.of(step.label());
    }

    /** What can be undone, the latest first. */
    public List<Labelled> undoable() {
        return labels(undoable);
    }

    private static List<Labelled> labels(Deque<Step> steps) {
        return steps.stream().map(s -> new Labelled(s.at(), s.label())).toList();
    }

    private void make(Instant at, Cause cause, String label, List<Put<?>> puts) {
        puts.forEach(held::put);
        scribe.write(at, cause, label, puts);
        tell(puts);
    }

    private void show(List<Put<?>> puts) {
        puts.forEach(held::put);
        tell(puts);
    }

    private void tell(List<Put<?>> puts) {
        Set<Kind<?>> touched = new LinkedHashSet<>();
        puts.forEach(put -> touched.add(put.kind()));
        List.copyOf(listeners).forEach(l -> l.accept(touched));
    }

    /** Every state a document has been in with its moment, oldest first; told on the ledger's thread. */
    public <T> void history(Kind<T> kind, String owner, String id, Consumer<List<Map.Entry<Instant, T>>> told) {
        scribe.history(kind, owner, id, told);
    }

    /** The document as it is written, unknown fields and all, once everything before has been; told on the ledger's thread. */
    public void written(Kind<?> kind, String owner, String id, Consumer<Optional<String>> told) {
        scribe.body(kind, owner, id, told);
    }

    /** Tries again to write what could not be written, and looks whether the file is still there. */
    public void retry() {
        scribe.retry();
    }

    /** Copies the season into another file, everything before being written first; told in words how it went. */
    public void copyTo(Path target, Consumer<Optional<String>> failure) {
        scribe.copyTo(target, failure);
    }

    /** Goes on in another file, with everything there is, changes that could not be saved included. */
    public void moveTo(Path target, Consumer<Optional<String>> failure) {
        scribe.moveTo(target, failure);
    }

    /** Makes a backup when something has changed since the last, everything before being written first. */
    public void backUp(Backups backups) {
        scribe.backUp(backups);
    }

    /** Writes what is left and closes the file. */
    public void close() {
        scribe.close();
    }
}
