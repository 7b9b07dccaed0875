package fahrbahn.store;

import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jdbi.v3.core.Handle;
import org.jdbi.v3.core.Jdbi;
import org.jdbi.v3.core.JdbiException;
import org.jdbi.v3.core.statement.PreparedBatch;
import org.sqlite.SQLiteConfig;
import org.sqlite.SQLiteErrorCode;
import org.sqlite.SQLiteException;

/**
 * One season in one file. Each call that changes something returns when it is on disk, whole or not at all. One program at a
 * time has the file. Thread-safe: calls wait for each other.
 */
public final class SeasonFile implements AutoCloseable {
    /** What documents became in the steps from one on. */
    private static final String AFTER =
            "SELECT step, kind, owner, id, body FROM revision WHERE step >= :first ORDER BY number";

    /** What they were before each. */
    private static final String BEFORE = """
            SELECT r.step, r.kind, r.owner, r.id,
              (SELECT p.body FROM revision AS p
               WHERE p.kind = r.kind AND p.owner = r.owner AND p.id = r.id AND p.step < r.step
               ORDER BY p.number DESC LIMIT 1) AS body
            FROM revision AS r WHERE r.step >= :first ORDER BY r.number""";

    private final Path file;
    private final Clock clock;
    private final Connection connection;
    private final Handle database;
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
        SeasonHeader.check(file, SeasonSchema.MIGRATIONS.size());
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
        for (int next = version; next < SeasonSchema.MIGRATIONS.size(); next++) {
            SeasonSchema.MIGRATIONS.get(next).forEach(database::execute);
        }
        if (version < SeasonSchema.MIGRATIONS.size()) {
            database.execute("PRAGMA application_id = " + SeasonHeader.APPLICATION_ID);
            database.execute("PRAGMA user_version = " + SeasonSchema.MIGRATIONS.size());
        }
        database.execute("COMMIT");
        lastStep = database.createQuery("SELECT COALESCE(MAX(number), 0) FROM step")
                .mapTo(Integer.class)
                .one();
    }

    public Path file() {
        return file;
    }

    /** Every document as it is now, in the order they were first made. */
    public synchronized List<Change> documents() {
        return database.createQuery("""
                        SELECT r.kind, r.owner, r.id, r.body
                        FROM (SELECT MAX(number) AS last, MIN(number) AS first FROM revision GROUP BY kind, owner, id) AS d
                        JOIN revision AS r ON r.number = d.last
                        WHERE r.body IS NOT NULL ORDER BY d.first""").map((row, context) -> change(row)).list();
    }

    private static Change change(ResultSet row) throws SQLException {
        return new Change(
                row.getString("kind"),
                row.getString("owner"),
                row.getString("id"),
                Optional.ofNullable(row.getString("body")));
    }

    /** Every state a document has been in, with when it came to be, oldest first: what was known when. */
    public synchronized List<Map.Entry<Instant, Change>> history(String kind, String owner, String id) {
        return database.createQuery("""
                        SELECT s.at, r.kind, r.owner, r.id, r.body FROM revision AS r JOIN step AS s ON s.number = r.step
                        WHERE r.kind = :kind AND r.owner = :owner AND r.id = :id ORDER BY r.number""")
                .bind("kind", kind)
                .bind("owner", owner)
                .bind("id", id)
                .map((row, context) -> Map.entry(Instant.parse(row.getString("at")), change(row)))
                .list();
    }

    /** What a document is now; empty when there is none. */
    public synchronized Optional<String> body(String kind, String owner, String id) {
        return database.createQuery("""
                        SELECT body FROM revision WHERE kind = :kind AND owner = :owner AND id = :id
                        ORDER BY number DESC LIMIT 1""")
                .bind("kind", kind)
                .bind("owner", owner)
                .bind("id", id)
                .map((row, context) -> Optional.ofNullable(row.getString("body")))
                .findFirst()
                .orElse(Optional.empty());
    }

    /**
     * What undoing and redoing would do: the newest steps that can be undone with what their documents were before, and those that
     * can be redone with what they were after.
     *
     * @param undo next to be undone last
     * @param redo next to be redone last
     */
    public record Steps(List<FileStep> undo, List<FileStep> redo) {}

    /** @param most steps of either sort */
    public synchronized Steps steps(int most) {
        Deque<StepRow> undoable = new ArrayDeque<>();
        Deque<StepRow> redoable = new ArrayDeque<>();
        database.createQuery("SELECT number, at, cause, label FROM step ORDER BY number")
                .map((row, context) -> new StepRow(
                        row.getInt("number"), row.getString("at"), row.getString("cause"), row.getString("label")))
                .forEach(step -> {
                    switch (FileStep.Cause.of(step.cause())) {
                        case UNDO -> move(undoable, redoable);
                        case REDO -> move(redoable, undoable);
                        case EDIT -> {
                            undoable.push(step);
                            redoable.clear();
                        }
                        case NOTE -> {}
                    }
                });
        return new Steps(steps(newest(undoable, most), true), steps(newest(redoable, most), false));
    }

    private record StepRow(int number, String at, String cause, String label) {}

    private static void move(Deque<StepRow> from, Deque<StepRow> to) {
        if (!from.isEmpty()) {
            to.push(from.pop());
        }
    }

    /** The next to be turned last. */
    private static List<StepRow> newest(Deque<StepRow> stack, int most) {
        List<StepRow> newest = new ArrayList<>(new ArrayList<>(stack).subList(0, Math.min(most, stack.size())));
        Collections.reverse(newest);
        return newest;
    }

    /** In one query for all: asked one by one, two hundred steps take half a second. */
    private List<FileStep> steps(List<StepRow> rows, boolean before) {
        Map<Integer, List<Change>> changes = new HashMap<>();
        rows.forEach(row -> changes.put(row.number(), new ArrayList<>()));
        int first = rows.stream().mapToInt(StepRow::number).min().orElse(Integer.MAX_VALUE);
        database.createQuery(before ? BEFORE : AFTER)
                .bind("first", first)
                .map((row, context) -> Map.entry(row.getInt("step"), change(row)))
                .forEach(entry -> {
                    List<Change> of = changes.get(entry.getKey());
                    if (of != null) {
                        of.add(entry.getValue());
                    }
                });
        return rows.stream()
                .map(row -> new FileStep(
                        Instant.parse(row.at()), FileStep.Cause.EDIT, row.label(), changes.get(row.number())))
                .toList();
    }

    public Instant now() {
        return clock.instant();
    }

    /** Makes all changes of a step together. */
    public synchronized void write(FileStep step) throws BadFileException {
        int number = lastStep + 1;
        try {
            database.useTransaction(transaction -> {
                transaction.execute(
                        "INSERT INTO step (number, at, cause, label) VALUES (?, ?, ?, ?)",
                        number,
                        step.at().toString(),
                        step.cause().word(),
                        step.label());
                PreparedBatch batch = transaction.prepareBatch("""
                                INSERT INTO revision (step, kind, owner, id, body)
                                VALUES (:step, :kind, :owner, :id, :body)""");
                for (Change change : step.changes()) {
                    batch.bind("step", number)
                            .bind("kind", change.kind())
                            .bind("owner", change.owner())
                            .bind("id", change.id())
                            .bind("body", change.body().orElse(null))
                            .add();
                }
                if (batch.size() > 0) {
                    batch.execute();
                }
            });
        } catch (JdbiException broken) {
            throw new BadFileException(file + ": the change could not be saved: " + reason(broken), broken);
        }
        lastStep = number;
    }

    @Override
    public synchronized void close() {
        database.close();
        closeQuietly(connection); // the handle leaves a connection it was given open
    }
}
