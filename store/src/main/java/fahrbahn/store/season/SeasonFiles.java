package fahrbahn.store.season;

import fahrbahn.store.file.BadFileException;
import fahrbahn.store.file.NewFile;
import java.io.IOException;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;

/** How season files come to be, and how one is looked at without being changed. */
public final class SeasonFiles {
    private SeasonFiles() {}

    /** Opens a season, or begins one when there is no such file, or an empty one. */
    public static SeasonFile openOrCreate(Path file, Clock clock) throws BadFileException {
        return SeasonHeader.absent(file) ? create(file, clock) : SeasonFile.open(file, clock);
    }

    /**
     * Nothing is written to it: one whose latest change was cut short by a kill, is read from a copy in which that is put
     * right; the copy is gone afterwards.
     *
     * @throws BadFileException when it is no season, or open elsewhere
     */
    public static SeasonFile openToRead(Path file, Clock clock) throws BadFileException {
        SeasonHeader.check(file);
        SeasonDatabase database;
        try {
            database = SeasonDatabase.open(file, true);
        } catch (BadFileException refused) {
            // The engine takes back what was cut short, and would have to write for it.
            if (SeasonDatabase.wouldWrite(refused) && Files.exists(journal(file))) {
                return SeasonFile.open(copied(file), clock, false);
            }
            throw refused;
        }
        boolean current = database.version() == SeasonSchema.VERSION;
        database.close();
        return current ? SeasonFile.open(file, clock, true) : SeasonFile.open(copied(file), clock, false);
    }

    private static Path journal(Path file) {
        return file.resolveSibling(file.getFileName() + "-journal");
    }

    private static Path copied(Path file) throws BadFileException {
        try {
            Path folder = Files.createTempDirectory("season");
            Path copy = folder.resolve("copy.fahrbahn");
            folder.toFile().deleteOnExit();
            copy.toFile().deleteOnExit();
            Files.copy(file, copy);
            if (Files.exists(journal(file))) {
                Files.copy(journal(file), journal(copy));
                journal(copy).toFile().deleteOnExit();
            }
            return copy;
        } catch (IOException cannot) {
            throw new BadFileException(file + ": there is no room to read it (" + cannot.getMessage() + ")", cannot);
        }
    }

    /**
     * Begins a season. It is made beside its place and put there when it is whole, so that nothing half is ever found under its name.
     *
     * @throws BadFileException when there is such a file already, or it cannot be written
     */
    public static SeasonFile create(Path file, Clock clock) throws BadFileException {
        createWith(file, List.of(), clock);
        return SeasonFile.open(file, clock);
    }

    /**
     * The same with steps that are in it from the start: it is there with all of them, or not at all.
     *
     * @throws BadFileException when there is such a file already, or it cannot be written
     */
    public static void createWith(Path file, List<FileStep> steps, Clock clock) throws BadFileException {
        createWhole(file, clock, season -> {
            if (!steps.isEmpty()) {
                season.write(steps);
            }
        });
    }

    /** What is in a season from the start. */
    @FunctionalInterface
    public interface Filling {
        void fill(SeasonFile season) throws BadFileException;
    }

    /**
     * The same: made beside its place, so that whoever is killed meanwhile leaves no season that is half of one.
     *
     * @throws BadFileException when there is such a file already, or it cannot be written
     */
    public static void createWhole(Path file, Clock clock, Filling filling) throws BadFileException {
        BadFileException there =
                new BadFileException(file + ": there is such a file already. Open it, or choose another name");
        if (!SeasonHeader.absent(file)) {
            throw there;
        }
        try (NewFile begun = NewFile.beside(file)) {
            SeasonDatabase.open(begun.part(), false).close();
            try (SeasonFile season = SeasonFile.open(begun.part(), clock)) {
                filling.fill(season);
            }
            begun.finish();
        } catch (FileAlreadyExistsException other) {
            throw there;
        } catch (IOException cannot) {
            throw new BadFileException(
                    file + ": cannot be written here (" + cannot.getMessage()
                            + "). Check the folder, or choose another",
                    cannot);
        }
    }
}
