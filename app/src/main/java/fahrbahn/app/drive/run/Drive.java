package fahrbahn.app.drive.run;

import fahrbahn.core.knowledge.Basis;
import fahrbahn.core.review.Loss;
import fahrbahn.core.review.RunEvents;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.Ground;
import fahrbahn.core.trace.Trace;
import fahrbahn.core.trials.Outcome;
import fahrbahn.core.trials.Run;
import fahrbahn.core.twin.RunResult;
import fahrbahn.core.twin.Start;
import fahrbahn.core.twin.Track;
import fahrbahn.core.twin.Twin;
import java.util.List;
import java.util.Optional;
import java.util.UUID;

/**
 * One run of the twin with all that can be seen in it.
 *
 * @param number among many runs, from 1; 0 for one on its own
 * @param loss where and why it was lost; empty when it was completed
 */
public record Drive(
        Basis basis,
        Track track,
        int number,
        Start start,
        RunResult result,
        Trace trace,
        List<RunEvents.Event> events,
        Optional<Loss> loss) {
    public Drive {
        events = List.copyOf(events);
    }

    /** Drives it. @param track made for the basis' setup */
    public static Drive of(Basis basis, Track track, int number, Start start) {
        Trace trace = new Trace();
        RunResult result = Twin.run(track, start, trace);
        return new Drive(
                basis,
                track,
                number,
                start,
                result,
                trace,
                RunEvents.of(trace, track.setup()),
                Loss.of(track, start, result, trace));
    }

    /** As it is kept in the log book. @param now what it rests on, at the moment it is kept */
    public Run kept(String robot, Basis now) {
        Outcome outcome = Outcome.of(result.completed(), result.timeS()).withRmsMm(result.rmsMm());
        return new Run(
                UUID.randomUUID().toString(),
                Run.Source.TWIN,
                robot,
                now,
                result.completed() ? outcome : outcome.withLostMm(Math.max(0, result.sMm())),
                DriveWords.lostNote(result));
    }

    public Setup setup() {
        return track.setup();
    }

    public Ground ground() {
        return track.ground();
    }
}
