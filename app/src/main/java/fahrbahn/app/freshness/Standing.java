package fahrbahn.app.freshness;

import fahrbahn.core.difference.Cause;
import fahrbahn.core.knowledge.Basis;
import fahrbahn.core.knowledge.Fact;
import fahrbahn.core.knowledge.Knowledge;
import fahrbahn.core.knowledge.TablePrint;
import fahrbahn.core.program.HandOver;
import fahrbahn.core.readings.Capture;
import fahrbahn.core.trials.Run;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;

/**
 * All that freshness is derived from, at one moment.
 *
 * @param now robot, table, venue and circumstances as they are
 * @param typed whether the robot is more than a starting guess
 * @param facts what has been measured on the robot
 * @param knowledge how well its constants are known, the costliest first; empty until worked out
 * @param table what keeps the table from being ready, in words; empty when it is
 * @param ownTable whether the coach has laid or imported it
 * @param tightestMm of the table's bends
 * @param dark captures of dark that count, the newest of each sensor with the lamps on
 * @param light of light
 * @param levels what the levels on the robot rest on; empty when none were put on it
 * @param onRobot how the robot's dark and light differ from those captures; empty when they do not
 * @param chosen what the gains were chosen for
 * @param driven what the twin's latest run rests on
 * @param driveTable what the twin drives on
 * @param handedOver whether anything was handed over to the robot's program
 * @param toType what is to be typed there anew
 * @param runs of the robot in hand, oldest first
 * @param venueName what a venue is called, by its identifier
 */
public record Standing(
        Basis now,
        boolean typed,
        List<Fact> facts,
        List<Knowledge> knowledge,
        String table,
        boolean ownTable,
        double tightestMm,
        List<Capture> dark,
        List<Capture> light,
        Optional<Basis> levels,
        Optional<Cause> onRobot,
        Optional<Basis> chosen,
        Optional<Basis> driven,
        TablePrint driveTable,
        boolean handedOver,
        List<HandOver.Change> toType,
        List<Run> runs,
        UnaryOperator<String> venueName) {
    public Standing {
        facts = List.copyOf(facts);
        knowledge = List.copyOf(knowledge);
        dark = List.copyOf(dark);
        light = List.copyOf(light);
        toType = List.copyOf(toType);
        runs = List.copyOf(runs);
    }

    /** Whether the levels on the robot were computed from the newest captures. */
    boolean levelsOfNewest() {
        return levels.isPresent()
                && Stream.of(dark, light)
                        .flatMap(List::stream)
                        .allMatch(c -> levels.get().captures().contains(c.id()));
    }

    Optional<Run> lastRun() {
        return runs.isEmpty() ? Optional.empty() : Optional.of(runs.get(runs.size() - 1));
    }
}
