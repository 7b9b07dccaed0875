package fahrbahn.core.hall;

import fahrbahn.core.difference.Aspect;
import fahrbahn.core.difference.Cause;
import fahrbahn.core.quality.Captured;
import fahrbahn.core.readings.Capture;
import fahrbahn.core.trials.Run;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * What did not hold when a robot ran, over its season: how a list learns what went stale without anybody saying it.
 *
 * @param runs of the robot on a table, oldest first
 */
public record Lapses(List<Lapse> runs) {
    public static final Lapses NONE = new Lapses(List.of());

    /** Of the volts of the last run that came round: below, speed and lane are others (see {@link fahrbahn.core.readings.Conditions}). */
    private static final double FULL_ENOUGH = 0.97;

    /** One run. @param stale what did not hold; empty when all did */
    public record Lapse(boolean lost, Set<Aspect> stale) {
        public Lapse {
            stale = Collections.unmodifiableSet(stale.isEmpty() ? EnumSet.noneOf(Aspect.class) : EnumSet.copyOf(stale));
        }
    }

    /**
     * How often something did not hold, and what became of those runs beside the others.
     *
     * @param runs in which it did not @param lost of them @param others in which it held @param othersLost of these
     */
    public record Share(int runs, int lost, int others, int othersLost) {}

    public Lapses {
        runs = List.copyOf(runs);
    }

    /**
     * @param runs of one robot; those of its twin are passed over
     * @param captures of that robot
     * @param sensors that it reads with
     */
    public static Lapses of(List<Run> runs, List<Capture> captures, List<String> sensors) {
        List<Capture> all = new ArrayList<>(captures);
        all.sort(Comparator.comparing(Capture::at));
        List<Lapse> lapses = new ArrayList<>();
        Optional<Run> lastGood = Optional.empty();
        Captured measured = Captured.of(List.of(), sensors);
        int before = 0;
        for (Run run : runs.stream()
                .filter(r -> r.source() == Run.Source.TABLE)
                .sorted(Comparator.comparing(Run::at))
                .toList()) {
            int known = before;
            while (before < all.size() && !all.get(before).at().isAfter(run.at())) {
                before++;
            }
            if (before > known) {
                measured = Captured.of(all.subList(0, before), sensors);
            }
            Set<Aspect> stale = EnumSet.noneOf(Aspect.class);
            stale.addAll(ofCaptures(measured, run));
            lastGood.ifPresent(good -> stale.addAll(ofRobot(good, run)));
            boolean lost = !run.outcome().completed();
            lapses.add(new Lapse(lost, stale));
            lastGood = lost ? lastGood : Optional.of(run);
        }
        return new Lapses(lapses);
    }

    private static Set<Aspect> ofCaptures(Captured captured, Run run) {
        Set<Aspect> stale = EnumSet.noneOf(Aspect.class);
        captured.outdatedSince(run.basis().withAt(run.at())).forEach(cause -> stale.add(cause.aspect()));
        return captured.missing().isPresent() ? EnumSet.of(Aspect.CAPTURES) : stale;
    }

    /** Fewer volts or other wheels than when it last came round. */
    private static Set<Aspect> ofRobot(Run good, Run run) {
        Set<Aspect> stale = EnumSet.noneOf(Aspect.class);
        if (run.volts() < FULL_ENOUGH * good.volts()) {
            stale.add(Aspect.BATTERY);
        }
        for (Cause cause : good.basis().conditions().changesTo(run.basis().conditions())) {
            if (cause.aspect() == Aspect.WHEELS) {
                stale.add(Aspect.WHEELS);
            }
        }
        return stale;
    }

    /** How often any of these did not hold. */
    public Share of(Set<Aspect> aspects) {
        int stale = 0;
        int lost = 0;
        int othersLost = 0;
        for (Lapse run : runs) {
            if (Collections.disjoint(run.stale(), aspects)) {
                othersLost += run.lost() ? 1 : 0;
            } else {
                stale++;
                lost += run.lost() ? 1 : 0;
            }
        }
        return new Share(stale, lost, runs.size() - stale, othersLost);
    }
}
