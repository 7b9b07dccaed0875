package fahrbahn.core.tuning;

import fahrbahn.core.check.Rounding;
import fahrbahn.core.job.Job;
import fahrbahn.core.job.Workers;
import fahrbahn.core.loop.GainTransfer;
import fahrbahn.core.setup.Law;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.statistics.Completion;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Gains of one setup on another, and what becomes of them on its tightest bend: unchanged, with the same steering, with the same share of the onset.
 *
 * @param sameShare empty where one of the two has no onset
 */
public record Carried(GainTransfer transfer, Way unchanged, Way sameSteering, Optional<Way> sameShare) {
    private static final int RUNS = 40;
    private static final int DIGITS = 3;

    /** @param rmsMm of those that came round; NaN where none did */
    public record Way(Law law, Completion chance, double rmsMm) {}

    /** That comes round most often; of equals the one that stays nearest to its path. */
    public Way best() {
        return Stream.concat(Stream.of(sameSteering, unchanged), sameShare.stream())
                .max(Comparator.comparingInt((Way way) -> way.chance().completed())
                        .thenComparingDouble(way -> Double.isNaN(way.rmsMm()) ? 0 : -way.rmsMm()))
                .orElseThrow();
    }

    /**
     * @param to of its law all but the gains
     * @throws fahrbahn.core.check.BadValueException when no loop can be reckoned, or the robot cannot be put on its bend
     */
    public static Carried between(Setup from, Setup to, long seed, Workers workers, Job job) {
        GainTransfer transfer = GainTransfer.between(from, to);
        Law law = from.law();
        List<Law> laws = new ArrayList<>();
        laws.add(to.law().withGains(law.kp(), law.ki(), law.kd()));
        laws.add(rounded(transfer.sameSteering()));
        transfer.sameShare().ifPresent(share -> laws.add(rounded(share)));
        TestBend bend = TestBend.of(to);
        Way[] ways = new Way[laws.size()];
        workers.run(
                ways.length,
                i -> {
                    TestBend.Tried tried = bend.drive(laws.get(i), 0, RUNS, seed);
                    ways[i] = new Way(laws.get(i), tried.chance(), tried.completed() == 0 ? Double.NaN : tried.rmsMm());
                },
                job);
        return new Carried(transfer, ways[0], ways[1], ways.length > 2 ? Optional.of(ways[2]) : Optional.empty());
    }

    private static Law rounded(Law law) {
        return law.withGains(
                Rounding.significant(law.kp(), DIGITS),
                Rounding.significant(law.ki(), DIGITS),
                Rounding.significant(law.kd(), DIGITS));
    }
}
