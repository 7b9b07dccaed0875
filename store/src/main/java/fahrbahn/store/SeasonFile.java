package fahrbahn.store;

import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jdbi.v3.core.Handle;
import org.jdbi.v3.core.Jdbi;
import org.jdbi.v3.core.JdbiException;
import org.sqlite.SQLiteConfig;
import org.sqlite.SQLiteErrorCode;
import org.sqlite.SQLiteException;

/**
 * One season in one file. Each call that changes something returns when it is on disk, whole or not at all. One program at a
 * time has the file. Thread-safe: calls wait for each other.
 */
public final class SeasonFile implements AutoCloseable {
    /** Each entry brings a file one version up; what has been released is never edited, only followed by another. */
    private static final List<List<String>> MIGRATIONS = List.of(List.of(
            """
            CREATE TABLE revision (
              number INTEGER PRIMARY KEY AUTOINCREMENT,
              step   INTEGER NOT NULL, -- changes made at once share a step
              at     TEXT    NOT NULL,
              cause  TEXT    NOT NULL CHECK (cause IN ('edit', 'undo', 'redo')),
              kind   TEXT    NOT NULL,
              id     TEXT    NOT NULL,
              body   TEXT              -- NULL: removed
            )""",
            "CREATE INDEX revision_of_document ON revision (kind, id, number)",
            "CREATE INDEX revision_of_step ON revision (step)"));

    private final Path file;
    private final Clock clock;
    private final Connection connection;
    private final Handle database;
    private final Deque<Integer> undoable = new ArrayDeque<>();
    private final Deque<Integer> redoable = new ArrayDeque<>();
    private int lastStep;

    private SeasonFile(Path file, Clock clock, Connection connection) {
        this.file = file;
        this.clock = clock;
        this.connection = connection;
        this.database = Jdbi.create(connection).open();
    }

    /** Opens a season, or begins one when there is no such file. */
    public static SeasonFile openOrCreate(Path file, Clock clock) throws BadFileException {
        return Files.exists(file) ? open(file, clock) : create(file, clock);
    }

    /** @throws BadFileException when it is not a season file, is in use or cannot be read */
    public static SeasonFile open(Path file, Clock clock) throws BadFileException {
        SeasonHeader.check(file, MIGRATIONS.size());
        return connect(file, clock);
    }

    /** @throws BadFileException when there is such a file already, or it cannot be written */
    public static SeasonFile create(Path file, Clock clock) throws BadFileException {
        if (Files.exists(file)) {
            throw new BadFileException(file + ": there is such a file already. Open it, or choose another name");
        }
        return connect(file, clock);
    }

    private static SeasonFile connect(Path file, Clock clock) throws BadFileException {
        SQLiteConfig config = new SQLiteConfig();
        config.setLockingMode(SQLiteConfig.LockingMode.EXCLUSIVE);
        config.setSynchronous(SQLiteConfig.SynchronousMode.FULL);
        config.setBusyTimeout(0);
        Connection connection = null;
        try {
            connection = config.createConnection("jdbc:sqlite:" + file.toAbsolutePath());
            SeasonFile season = new SeasonFile(file, clock, connection);
            season.prepare();
            return season;
        } catch (SQLException | JdbiException broken) {
            closeQuietly(connection);
            throw new BadFileException(file + ": " + reason(broken), broken);
        }
    }

    private static void closeQuietly(Connection connection) {
        try {
            if (connection != null) {
                connection.close();
            }
        } catch (SQLException alreadyBroken) {
            // The first failure is the one that is told.
        }
    }

    private static String reason(Throwable broken) {
        for (Throwable cause = broken; cause != null; cause = cause.getCause()) {
            if (cause instanceof SQLiteException sqlite) {
                SQLiteErrorCode code = sqlite.getResultCode();
                if (code == SQLiteErrorCode.SQLITE_BUSY || code == SQLiteErrorCode.SQLITE_LOCKED) {
                    return "the season is open in another window of Fahrbahn. Close that one first";
                }
                if (code == SQLiteErrorCode.SQLITE_CORRUPT || code == SQLiteErrorCode.SQLITE_NOTADB) {
                    return "the season file is damaged. Keep it, and open your latest copy";
                }
                return "cannot be opened or written (" + code.name() + "). Check the folder and the space on the disk";
            }
        }
        return "cannot be opened or written (" + broken.getMessage() + ")";
    }

    private void prepare() {
        // The write lock is taken now and kept, so that a second window is told at once and not at its first change.
        database.execute("BEGIN EXCLUSIVE");
        int version =
                database.createQuery("PRAGMA user_version").mapTo(Integer.class).one();
        for (int next = version; next < MIGRATIONS.size(); next++) {
            MIGRATIONS.get(next).forEach(database::execute);
        }
        if (version < MIGRATIONS.size()) {
            database.execute("PRAGMA application_id = " + SeasonHeader.APPLICATION_ID);
            database.execute("PRAGMA user_version = " + MIGRATIONS.size());
        }
        database.execute("COMMIT");
        replaySteps();
    }

    private void replaySteps() {
        database.createQuery("SELECT DISTINCT step, cause FROM revision ORDER BY step")
                .map((row, context) -> Map.entry(row.getInt("step"), row.getString("cause")))
                .forEach(step -> note(step.getKey(), step.getValue()));
    }

    /** Keeps the two stacks of what can be undone and redone, by step. */
    private void note(int step, String cause) {
        lastStep = step;
        switch (cause) {
            case "undo" -> redoable.push(undoable.pop());
            case "redo" -> undoable.push(redoable.pop());
            default -> {
                undoable.push(step);
                redoable.clear();
            }
        }
    }

    public Path file() {
        return file;
    }

    /** The documents of a kind as they are now, by id, in the order they were first made. */
    public synchronized Map<String, String> documents(String kind) {
        Map<String, String> current = new LinkedHashMap<>();
        database.createQuery("""
                        SELECT id, body FROM revision AS r
                        WHERE kind = :kind AND body IS NOT NULL AND number =
                          (SELECT MAX(number) FROM revision WHERE kind = r.kind AND id = r.id)
                        ORDER BY (SELECT MIN(number) FROM revision WHERE kind = r.kind AND id = r.id)""")
                .bind("kind", kind)
                .map((row, context) -> Map.entry(row.getString("id"), row.getString("body")))
                .forEach(document -> current.put(document.getKey(), document.getValue()));
        return current;
    }

    /** Every state a document has been in, oldest first: what was known when. */
    public synchronized List<Revision> history(String kind, String id) {
        return database.createQuery("SELECT at, body FROM revision WHERE kind = :kind AND id = :id ORDER BY number")
                .bind("kind", kind)
                .bind("id", id)
                .map((row, context) ->
                        new Revision(Instant.parse(row.getString("at")), Optional.ofNullable(row.getString("body"))))
                .list();
    }

    /** Makes all changes together, as one step of undo. */
    public synchronized void apply(List<Change> changes) throws BadFileException {
        if (!changes.isEmpty()) {
            write(changes, "edit");
        }
    }

    /** Takes back the latest step; empty when there is none. Returns what the documents are now. */
    public synchronized List<Change> undo() throws BadFileException {
        return undoable.isEmpty() ? List.of() : write(before(undoable.peek()), "undo");
    }

    /** Makes the step last taken back again; empty when there is none. Returns what the documents are now. */
    public synchronized List<Change> redo() throws BadFileException {
        return redoable.isEmpty() ? List.of() : write(during(redoable.peek()), "redo");
    }

    public synchronized boolean canUndo() {
        return !undoable.isEmpty();
    }

    public synchronized boolean canRedo() {
        return !redoable.isEmpty();
    }

    private List<Change> before(int step) {
        List<Change> earlier = new ArrayList<>();
        for (Change change : during(step)) {
            Optional<String> body = database.createQuery("""
                            SELECT body FROM revision WHERE kind = :kind AND id = :id AND step < :step
                            ORDER BY number DESC LIMIT 1""")
                    .bind("kind", change.kind())
                    .bind("id", change.id())
                    .bind("step", step)
                    .map((row, context) -> Optional.ofNullable(row.getString("body")))
                    .findFirst()
                    .orElse(Optional.empty());
            earlier.add(new Change(change.kind(), change.id(), body));
        }
        return earlier;
    }

    private List<Change> during(int step) {
        return database.createQuery("SELECT kind, id, body FROM revision WHERE step = :step ORDER BY number")
                .bind("step", step)
                .map((row, context) -> new Change(
                        row.getString("kind"), row.getString("id"), Optional.ofNullable(row.getString("body"))))
                .list();
    }

    private List<Change> write(List<Change> changes, String cause) throws BadFileException {
        int step = lastStep + 1;
        String at = clock.instant().toString();
        try {
            database.useTransaction(transaction -> {
                for (Change change : changes) {
                    transaction
                            .createUpdate("""
                                    INSERT INTO revision (step, at, cause, kind, id, body)
                                    VALUES (:step, :at, :cause, :kind, :id, :body)""")
                            .bind("step", step)
                            .bind("at", at)
                            .bind("cause", cause)
                            .bind("kind", change.kind())
                            .bind("id", change.id())
                            .bind("body", change.body().orElse(null))
                            .execute();
                }
            });
        } catch (JdbiException broken) {
            throw new BadFileException(file + ": the change could not be saved: " + reason(broken), broken);
        }
        note(step, cause);
        return changes;
    }

    @Override
    public synchronized void close() {
        database.close();
        closeQuietly(connection); // the handle leaves a connection it was given open
    }
}
