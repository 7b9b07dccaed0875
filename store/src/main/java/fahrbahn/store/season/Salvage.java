package fahrbahn.store.season;

import fahrbahn.core.knowledge.Setting;
import fahrbahn.store.document.Kinds;
import fahrbahn.store.file.BadFileException;
import fahrbahn.store.file.Checksum;
import fahrbahn.store.file.PageScan;
import fahrbahn.store.json.SetupJson;
import fahrbahn.store.json.Shared;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.DateTimeException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * What can be read of a damaged season, row by row from its pages. A row counts when the sum beside it is right, so that nothing is
 * brought over that was never written.
 */
public final class Salvage {
    /** More than any season; read whole into memory. */
    private static final long MOST_BYTES = 1L << 30;

    /** The first changes of a season lie on its first pages. */
    private static final int PROBE_BYTES = 4 << 20;

    /** More than a club makes in its life. */
    private static final long MOST_CHANGES = 100_000_000;

    private final TreeMap<Long, RevisionRow> revisions = new TreeMap<>();
    private final TreeMap<Long, StepText> steps = new TreeMap<>();
    private final Map<Long, String> damaged = new TreeMap<>();

    private static final Set<String> SETUPS = Set.of(Kinds.SETUP.name(), Kinds.BEGUN.name());
    private static final Pattern POINTS_TO = Pattern.compile("\"setting\":\"([0-9a-f]+)\"");

    /** How many changes the file says it ever had; 0 where that cannot be read. */
    private long everHad;

    private long missingPages;
    private long pages;

    private record StepText(Instant at, String label) {}

    private Salvage() {}

    /** @throws BadFileException when the file cannot be read at all, or holds nothing of a season */
    public static Salvage of(Path file) throws BadFileException {
        Salvage salvage = new Salvage();
        try {
            if (!Files.isRegularFile(file)) {
                throw new BadFileException(file + ": there is no such file. Check the name and the folder");
            }
            if (Files.size(file) > MOST_BYTES) {
                throw new BadFileException(file + ": too large for a season, " + Files.size(file) + " bytes");
            }
            PageScan scan = new PageScan(Files.readAllBytes(file));
            scan.rows(salvage::row);
            salvage.missingPages = scan.missingPages();
            salvage.pages = scan.pages();
        } catch (IOException unreadable) {
            throw new BadFileException(file + ": cannot be read (" + unreadable.getMessage() + ")", unreadable);
        }
        if (salvage.revisions.isEmpty()) {
            throw new BadFileException(file + ": nothing of a season can be read in it");
        }
        return salvage;
    }

    /** Whether its first pages hold something of a season, whatever it begins with. */
    static boolean finds(Path file) {
        try (InputStream bytes = Files.newInputStream(file)) {
            Salvage salvage = new Salvage();
            new PageScan(bytes.readNBytes(PROBE_BYTES)).rows(salvage::row);
            return !salvage.revisions.isEmpty();
        } catch (IOException unreadable) {
            return false; // whoever opens it is told
        }
    }

    private void row(long number, List<Object> values) {
        if (values.size() == 2 && "revision".equals(values.get(0)) && values.get(1) instanceof Long last) {
            everHad = Math.max(everHad, last); // sqlite_sequence: the number of the latest row
            return;
        }
        if (values.size() == 7 && values.get(1) instanceof Long step && values.get(6) instanceof Long sum) {
            if (texts(values, 2, 5) && (values.get(5) == null || values.get(5) instanceof String)) {
                RevisionRow row = new RevisionRow(
                        step.intValue(),
                        (String) values.get(2),
                        (String) values.get(3),
                        (String) values.get(4),
                        (String) values.get(5));
                if (row.sum() == sum) {
                    revisions.put(number, row);
                } else {
                    damaged.put(number, row.kind() + " " + row.id());
                }
            }
        } else if (values.size() == 5 && texts(values, 1, 4) && values.get(4) instanceof Long sum) {
            String at = (String) values.get(1);
            String label = (String) values.get(3);
            if (FileStep.Cause.known((String) values.get(2))
                    && Checksum.ofStep((int) number, at, (String) values.get(2), label) == sum) {
                try {
                    steps.put(number, new StepText(Instant.parse(at), label));
                } catch (DateTimeException noTime) {
                    // Its changes are kept without it.
                }
            }
        }
    }

    private static boolean texts(List<Object> values, int from, int to) {
        return values.subList(from, to).stream().allMatch(String.class::isInstance);
    }

    /** How many documents there are of each kind. */
    public Map<String, Integer> documents() {
        Map<List<String>, RevisionRow> newest = new LinkedHashMap<>();
        revisions.values().forEach(r -> newest.put(List.of(r.kind(), r.owner(), r.id()), r));
        Map<String, Integer> counts = new TreeMap<>();
        newest.values().stream().filter(r -> r.body() != null).forEach(r -> counts.merge(r.kind(), 1, Integer::sum));
        return counts;
    }

    /** How many changes could be read. */
    public int changes() {
        return revisions.size();
    }

    /** How many steps could be read, with their times and labels. */
    int readSteps() {
        return steps.size();
    }

    /** Rows that are there and are not as they were written, in words. */
    List<String> damagedRows() {
        return damaged.entrySet().stream()
                .filter(row -> !revisions.containsKey(row.getKey()))
                .map(row -> "a change of " + row.getValue() + " (damaged)")
                .toList();
    }

    /** In words: what could not be read. It is never less than is missing; where that cannot be told, it says so. */
    public List<String> lost() {
        List<String> lost = new ArrayList<>(damagedRows());
        if (missingPages > 0) {
            lost.add("the file is cut off: " + missingPages + " of its " + pages + " pages are missing");
        }
        long last = Math.max(everHad, revisions.lastKey());
        long gone = last - revisions.size() - lost.size() + (missingPages > 0 ? 1 : 0);
        if (gone > MOST_CHANGES) {
            lost.add("changes of which nothing can be read; how many cannot be told");
        } else if (gone > 0) {
            lost.add(gone + (gone == 1 ? " change of which nothing" : " changes of which nothing") + " can be read");
        }
        if (everHad == 0) {
            lost.add("how many changes there were cannot be read: there may have been later ones");
        }
        return lost;
    }

    /**
     * Brings what can be read into a new season, with its history; steps of undo begin anew.
     *
     * @throws BadFileException when there is such a file already, or it cannot be written
     */
    public void into(Path target, Clock clock) throws BadFileException {
        Map<Integer, List<Change>> byStep = new LinkedHashMap<>();
        revisions
                .values()
                .forEach(r ->
                        byStep.computeIfAbsent(r.step(), s -> new ArrayList<>()).add(r.change()));
        List<FileStep> all = new ArrayList<>();
        List<Change> again = settingsAgain();
        if (!again.isEmpty()) {
            all.add(new FileStep(Instant.EPOCH, FileStep.Cause.NOTE, "settings found again", again));
        }
        Instant last = Instant.EPOCH;
        for (Map.Entry<Integer, List<Change>> step : byStep.entrySet()) {
            StepText text = steps.get((long) step.getKey());
            last = text == null ? last : text.at();
            String label = text == null ? "an earlier change" : text.label();
            all.add(new FileStep(last, FileStep.Cause.NOTE, label, step.getValue()));
        }
        SeasonFiles.createWith(target, all, clock);
    }

    /**
     * Setups that runs point to and that are gone. Each was once the setup of its robot, whose history is a second copy: equal setups have
     * equal names.
     */
    private List<Change> settingsAgain() {
        Set<String> there = new HashSet<>();
        Set<String> wanted = new LinkedHashSet<>();
        for (RevisionRow row : revisions.values()) {
            if (row.kind().equals(Kinds.SETTING.name())) {
                there.add(row.id());
            } else if (row.body() != null) {
                Matcher names = POINTS_TO.matcher(row.body());
                while (names.find()) {
                    wanted.add(names.group(1));
                }
            }
        }
        wanted.removeAll(there);
        List<Change> again = new ArrayList<>();
        for (RevisionRow row : wanted.isEmpty() ? List.<RevisionRow>of() : List.copyOf(revisions.values())) {
            if (row.body() != null && SETUPS.contains(row.kind())) {
                try {
                    Setting setting = Shared.setting(SetupJson.parse(row.body()));
                    if (wanted.remove(setting.id())) {
                        again.add(Change.put(Kinds.SETTING.name(), "", setting.id(), SetupJson.write(setting.setup())));
                    }
                } catch (BadFileException | RuntimeException senseless) {
                    // It is named when the season is opened.
                }
            }
        }
        return again;
    }
}
