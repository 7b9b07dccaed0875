package fahrbahn.app.start;

import fahrbahn.app.demo.DemoSeason;
import fahrbahn.app.season.OpenSeason;
import fahrbahn.store.exchange.SeasonJson;
import fahrbahn.store.file.BadFileException;
import fahrbahn.store.season.Backups;
import fahrbahn.store.season.DamagedSeasonException;
import fahrbahn.store.season.Salvage;
import fahrbahn.store.season.SeasonFile;
import fahrbahn.store.season.SeasonFiles;
import fahrbahn.words.CauseWords;
import fahrbahn.words.Words;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.concurrent.Executor;
import java.util.logging.Level;
import java.util.logging.Logger;

/** Opens seasons, in every way one can come to be open. May take a moment: not on the interface thread. */
public final class Opener {
    private static final Logger LOG = Logger.getLogger(Opener.class.getName());
    private static final int MOST_SAID = 3;

    /** Less is nothing that a coach would notice. */
    private static final Duration TOLD_AHEAD = Duration.ofHours(1);

    private final Home home;
    private final Backups backups;
    private final Clock clock;
    private final Executor writer;
    private final Executor interfaceThread;

    private static final String JSON = ".json";

    /** How a season came to be open. */
    public enum Manner {
        WORK,
        BEGUN,
        DEMO
    }

    /** What came of opening. */
    public sealed interface Result {}

    /** @param told what the coach ought to know of it; may be empty */
    public record Opened(OpenSeason season, Manner manner, String told) implements Result {}

    /** It cannot be opened, but something of it can be salvaged or brought back. */
    public record Damaged(Path file, String why) implements Result {}

    /** @param writer runs one task after the other, for the season file */
    public Opener(Home home, Backups backups, Clock clock, Executor writer, Executor interfaceThread) {
        this.home = home;
        this.backups = backups;
        this.clock = clock;
        this.writer = writer;
        this.interfaceThread = interfaceThread;
    }

    private interface Source {
        SeasonFile open() throws BadFileException;
    }

    /** A season, or one that was saved as an open file: of that a new season is made beside it. */
    public Result open(Path file) throws BadFileException {
        String name = file.getFileName().toString();
        if (name.endsWith(JSON)) {
            String plain = name.substring(0, name.length() - JSON.length());
            Path season = file.resolveSibling(plain + ".fahrbahn");
            SeasonJson.into(file, season, clock);
            return open(() -> SeasonFile.open(season, clock), Manner.WORK, "Restored from " + name + ".");
        }
        return open(() -> SeasonFile.open(file, clock), Manner.WORK, "");
    }

    public Result begin(String name) throws BadFileException {
        return open(() -> SeasonFiles.create(home.named(name), clock), Manner.BEGUN, "");
    }

    /** @param fresh as on its first day; refused while it is open elsewhere */
    public Result demo(boolean fresh) throws BadFileException {
        return open(
                () -> fresh ? DemoSeason.afresh(home.demo(), clock) : DemoSeason.open(home.demo(), clock),
                Manner.DEMO,
                "");
    }

    private Result open(Source source, Manner manner, String told) throws BadFileException {
        try {
            SeasonFile file = source.open();
            String all = (told + " " + backUp(file) + clockSetBack(file)
                            + (file.readOnly()
                                    ? file.file().getFileName() + " is read-only here. Save it elsewhere to work on it."
                                    : ""))
                    .strip();
            return new Opened(OpenSeason.read(file, writer, interfaceThread), manner, all);
        } catch (DamagedSeasonException damaged) {
            return new Damaged(damaged.file(), damaged.getMessage());
        }
    }

    private static String clockSetBack(SeasonFile file) {
        Duration ahead = file.aheadOfTheComputer();
        if (ahead.compareTo(TOLD_AHEAD) < 0) {
            return "";
        }
        return "This computer's clock is " + CauseWords.age(ahead)
                + " behind the season's last entry. Set the clock; until then times continue from that entry. ";
    }

    /** A copy that cannot be made keeps nobody from working, but is said. */
    private String backUp(SeasonFile file) {
        try {
            backups.make(file);
            return "";
        } catch (BadFileException cannot) {
            LOG.log(Level.WARNING, "the backup at opening", cannot);
            return "No backup could be made: " + cannot.getMessage() + ". ";
        }
    }

    /** Brings what can be read of a damaged season into a new one beside it, and opens that. */
    public Result salvage(Path damaged) throws BadFileException {
        Salvage salvage = Salvage.of(damaged);
        Path target = beside(damaged);
        salvage.into(target, clock);
        List<String> lost = salvage.lost();
        String told = "Salvaged " + Words.count(salvage.changes(), "change", "changes") + " into "
                + target.getFileName() + ". "
                + (lost.isEmpty()
                        ? "Nothing is missing."
                        : "Not read: " + String.join("; ", lost.subList(0, Math.min(MOST_SAID, lost.size())))
                                + (lost.size() > MOST_SAID ? "; and " + (lost.size() - MOST_SAID) + " more" : "") + ".")
                + " The damaged file is as it was.";
        return open(() -> SeasonFile.open(target, clock), Manner.WORK, told);
    }

    private Path beside(Path damaged) {
        String plain = damaged.getFileName().toString().replaceFirst("\\.fahrbahn$", "");
        Path folder = damaged.toAbsolutePath().getParent();
        Path place = Files.isWritable(folder) ? folder : home.folder();
        Path target = place.resolve(plain + " salvaged.fahrbahn");
        for (int number = 2; Files.exists(target); number++) {
            target = place.resolve(plain + " salvaged " + number + ".fahrbahn");
        }
        return target;
    }
}
