package fahrbahn.store.season;

import fahrbahn.store.document.Kind;
import fahrbahn.store.document.Kinds;
import fahrbahn.store.file.BadFileException;
import fahrbahn.store.file.Export;
import fahrbahn.store.file.NewFile;
import fahrbahn.store.file.Privacy;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.logging.Level;
import java.util.logging.Logger;
import java.util.zip.CRC32;

/**
 * Dated copies of seasons, in a folder of their own: the last ten, and the newest of each day of a month, as long as they take no more
 * than a bound. A copy is made when something has changed since the one before.
 */
public final class Backups {
    private static final Logger LOG = Logger.getLogger(Backups.class.getName());
    private static final int LAST = 10;
    private static final Duration DAILY_FOR = Duration.ofDays(30);
    private static final String END = ".fahrbahn";
    private static final DateTimeFormatter NAME = DateTimeFormatter.ofPattern("uuuu-MM-dd'T'HH-mm-ss-SSS", Locale.ROOT)
            .withZone(ZoneOffset.UTC);

    private final Path folder;
    private final Clock clock;
    private final long mostBytes;

    /**
     * @param folder of all seasons' copies
     * @param mostBytes that the copies of one season may take; the newest is kept whatever it takes
     */
    public Backups(Path folder, Clock clock, long mostBytes) {
        this.folder = folder;
        this.clock = clock;
        this.mostBytes = mostBytes;
    }

    /**
     * One copy.
     *
     * @param step number of the latest step in it
     */
    public record Backup(Path file, Instant at, int step, long bytes) {}

    /** What is in a copy. */
    public record Look(int robots, int tables, int captures, int runs, Optional<Instant> lastChange) {}

    /** Seasons of one name in different folders have copies of their own. */
    private Path folder(Path season) {
        String whole = season.toAbsolutePath().normalize().toString();
        CRC32 sum = new CRC32();
        sum.update(whole.getBytes(StandardCharsets.UTF_8));
        String plain = season.getFileName().toString().replaceFirst("\\.fahrbahn$", "");
        return folder.resolve(String.format(Locale.ROOT, "%s-%08x", plain, sum.getValue()));
    }

    /** The copies of a season, the newest first. */
    public List<Backup> of(Path season) {
        List<Backup> all = new ArrayList<>();
        Path place = folder(season);
        if (Files.isDirectory(place)) {
            try (DirectoryStream<Path> files = Files.newDirectoryStream(place, "*" + END)) {
                for (Path file : files) {
                    backup(file).ifPresent(all::add);
                }
            } catch (IOException unreadable) {
                LOG.log(Level.WARNING, "the copies of " + season, unreadable);
            }
        }
        // One from the future was made before the clock was set back.
        Instant now = clock.instant();
        all.sort(Comparator.comparing((Backup b) -> b.at().isAfter(now))
                .thenComparing(Backup::at, Comparator.reverseOrder()));
        return List.copyOf(all);
    }

    private static Optional<Backup> backup(Path file) throws IOException {
        String name = file.getFileName().toString();
        int step = name.lastIndexOf("-s");
        try {
            Instant at = Instant.from(NAME.parse(name.substring(0, Math.max(0, step))));
            int number = Integer.parseInt(name.substring(step + 2, name.length() - END.length()));
            return Optional.of(new Backup(file, at, number, Files.size(file)));
        } catch (DateTimeParseException | NumberFormatException another) {
            return Optional.empty();
        }
    }

    /** Copies a season when it has changed since its newest copy, and takes away what is beyond the bounds. */
    public Optional<Backup> make(SeasonFile season) throws BadFileException {
        List<Backup> before = of(season.file());
        int step = season.lastStep();
        if (step == 0 || !before.isEmpty() && before.get(0).step() == step) {
            return Optional.empty();
        }
        Path place = folder(season.file());
        try {
            Privacy.folder(folder);
            Privacy.folder(place);
        } catch (IOException cannot) {
            throw new BadFileException(
                    place + ": the copy of the season could not be made (" + cannot.getMessage() + ")", cannot);
        }
        Export.forgetParts(place);
        Instant now = clock.instant();
        Path file = place.resolve(NAME.format(now) + "-s" + step + END);
        season.copyTo(file);
        prune(season.file());
        return of(season.file()).stream().filter(b -> b.file().equals(file)).findFirst();
    }

    private void prune(Path season) {
        List<Backup> all = of(season);
        Set<LocalDate> days = new HashSet<>();
        long bytes = 0;
        for (int i = 0; i < all.size(); i++) {
            Backup each = all.get(i);
            boolean young = each.at().isAfter(clock.instant().minus(DAILY_FOR));
            boolean newestOfDay = days.add(LocalDate.ofInstant(each.at(), ZoneOffset.UTC));
            bytes += each.bytes();
            boolean kept = i == 0 || (i < LAST || young && newestOfDay) && bytes <= mostBytes;
            if (!kept) {
                bytes -= each.bytes();
                Export.forget(each.file());
            }
        }
    }

    /** Looks into a copy. @throws BadFileException when it cannot be read */
    public Look look(Backup backup) throws BadFileException {
        try (SeasonFile season = SeasonFile.open(backup.file(), clock, true)) {
            List<Change> all = season.contents().documents();
            return new Look(
                    count(all, Kinds.SETUP),
                    count(all, Kinds.COURSE) + count(all, Kinds.MAT),
                    count(all, Kinds.CAPTURE),
                    count(all, Kinds.RUN),
                    season.lastChange());
        }
    }

    private static int count(List<Change> all, Kind<?> kind) {
        return (int) all.stream().filter(c -> c.kind().equals(kind.name())).count();
    }

    /**
     * Puts a copy in the place of a season. What was there is copied first, damaged or not, so that this can be taken back too.
     *
     * @throws BadFileException when the season is open, or the copy cannot be read or put there
     */
    public void bringBack(Backup backup, Path season) throws BadFileException {
        look(backup);
        if (!SeasonHeader.absent(season)) {
            keep(season);
        }
        try (NewFile copy = NewFile.beside(season)) {
            Files.write(copy.part(), Files.readAllBytes(backup.file()));
            Export.replace(copy.part(), season);
        } catch (IOException cannot) {
            throw new BadFileException(
                    season + ": the copy could not be put here (" + cannot.getMessage() + "). Nothing was changed",
                    cannot);
        }
    }

    private void keep(Path season) throws BadFileException {
        try (SeasonFile now = SeasonFile.open(season, clock)) {
            make(now);
        } catch (DamagedSeasonException damaged) {
            Path aside = folder(season).resolve(NAME.format(clock.instant()) + "-damaged");
            try {
                Privacy.folder(folder(season));
                Files.copy(season, aside);
                Privacy.ownerOnly(aside);
            } catch (IOException cannot) {
                throw new BadFileException(
                        season + ": what is there could not be kept (" + cannot.getMessage() + "). Nothing was changed",
                        cannot);
            }
        }
    }
}
