package fahrbahn.core.tuning.race;

import fahrbahn.core.loop.GainAdvice;
import fahrbahn.core.path.Part;
import fahrbahn.core.statistics.Completion;
import java.util.List;
import java.util.Optional;

/**
 * A setting for a course, found over the twin.
 *
 * @param chance to finish with everything varied
 * @param lapS mean time of the runs that finished; NaN where none did
 * @param placeMm standard deviation of the place where they stopped, along
 * @param margins by loop theory at its speed, from the wiggle and from the tightest bend
 * @param limits what keeps it from more
 * @param schools what became of each school's gains at the set speed
 */
public record CourseAdvice(
        double kp,
        double kd,
        double baseCommand,
        Completion chance,
        double lapS,
        double placeMm,
        GainAdvice margins,
        Limits limits,
        List<School> schools) {
    /** A school's gains on the course; figures of the runs that finished, NaN where none did. */
    public record School(StartingGains gains, Completion chance, double rmsMm, double lapS) {}

    /**
     * What gives way first when it is driven a fifth faster.
     *
     * @param part where runs are lost then; empty when none are
     * @param sMm there
     * @param full whether the drive has no more speed to give
     * @param lagS lag, delay and half a loop period together: what the loop's theory sets against the lead
     * @param loopS the loop's part of it
     */
    public record Limits(Optional<Part> part, double sMm, boolean full, double lagS, double loopS) {}
}
