package fahrbahn.app.club;

import fahrbahn.app.season.Entry;
import fahrbahn.app.season.Season;
import fahrbahn.app.season.Sort;
import fahrbahn.core.readings.Capture;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.Draft;
import fahrbahn.core.trials.Run;
import fahrbahn.store.document.Kinds;
import fahrbahn.store.season.Ledger;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Optional;

/**
 * What the season holds of one entry of the club's list.
 *
 * @param setup of a robot
 * @param course of a table laid from parts
 * @param measured constants of a robot that were measured
 * @param robots those that have something to do with it: of a team, or that ran or were captured there
 * @param captures made of it or there
 * @param runs of it or there, real ones
 * @param completed how many of them
 * @param last when something of it was noted last
 */
public record ClubInsight(
        Optional<Setup> setup,
        Optional<Draft> course,
        int measured,
        List<String> robots,
        int captures,
        int runs,
        int completed,
        Optional<Instant> last) {

    static ClubInsight of(Season season, Entry entry) {
        Ledger ledger = season.ledger();
        Counter counter = new Counter();
        List<String> robots = new ArrayList<>();
        for (Entry robot : season.club().entries(Sort.ROBOT)) {
            int before = counter.captures + counter.runs;
            Collection<Capture> captures = ledger.all(Kinds.CAPTURE, robot.id()).values();
            Collection<Run> runs = ledger.all(Kinds.RUN, robot.id()).values();
            switch (entry.sort()) {
                case ROBOT -> {
                    if (robot.id().equals(entry.id())) {
                        captures.forEach(counter::add);
                        runs.forEach(counter::add);
                    }
                }
                case TEAM -> {
                    if (robot.team().equals(entry.name())) {
                        robots.add(robot.name());
                        captures.forEach(counter::add);
                        runs.forEach(counter::add);
                    }
                }
                case TABLE ->
                    runs.stream()
                            .filter(r -> r.basis().table().id().equals(entry.id()))
                            .forEach(counter::add);
                case VENUE -> {
                    captures.stream()
                            .filter(c -> c.conditions().venue().equals(entry.id()))
                            .forEach(counter::add);
                    runs.stream()
                            .filter(r -> r.basis().conditions().venue().equals(entry.id()))
                            .forEach(counter::add);
                }
            }
            boolean there = counter.captures + counter.runs > before;
            if (there && entry.sort() != Sort.TEAM) {
                robots.add(robot.name());
            }
        }
        return new ClubInsight(
                ledger.get(Kinds.SETUP, entry.id()),
                ledger.get(Kinds.COURSE, entry.id()),
                ledger.all(Kinds.FACT, entry.id()).size(),
                robots,
                counter.captures,
                counter.runs,
                counter.completed,
                Optional.ofNullable(counter.last));
    }

    private static final class Counter {
        private int captures;
        private int runs;
        private int completed;
        private Instant last;

        private void add(Capture capture) {
            captures++;
            at(capture.at());
        }

        private void add(Run run) {
            if (run.source() != Run.Source.TWIN) {
                runs++;
                completed += run.outcome().completed() ? 1 : 0;
                at(run.at());
            }
        }

        private void at(Instant when) {
            last = last == null || when.isAfter(last) ? when : last;
        }
    }
}
