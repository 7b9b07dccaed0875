package fahrbahn.link.bench;

import fahrbahn.core.path.Pose;
import fahrbahn.core.sensing.Lookout;
import fahrbahn.core.twin.RunResult;
import java.util.Locale;
import java.util.Optional;

/**
 * The bench robot on a table.
 *
 * @param put where it was put; where a ride began
 * @param lookout what its sensors see there
 * @param ride what it drives
 * @param sinceTick of the robot's own loop
 */
record BenchStand(Pose put, Lookout lookout, Optional<BenchTable.Ride> ride, long sinceTick) {
    Pose at(long tick) {
        return ride.isEmpty() ? put : ride.get().at(index(tick));
    }

    /** The tick of the ride that is latest by then: the program that drives may have another loop time. */
    private int index(long tick) {
        return ride.orElseThrow().trace().indexAt((tick - sinceTick) * BenchRobot.PERIOD_S);
    }

    /** How the ride ended, in words, once it has. */
    Optional<String> ended(long tick) {
        return ride.filter(r -> index(tick) == r.trace().size() - 1).map(r -> words(r.result()));
    }

    private static String words(RunResult result) {
        String after = String.format(Locale.ROOT, " after %.1f s", result.timeS());
        return switch (result.end()) {
            case FINISHED -> "It finished" + after;
            case LEFT_THE_LINE ->
                "It left the line" + after + String.format(Locale.ROOT, ", %.2f m from the start", result.sMm() / 1000);
            case TURNED_ROUND -> "It turned round" + after;
            case HIT_OBSTACLE -> "It ran into the obstacle" + after;
            case STOPPED -> "It stopped" + after + ": all its sensors saw the line";
            case TOO_SLOW -> "It was stopped" + after + ": it took four times as long as it should";
        };
    }
}
