package fahrbahn.store.season;

import fahrbahn.store.file.BadFileException;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What looking a season file over has shown. Nothing in it is changed.
 *
 * @param sound everything in it can be read and is as it was written
 * @param problem what is wrong first of all; empty when it is sound
 * @param changes how many can be read
 * @param documents how many of each kind can be read
 * @param lost what cannot, in words
 * @param salvage what can be brought into a new season
 */
public record SeasonCheck(
        boolean sound,
        String problem,
        int changes,
        Map<String, Integer> documents,
        List<String> lost,
        Optional<Salvage> salvage) {
    public SeasonCheck {
        documents = Map.copyOf(documents);
        lost = List.copyOf(lost);
    }

    /** @throws BadFileException when it is no season, open elsewhere, or nothing of it can be read */
    public static SeasonCheck of(Path file, Clock clock) throws BadFileException {
        String problem = "";
        long rows = -1;
        long steps = -1;
        Salvage salvage;
        List<String> senseless = List.of();
        try (SeasonFile season = SeasonFiles.openToRead(file, clock)) {
            SeasonFile.Contents contents = season.contents();
            if (season.lastStep() == 0) {
                return new SeasonCheck(true, "", 0, Map.of(), List.of(), Optional.empty());
            }
            season.steps(Ledger.MOST_STEPS);
            rows = season.changes();
            steps = season.allSteps();
            problem = contents.damaged().isEmpty() ? "" : contents.damaged().get(0);
            senseless = SeasonReader.senseless(contents.documents());
            salvage = Salvage.of(season.file());
        } catch (DamagedSeasonException damaged) {
            problem = damaged.getMessage();
            salvage = Salvage.of(file);
        }
        // Where the engine finds every row, numbers that are left out were never there.
        boolean whole = rows == salvage.changes();
        List<String> lost = new ArrayList<>(whole ? salvage.damagedRows() : salvage.lost());
        long unread = steps - salvage.readSteps();
        if (unread > 0) {
            lost.add("the time and the words of " + unread + (unread == 1 ? " step" : " steps") + " (damaged)");
        }
        lost.addAll(senseless);
        boolean sound = problem.isEmpty() && lost.isEmpty();
        return new SeasonCheck(
                sound,
                problem.isEmpty() && !sound ? lost.get(0) : problem,
                salvage.changes(),
                salvage.documents(),
                lost,
                Optional.of(salvage));
    }
}
