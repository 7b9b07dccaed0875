package fahrbahn.core.drill;

import fahrbahn.core.check.Text;
import fahrbahn.core.drill.Drill.DrillRun;
import fahrbahn.core.quality.Finding;
import fahrbahn.core.quality.Survey;
import fahrbahn.core.readings.Capture;
import fahrbahn.core.runlog.LogFaults;
import fahrbahn.core.runlog.LogFigures;
import fahrbahn.core.runlog.LogFit;
import fahrbahn.core.setup.Setup;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** Our own analysis of what a drill shows: that of logs and of captures, as everywhere else in the program. */
final class OwnEye {
    /** Laps that take so much longer than speed and length say are those of a tired battery, where nothing else is wrong. */
    private static final double SLOW_SHARE = 1.1;

    /** On the straight it is set down on, no soft or slow robot is lost so soon. */
    private static final double AWAY_S = 2.5;

    private OwnEye() {}

    /** A fault and what shows it, as a sentence with its number. */
    record Seen(DrillFault fault, String evidence) {}

    /** @param nominalS of a lap at the speed the team believes in; empty answer where nothing is wrong */
    static Optional<Seen> run(DrillRun run, Setup believed, double nominalS) {
        double longest = run.lapsS().stream().mapToDouble(s -> s).max().orElseThrow();
        if (!run.completed() && longest < AWAY_S) {
            return Optional.of(new Seen(
                    wrongWay(believed),
                    Text.of(
                            "Set down straight on the line it is off it within %.1f s, every time: it steers away.",
                            longest)));
        }
        LogFigures figures = LogFigures.of(run.log(), believed.robot().drive());
        List<LogFaults.Found> found = LogFaults.of(run.log(), believed, figures, LogFit.of(run.log(), believed));
        if (!found.isEmpty()) {
            return fault(found.get(0), believed)
                    .map(f -> new Seen(f, found.get(0).evidence()));
        }
        double last = run.lapsS().get(run.lapsS().size() - 1);
        return run.completed() && last > SLOW_SHARE * nominalS
                ? Optional.of(new Seen(
                        DrillFault.FLAT_BATTERY,
                        Text.of(
                                "The last lap took %.1f s where its speed says %.1f s, and each took longer.",
                                last, nominalS)))
                : Optional.empty();
    }

    private static DrillFault wrongWay(Setup believed) {
        return believed.law().signal().straddles() ? DrillFault.SWAPPED : DrillFault.WRONG_EDGE;
    }

    private static Optional<DrillFault> fault(LogFaults.Found found, Setup believed) {
        return switch (found.fault()) {
            case WRONG_WAY -> Optional.of(wrongWay(believed));
            case GLARE -> Optional.of(DrillFault.GLARE);
            case LEVELS -> Optional.of(DrillFault.LEVELS);
            case SLOW_LOOP -> Optional.of(DrillFault.SLOW_LOOP);
            case UNEVEN_WHEELS -> Optional.of(DrillFault.WORN_WHEELS);
            case LAG -> Optional.of(DrillFault.LAG);
            case NO_DAMPING -> Optional.of(DrillFault.NO_DAMPING);
            case TOO_SHARP -> Optional.of(DrillFault.TOO_SHARP);
            case TOO_SOFT -> Optional.of(DrillFault.TOO_SOFT);
            case LOW_BATTERY -> Optional.of(DrillFault.FLAT_BATTERY);
            case STUCK_SENSOR, UNEVEN_LOOP, LOST_LINES -> Optional.empty(); // not asked
        };
    }

    static Optional<Seen> held(List<Capture> captures, Setup believed) {
        Survey survey = Survey.of(captures, believed);
        Stream<Finding> all = Stream.concat(
                survey.captures().stream().flatMap(report -> report.findings().stream()), survey.between().stream());
        return all.map(OwnEye::held).flatMap(Optional::stream).findFirst();
    }

    private static Optional<Seen> held(Finding finding) {
        if (finding instanceof Finding.Saturated end) {
            return Optional.of(new Seen(
                    DrillFault.SATURATED,
                    Text.of(
                            "Sensor %s reads %s, the end of its range, in %.0f of 100 readings.",
                            end.sensor(), Text.digits(end.end(), 4), 100 * end.share())));
        }
        if (finding instanceof Finding.Burst burst) {
            return Optional.of(new Seen(
                    DrillFault.CREASE,
                    Text.of(
                            "Sensor %s is off by %s in %d readings in a row, from %.2f to %.2f s, and right before and after.",
                            burst.sensor(), Text.digits(burst.size(), 2), burst.count(), burst.fromS(), burst.toS())));
        }
        return Optional.empty();
    }
}
