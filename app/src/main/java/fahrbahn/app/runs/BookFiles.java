package fahrbahn.app.runs;

import fahrbahn.app.errand.Errand;
import fahrbahn.app.errand.Errands;
import fahrbahn.app.runs.report.SeasonReport;
import fahrbahn.app.season.Entry;
import fahrbahn.app.season.LogBook;
import fahrbahn.app.season.Season;
import fahrbahn.app.season.Sort;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.knowledge.Basis;
import fahrbahn.core.knowledge.TablePrint;
import fahrbahn.core.readings.Conditions;
import fahrbahn.core.setup.Law;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.trials.Photo;
import fahrbahn.core.trials.Run;
import fahrbahn.core.trials.Stretch;
import fahrbahn.store.exchange.RunNames;
import fahrbahn.store.exchange.RunsCsv;
import fahrbahn.store.exchange.RunsJson;
import fahrbahn.store.exchange.SeasonJson;
import fahrbahn.store.file.BadFileException;
import fahrbahn.store.json.Shared;
import fahrbahn.words.Words;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Consumer;

/** The log book as files: CSV for tables, JSON whole. */
public final class BookFiles {
    private final Season season;
    private final LogBook book;
    private final Errand<String> save;
    private final Errand<Found> open;
    private final Consumer<String> told;

    /** What a file held, to be added when all of it could be read. */
    private record Found(List<Run> runs, Map<String, Photo> photos) {}

    BookFiles(Season season, Errands errands) {
        this.season = season;
        this.book = season.logBook();
        this.save = errands.errand("Saving the log book");
        this.open = errands.errand("The runs of the file");
        this.told = errands.tell();
    }

    /** JSON when the name ends so, else CSV. */
    public void save(List<Run> runs, Path file) {
        RunNames names = names(runs);
        Map<String, Photo> photos = new HashMap<>();
        runs.forEach(run -> run.photo().ifPresent(id -> book.photo(id).ifPresent(photo -> photos.put(id, photo))));
        save.run(
                job -> {
                    if (json(file)) {
                        RunsJson.write(file, runs, names, id -> Optional.ofNullable(photos.get(id)));
                    } else {
                        RunsCsv.write(file, runs, names);
                    }
                    return Words.count(runs.size(), "run", "runs") + " saved as " + file.getFileName() + ".";
                },
                told);
    }

    private static boolean json(Path file) {
        return file.getFileName().toString().toLowerCase(Locale.ROOT).endsWith(".json");
    }

    /** Looked up here: the writer has no business with the season. */
    private RunNames names(List<Run> runs) {
        Map<String, String> robots = new HashMap<>();
        season.club().entries(Sort.ROBOT).forEach(entry -> robots.put(entry.id(), entry.name()));
        Map<String, String> venues = new HashMap<>();
        runs.forEach(run -> venues.computeIfAbsent(
                run.basis().conditions().venue(), id -> season.club().venueName(id)));
        return new RunNames(id -> robots.getOrDefault(id, id), id -> venues.getOrDefault(id, id));
    }

    /** Adds the runs of a file that the season has not got, as one step; nothing when one of them cannot be. */
    public void open(Path file) {
        Map<String, String> robots = new HashMap<>();
        Map<String, Setup> setups = new HashMap<>();
        for (Entry entry : season.club().entries(Sort.ROBOT)) {
            robots.putIfAbsent(entry.name(), entry.id());
            season.club().setupOf(entry.id()).ifPresent(setup -> setups.put(entry.id(), setup));
        }
        Club club =
                new Club(robots, setups, season.selection().get().robot(), season.setupOrGuess(), season.basisNow());
        open.run(job -> json(file) ? whole(file, club) : table(file, club), found -> add(file, found));
    }

    private void add(Path file, Found found) {
        List<Run> news = found.runs().stream()
                .filter(run -> !book.has(run.robot(), run.id()))
                .toList();
        int known = found.runs().size() - news.size();
        if (!news.isEmpty()) {
            book.add(file.getFileName().toString(), news, found.photos());
        }
        told.accept(Words.count(news.size(), "run", "runs") + " added from " + file.getFileName()
                + (known == 0 ? "" : "; " + known + " were in the log book already") + ".");
    }

    /** A page or more about the robot in hand: what changed, what it brought, how sure. */
    public void report(Path file) {
        String robot = season.setupOrGuess().robot().name();
        String whose = season.club().whose(season.tableNow().name());
        List<Run> runs = List.copyOf(season.runs());
        save.run(
                job -> {
                    SeasonReport.write(robot, whose, Stretch.of(runs), season.club()::venueName, file);
                    return "Saved as " + file.getFileName() + ".";
                },
                told);
    }

    /** Every document of the season as one open file, and the runs of all robots as a table beside it. */
    public void whole(Path file) {
        Path copy = file.resolveSibling(file.getFileName() + ".part.fahrbahn");
        Path runs = file.resolveSibling(file.getFileName().toString().replaceFirst("\\.json$", "") + " runs.csv");
        List<Run> all = book.all();
        RunNames names = names(all);
        season.saveCopy(copy, why -> {
            if (why.isPresent()) {
                told.accept(why.get() + ".");
                return;
            }
            save.run(
                    job -> {
                        try {
                            SeasonJson.write(copy, file, Clock.systemUTC());
                            RunsCsv.write(runs, all, names);
                        } finally {
                            copy.toFile().delete();
                        }
                        return "Saved as " + file.getFileName() + ", its runs as " + runs.getFileName() + " too.";
                    },
                    told);
        });
    }

    /** What runs of a file are fitted to. @param robots identifiers by name @param hand identifier of the robot in hand */
    private record Club(Map<String, String> robots, Map<String, Setup> setups, String hand, Setup inHand, Basis now) {
        /** @throws BadValueException when the club has no such robot */
        String robot(String name) {
            if (name.isEmpty()) {
                return hand;
            }
            String id = robots.get(name);
            if (id == null) {
                throw new BadValueException(
                        "robot",
                        "'" + name + "'",
                        "one of the club's, " + String.join(", ", robots.keySet()) + ": add it on the club's list (0)");
            }
            return id;
        }

        Setup setup(String id) {
            return setups.getOrDefault(id, inHand);
        }
    }

    private static Found whole(Path file, Club club) throws BadFileException {
        RunsJson.Book book = RunsJson.read(file);
        List<Run> runs = new ArrayList<>();
        for (Run run : book.runs()) {
            String id = club.setups().containsKey(run.robot())
                    ? run.robot()
                    : club.robot(book.robots().getOrDefault(run.robot(), ""));
            runs.add(run.ofRobot(id));
        }
        return new Found(runs, book.photos());
    }

    private static Found table(Path file, Club club) throws BadFileException {
        List<Run> runs = new ArrayList<>();
        int number = 1;
        for (RunsCsv.Line line : RunsCsv.read(file)) {
            number++;
            try {
                runs.add(run(line, club));
            } catch (BadValueException refused) {
                throw new BadFileException(
                        file + ": " + refused.inside("line " + number).getMessage(), refused);
            }
        }
        return new Found(runs, Map.of());
    }

    /** A table tells gains and speed of a setting: the rest of it is the robot as it is now. */
    private static Run run(RunsCsv.Line line, Club club) {
        String robot = club.robot(line.where().robot());
        Setup setup = club.setup(robot);
        Law law = setup.law();
        Map<String, Double> gains = line.gains();
        Law its = law.withGains(
                        gains.getOrDefault("kp", law.kp()),
                        gains.getOrDefault("ki", law.ki()),
                        gains.getOrDefault("kd", law.kd()))
                .withBaseCommand(gains.getOrDefault("baseCommand", law.baseCommand()));
        Conditions conditions = Conditions.UNKNOWN
                .withVenue(line.where().venue())
                .withBatteryV(line.batteryV())
                .withWheels(line.wheels());
        boolean here = line.where().table().isEmpty()
                || line.where().table().equals(club.now().table().name());
        Basis basis = Basis.of(line.at().orElse(club.now().at()), conditions)
                .withSetting(Shared.setting(setup.withLaw(its)))
                .withTable(
                        here
                                ? club.now().table()
                                : new TablePrint("", line.where().table(), ""));
        String id = line.id().isEmpty() ? UUID.randomUUID().toString() : line.id();
        Run run = new Run(id, line.source(), robot, basis, line.outcome(), line.note());
        return line.partOf().map(run::withPartOf).orElse(run);
    }
}
