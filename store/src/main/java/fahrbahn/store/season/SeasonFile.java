package fahrbahn.store.season;

import fahrbahn.store.file.BadFileException;
import fahrbahn.store.file.Checksum;
import fahrbahn.store.file.Privacy;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.BasicFileAttributes;
import java.time.Clock;
import java.time.DateTimeException;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.jdbi.v3.core.Handle;
import org.jdbi.v3.core.JdbiException;
import org.jdbi.v3.core.statement.PreparedBatch;

/**
 * One season in one file. Each call that changes something returns when it is on disk, whole or not at all. One program at a
 * time has the file. Thread-safe: calls wait for each other.
 */
public final class SeasonFile implements AutoCloseable {
    /** No season was changed after it. */
    private static final Instant LAST_YEAR = Instant.parse("2200-01-01T00:00:00Z");

    private final Path file;
    private final Clock computer;
    private final SteadyClock clock;
    private final SeasonDatabase database;
    private final Object key;
    private int lastStep;

    private SeasonFile(Path file, Clock clock, SeasonDatabase database) {
        this.file = file;
        this.computer = clock;
        this.database = database;
        this.key = key(file);
        this.lastStep = database.handle()
                .createQuery("SELECT COALESCE(MAX(number), 0) FROM step")
                .mapTo(Integer.class)
                .one();
        this.clock = new SteadyClock(clock, lastTime());
    }

    /** A time that cannot be read, or lies beyond all years, is no reason to think the computer's wrong. */
    private Instant lastTime() {
        try {
            return lastChange().filter(at -> at.isBefore(LAST_YEAR)).orElse(Instant.EPOCH);
        } catch (DateTimeException unreadable) {
            return Instant.EPOCH;
        }
    }

    /** Tells one file from another that has taken its name; null when there is none. */
    private static Object key(Path file) {
        try {
            BasicFileAttributes attributes = Files.readAttributes(file, BasicFileAttributes.class);
            return attributes.fileKey() == null ? attributes.creationTime() : attributes.fileKey();
        } catch (IOException gone) {
            return null;
        }
    }

    /**
     * Opens a season; for reading only where it cannot be written.
     *
     * @throws BadFileException when it is not a season file, is in use, damaged ({@link DamagedSeasonException}) or cannot be read
     */
    public static SeasonFile open(Path file, Clock clock) throws BadFileException {
        SeasonHeader.check(file);
        Path folder = file.toAbsolutePath().getParent();
        return open(file, clock, !Files.isWritable(file) || !Files.isWritable(folder));
    }

    public static SeasonFile open(Path file, Clock clock, boolean readOnly) throws BadFileException {
        SeasonDatabase database = SeasonDatabase.open(file, readOnly);
        try {
            if (database.version() < SeasonSchema.VERSION) {
                throw new BadFileException(
                        file + ": nothing was ever saved in it, and it cannot be written here. Choose another file");
            }
            if (!readOnly) {
                Privacy.ownerOnly(file);
            }
            return new SeasonFile(file, clock, database);
        } catch (IOException | RuntimeException broken) {
            database.close();
            throw SeasonDatabase.failure(file, broken);
        } catch (BadFileException refused) {
            database.close();
            throw refused;
        }
    }

    public Path file() {
        return file;
    }

    public boolean readOnly() {
        return database.readOnly();
    }

    /** Every document as it is now. @param damaged in words: states that were passed over, for their sum was wrong */
    public record Contents(List<Change> documents, List<String> damaged) {}

    /** Every document as it is now, in the order they were first made; where its newest state is damaged, the one before. */
    public synchronized Contents contents() throws BadFileException {
        try {
            return new ContentsReader(database.handle()).read();
        } catch (JdbiException broken) {
            throw SeasonDatabase.failure(file, broken);
        }
    }

    /** Every state a document has been in, with when it came to be, oldest first: what was known when. Damaged ones are left out. */
    public synchronized List<Map.Entry<Instant, Change>> history(String kind, String owner, String id) {
        return database
                .handle()
                .createQuery("""
                        SELECT s.at, r.step, r.kind, r.owner, r.id, r.body, r.sum FROM revision AS r
                        JOIN step AS s ON s.number = r.step
                        WHERE r.kind = :kind AND r.owner = :owner AND r.id = :id ORDER BY r.number""")
                .bind("kind", kind)
                .bind("owner", owner)
                .bind("id", id)
                .map((row, context) -> {
                    String at = row.getString("at");
                    return RevisionRow.sound(row).map(r -> Map.entry(Instant.parse(at), r.change()));
                })
                .stream()
                .flatMap(Optional::stream)
                .toList();
    }

    /** What a document is now; empty when there is none, or it is damaged. */
    public synchronized Optional<String> body(String kind, String owner, String id) {
        return database.handle()
                .createQuery("""
                        SELECT step, kind, owner, id, body, sum FROM revision
                        WHERE kind = :kind AND owner = :owner AND id = :id ORDER BY number DESC LIMIT 1""")
                .bind("kind", kind)
                .bind("owner", owner)
                .bind("id", id)
                .map((row, context) -> RevisionRow.sound(row).map(RevisionRow::body))
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
    public synchronized Steps steps(int most) throws BadFileException {
        try {
            return new StepReader(database.handle()).newest(most);
        } catch (JdbiException broken) {
            throw SeasonDatabase.failure(file, broken);
        } catch (IllegalArgumentException | DateTimeException unknown) {
            throw new DamagedSeasonException(file, "a step cannot be read: " + unknown.getMessage(), unknown);
        }
    }

    /** How many steps it holds, by the engine's own count. */
    synchronized long allSteps() {
        return database.handle()
                .createQuery("SELECT COUNT(*) FROM step")
                .mapTo(Long.class)
                .one();
    }

    /** How many changes it holds, by the engine's own count. */
    synchronized long changes() {
        return database.handle()
                .createQuery("SELECT COUNT(*) FROM revision")
                .mapTo(Long.class)
                .one();
    }

    /** The season's own time. */
    Clock clock() {
        return clock;
    }

    /** How far the season's time is ahead of the computer's; zero unless the computer's clock was set back. */
    public Duration aheadOfTheComputer() {
        return clock.ahead();
    }

    /** A copy of this file, opened to go on in. */
    SeasonFile reopenedAt(Path copy) throws BadFileException {
        return open(copy, computer);
    }

    /** Number of the latest step: the same file with the same number holds the same. */
    public synchronized int lastStep() {
        return lastStep;
    }

    /** When something was last changed; empty in a season nobody has changed. */
    public synchronized Optional<Instant> lastChange() {
        return database.handle()
                .createQuery("SELECT at FROM step ORDER BY number DESC LIMIT 1")
                .mapTo(String.class)
                .findFirst()
                .map(Instant::parse);
    }

    /** @throws BadFileException when the file is not where it was any more: whatever is written now would be lost with it */
    public synchronized void ensureThere() throws BadFileException {
        Object now = key(file);
        if (!Objects.equals(now, key)) {
            throw new BadFileException(
                    file + ": the season file was " + (now == null ? "removed" : "replaced by another")
                            + " while it was open here. Save the season under another name now, or what you change is lost");
        }
    }

    /** Makes all changes of a step together. */
    public void write(FileStep step) throws BadFileException {
        write(List.of(step));
    }

    /** Makes several steps at once: all of them or none. */
    synchronized void write(List<FileStep> steps) throws BadFileException {
        if (database.readOnly()) {
            throw new BadFileException(
                    file + ": this season can only be read here. Save a copy elsewhere to work on it");
        }
        ensureThere();
        try {
            database.handle().useTransaction(transaction -> {
                int number = lastStep;
                for (FileStep step : steps) {
                    number++;
                    insert(transaction, number, step);
                }
            });
        } catch (JdbiException broken) {
            BadFileException why = SeasonDatabase.failure(file, broken);
            throw new BadFileException("The change could not be saved: " + why.getMessage(), why);
        }
        lastStep += steps.size();
    }

    private static void insert(Handle transaction, int number, FileStep step) {
        String at = step.at().toString();
        transaction.execute(
                "INSERT INTO step (number, at, cause, label, sum) VALUES (?, ?, ?, ?, ?)",
                number,
                at,
                step.cause().word(),
                step.label(),
                Checksum.ofStep(number, at, step.cause().word(), step.label()));
        PreparedBatch batch = transaction.prepareBatch("""
                        INSERT INTO revision (step, kind, owner, id, body, sum)
                        VALUES (:step, :kind, :owner, :id, :body, :sum)""");
        for (Change change : step.changes()) {
            String body = change.body().orElse(null);
            batch.bind("step", number)
                    .bind("kind", change.kind())
                    .bind("owner", change.owner())
                    .bind("id", change.id())
                    .bind("body", body)
                    .bind("sum", Checksum.ofRevision(number, change.kind(), change.owner(), change.id(), body))
                    .add();
        }
        if (batch.size() > 0) {
            batch.execute();
        }
    }

    /** Copies the season as it is on the disk now, whole or not at all. */
    public synchronized void copyTo(Path target) throws BadFileException {
        database.copyTo(target);
    }

    /** For tests: a disk with room for no more than so many pages. */
    synchronized void limitPages(int most) {
        database.handle().execute("PRAGMA max_page_count = " + most);
    }

    @Override
    public synchronized void close() {
        database.close();
    }
}
