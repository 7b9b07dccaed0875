package fahrbahn.store.season;

import fahrbahn.store.file.BadFileException;
import fahrbahn.store.file.Export;
import fahrbahn.store.file.Patience;
import fahrbahn.store.file.Privacy;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import org.jdbi.v3.core.Handle;
import org.jdbi.v3.core.Jdbi;
import org.jdbi.v3.core.JdbiException;
import org.sqlite.ProgressHandler;
import org.sqlite.SQLiteConfig;
import org.sqlite.SQLiteConnection;
import org.sqlite.SQLiteErrorCode;
import org.sqlite.SQLiteException;

/** The database inside a season file: opened, locked, brought up to this version, looked over. */
final class SeasonDatabase implements AutoCloseable {
    private final Path file;
    private final Connection connection;
    private final Handle handle;
    private final boolean readOnly;

    private SeasonDatabase(Path file, Connection connection, boolean readOnly) {
        this.file = file;
        this.connection = connection;
        this.handle = Jdbi.create(connection).open();
        this.readOnly = readOnly;
    }

    /**
     * @param readOnly nothing is written, and no lock taken
     * @throws BadFileException when it is in use, damaged, or cannot be read
     */
    static SeasonDatabase open(Path file, boolean readOnly) throws BadFileException {
        SQLiteConfig config = new SQLiteConfig();
        config.setReadOnly(readOnly);
        config.setLockingMode(readOnly ? SQLiteConfig.LockingMode.NORMAL : SQLiteConfig.LockingMode.EXCLUSIVE);
        config.setSynchronous(SQLiteConfig.SynchronousMode.FULL);
        config.setBusyTimeout(0);
        SeasonDatabase database = null;
        try {
            database = new SeasonDatabase(file, config.createConnection("jdbc:sqlite:" + uri(file)), readOnly);
            ProgressHandler.setHandler(database.connection, Patience.STEPS, Patience.with(file));
            database.prepare();
            ProgressHandler.clearHandler(database.connection);
            return database;
        } catch (SQLException | RuntimeException | BadFileException broken) {
            if (database != null) {
                database.close();
            }
            throw broken instanceof BadFileException said ? said : failure(file, broken);
        }
    }

    /** As an address, for in a file's name a ? would begin options and a % a code. */
    private static String uri(Path file) {
        return "file:" + file.toUri().getRawPath().replace(";", "%3B");
    }

    /** What a failure means for the coach. */
    static BadFileException failure(Path file, Throwable broken) {
        for (Throwable cause = broken; cause != null; cause = cause.getCause()) {
            if (cause instanceof SQLiteException sqlite) {
                return failure(file, sqlite);
            }
        }
        return new DamagedSeasonException(file, broken.getMessage(), broken);
    }

    private static BadFileException failure(Path file, SQLiteException sqlite) {
        // Extended codes have the plain one in their last eight bits.
        int plain = sqlite.getResultCode().code & 0xff;
        if (plain == SQLiteErrorCode.SQLITE_BUSY.code || plain == SQLiteErrorCode.SQLITE_LOCKED.code) {
            return new BadFileException(
                    file + ": the season is open in another window of Fahrbahn. Close that one first", sqlite);
        }
        if (plain == SQLiteErrorCode.SQLITE_INTERRUPT.code) {
            return new DamagedSeasonException(file, "reading it comes to no end", sqlite);
        }
        if (plain == SQLiteErrorCode.SQLITE_FULL.code) {
            return new BadFileException(file + ": the disk is full. Make room, or save the season elsewhere", sqlite);
        }
        if (plain == SQLiteErrorCode.SQLITE_READONLY.code
                || plain == SQLiteErrorCode.SQLITE_CANTOPEN.code
                || plain == SQLiteErrorCode.SQLITE_PERM.code
                || plain == SQLiteErrorCode.SQLITE_AUTH.code) {
            return new BadFileException(
                    file
                            + ": cannot be written here. Check the rights of file and folder, or save the season elsewhere",
                    sqlite);
        }
        if (plain == SQLiteErrorCode.SQLITE_IOERR.code) {
            return new BadFileException(
                    file + ": the disk does not answer ("
                            + sqlite.getResultCode().name() + "). Save the season elsewhere",
                    sqlite);
        }
        return new DamagedSeasonException(file, sqlite.getResultCode().name(), sqlite);
    }

    /** Whether it was refused because it was opened to be read and the engine would have had to write. */
    static boolean wouldWrite(BadFileException refused) {
        for (Throwable cause = refused; cause != null; cause = cause.getCause()) {
            if (cause instanceof SQLiteException sqlite) {
                int plain = sqlite.getResultCode().code & 0xff;
                return plain == SQLiteErrorCode.SQLITE_READONLY.code || plain == SQLiteErrorCode.SQLITE_CANTOPEN.code;
            }
        }
        return false;
    }

    /**
     * Views and triggers are programs, and one under the name of a table may never come to an end: none is run before it is known that there are tables and
     * their indexes alone.
     */
    private void checkShape() throws BadFileException {
        List<String> foreign = new ArrayList<>(
                texts("SELECT type || ' ' || name FROM sqlite_master WHERE type NOT IN ('table', 'index')"
                        + " OR type = 'table' AND (name NOT LIKE 'sqlite_%' AND name NOT IN ('revision', 'step')"
                        + " OR rootpage = 0)"));
        // An index may be of an expression, or of rows that one picks: programs again.
        foreign.addAll(texts("SELECT 'index ' || m.name FROM sqlite_master AS m WHERE m.type = 'index' AND ("
                + "m.sql NOT NULL AND m.name NOT IN ('revision_of_document', 'revision_of_step')"
                + " OR EXISTS (SELECT 1 FROM pragma_index_xinfo(m.name) AS x WHERE x.cid = -2)"
                + " OR EXISTS (SELECT 1 FROM pragma_index_list(m.tbl_name) AS l"
                + " WHERE l.name = m.name AND l.partial = 1))"));
        if (!foreign.isEmpty()) {
            throw new DamagedSeasonException(file, "it holds a " + foreign.get(0) + ", which no season has", null);
        }
        checkColumns("revision", List.of("number", "step", "kind", "owner", "id", "body", "sum"));
        checkColumns("step", List.of("number", "at", "cause", "label", "sum"));
    }

    private List<String> texts(String query) {
        return handle.createQuery(query).mapTo(String.class).list();
    }

    private void checkColumns(String table, List<String> columns) throws BadFileException {
        if (!texts("SELECT name FROM pragma_table_xinfo('" + table + "')").equals(columns)) {
            throw new DamagedSeasonException(file, "its table of " + table + "s is none of a season", null);
        }
    }

    private void prepare() throws BadFileException {
        boolean begun = version() > 0;
        if (begun) {
            checkShape();
        }
        if (readOnly) {
            check();
            return;
        }
        // The write lock is taken now and kept, so that a second window is told at once and not at its first change.
        handle.execute("BEGIN EXCLUSIVE");
        if (begun) {
            check();
        } else {
            SeasonSchema.CREATE.forEach(handle::execute);
            handle.execute("PRAGMA application_id = " + SeasonHeader.APPLICATION_ID);
            handle.execute("PRAGMA user_version = " + SeasonSchema.VERSION);
        }
        handle.execute("COMMIT");
    }

    int version() {
        return handle.createQuery("PRAGMA user_version").mapTo(Integer.class).one();
    }

    /** Looks whether the tables hang together; what stands in their rows is told by the sums. */
    private void check() throws BadFileException {
        if (!problems().isEmpty() && !readOnly) {
            handle.execute("REINDEX"); // an index says nothing that the rows do not
        }
        List<String> problems = problems();
        if (!problems.isEmpty()) {
            throw new DamagedSeasonException(file, problems.get(0), null);
        }
    }

    private List<String> problems() {
        return handle.createQuery("PRAGMA integrity_check(1)").mapTo(String.class).stream()
                .filter(line -> !line.equals("ok"))
                .toList();
    }

    Handle handle() {
        return handle;
    }

    boolean readOnly() {
        return readOnly;
    }

    /** Copies everything, by the engine's own online backup, whole or not at all. */
    void copyTo(Path target) throws BadFileException {
        Path place = Export.place(target);
        Path part = null;
        try {
            part = Export.beside(place);
            Privacy.ownerOnly(part);
            int code = connection
                    .unwrap(SQLiteConnection.class)
                    .getDatabase()
                    .backup("main", part.toAbsolutePath().toString(), null);
            if (code != SQLiteErrorCode.SQLITE_OK.code) {
                throw new BadFileException(
                        target + ": the copy could not be made (" + SQLiteErrorCode.getErrorCode(code) + ")");
            }
            Export.replace(part, place);
        } catch (SQLException | java.io.IOException cannot) {
            throw new BadFileException(target + ": the copy could not be made (" + cannot.getMessage() + ")", cannot);
        } finally {
            Export.forget(part);
        }
    }

    @Override
    public void close() {
        try {
            handle.close();
            connection.close(); // the handle leaves a connection it was given open
        } catch (SQLException | JdbiException alreadyBroken) {
            // Whoever closes has no more use for it, and what was committed is on the disk.
        }
    }
}
