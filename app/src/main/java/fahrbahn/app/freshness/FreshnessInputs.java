package fahrbahn.app.freshness;

import fahrbahn.app.state.Snapshot;
import fahrbahn.core.difference.Cause;
import fahrbahn.core.knowledge.Basis;
import fahrbahn.core.knowledge.Fact;
import fahrbahn.core.knowledge.Knowledge;
import fahrbahn.core.knowledge.TablePrint;
import fahrbahn.core.program.HandOver;
import fahrbahn.core.quality.Captured;
import fahrbahn.core.readings.Capture;
import fahrbahn.core.trials.Run;
import fahrbahn.words.Names;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;

/**
 * All that freshness is derived from, at one moment.
 *
 * @param now robot, table, venue and circumstances as they are
 * @param captures of the robot, oldest first
 * @param chosen what the gains were chosen for
 * @param runs of the robot selected, oldest first
 * @param names of venues
 */
public record FreshnessInputs(
        Basis now,
        OfRobot robot,
        OfTable table,
        Snapshot<Capture> captures,
        OfLevels levels,
        Optional<Basis> chosen,
        Driven driven,
        Handed handed,
        Snapshot<Run> runs,
        Names names) {
    /**
     * @param typed whether the robot is more than a starting guess
     * @param sensors that it reads with; none while it is a starting guess
     * @param facts what has been measured on it
     * @param knowledge how well its constants are known, the costliest first; empty until worked out
     */
    public record OfRobot(boolean typed, List<String> sensors, List<Fact> facts, List<Knowledge> knowledge) {
        public OfRobot {
            sensors = List.copyOf(sensors);
            facts = List.copyOf(facts);
            knowledge = List.copyOf(knowledge);
        }
    }

    /**
     * @param problem what keeps it from being ready, in words; empty when it is
     * @param own whether the coach has laid or imported it
     * @param tightestMm of its bends
     */
    public record OfTable(String problem, boolean own, double tightestMm) {}

    /**
     * @param from what the levels on the robot rest on; empty when none were put on it
     * @param differ how the robot's dark and light differ from the captures that count; empty when they do not
     */
    public record OfLevels(Optional<Basis> from, Optional<Cause> differ) {}

    /**
     * @param shown what the twin's newest run of this sitting rests on
     * @param table what the twin drives on
     */
    public record Driven(Optional<Basis> shown, TablePrint table) {}

    /**
     * @param ever whether anything was handed over to the robot's program
     * @param toType what is to be typed there again
     */
    public record Handed(boolean ever, List<HandOver.Change> toType) {
        public Handed {
            toType = List.copyOf(toType);
        }
    }

    /** The captures of dark and light that count. */
    Captured captured() {
        return Captured.of(captures.values(), robot.sensors());
    }

    /** What the twin's newest run on its table rests on: of this sitting, else that was kept. */
    Optional<Basis> newestDrive() {
        return driven.shown()
                .or(() -> newest(run -> run.source() == Run.Source.TWIN
                                && run.basis()
                                        .table()
                                        .id()
                                        .equals(driven.table().id()))
                        .map(Run::basis));
    }

    private Optional<Run> newest(Predicate<Run> so) {
        List<Run> all = runs.values();
        for (int i = all.size() - 1; i >= 0; i--) {
            if (so.test(all.get(i))) {
                return Optional.of(all.get(i));
            }
        }
        return Optional.empty();
    }

    Optional<Run> lastRun() {
        return newest(run -> true);
    }
}
