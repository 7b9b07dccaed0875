package fahrbahn.core.review;

import fahrbahn.core.path.Part;
import fahrbahn.core.trace.Trace;
import fahrbahn.core.twin.RunResult;
import fahrbahn.core.twin.Start;
import fahrbahn.core.twin.Track;
import java.util.Optional;

/**
 * Where and why a run was lost.
 *
 * @param tick of the trace at which it departed
 * @param atS since its start
 * @param sMm how far along the path
 * @param part what lies there
 * @param blindS how long, from about then on, no sensor of the law saw the line
 * @param onLeft whether it ended up left of its path
 */
public record Loss(Why why, int tick, double atS, double sMm, Part part, double blindS, boolean onLeft) {
    /** Empty for a run that was completed. @param trace of that run, on that track, with its setup */
    public static Optional<Loss> of(Track track, Start start, RunResult result, Trace trace) {
        if (result.completed() || trace.size() < 2) {
            return Optional.empty();
        }
        return Optional.of(new LossFinder(track, start, result, trace).loss());
    }
}
