package fahrbahn.app.handover.hall;

import fahrbahn.app.levels.LevelsModel;
import fahrbahn.app.measure.MeasureModel;
import fahrbahn.app.season.Season;
import fahrbahn.core.hall.HallStep;
import fahrbahn.core.readings.Capture;
import fahrbahn.core.setup.TurnMarks;
import fahrbahn.core.tuning.UsualTurnMarks;
import java.time.Instant;

/** Which of the surfaces that a new hall asks for have been captured since its minutes began. */
record HallCaptures(Season season, MeasureModel measure, LevelsModel levels) {
    /** Whether a surface was captured since the minutes began. Of light and dark that are alike it is the later that is none. */
    boolean done(HallStep step, Instant since) {
        if (step == HallStep.MARKS) {
            return season.captures().stream()
                    .anyMatch(c -> c.surface().equals(surface(step)) && !c.at().isBefore(since));
        }
        return there(step, since) && (!bothThere(since) || levels.canUse() || step == firstOfBoth());
    }

    /** When the newest capture of it was made. */
    Instant at(HallStep step) {
        return season.captures().get(latest(step)).at();
    }

    private HallStep firstOfBoth() {
        return latest(HallStep.LIGHT) < latest(HallStep.DARK) ? HallStep.LIGHT : HallStep.DARK;
    }

    private int latest(HallStep step) {
        return season.captures().stream().map(Capture::surface).toList().lastIndexOf(surface(step));
    }

    private boolean there(HallStep step, Instant since) {
        return measure.counting(surface(step)).stream().anyMatch(c -> !c.at().isBefore(since));
    }

    boolean bothThere(Instant since) {
        return there(HallStep.LIGHT, since) && there(HallStep.DARK, since);
    }

    /** The surface that a step captures. */
    String surface(HallStep step) {
        return switch (step) {
            case LIGHT -> Capture.LIGHT;
            case MARKS ->
                season.setupOrGuess()
                        .law()
                        .options()
                        .turnMarks()
                        .map(TurnMarks::mark)
                        .orElse(UsualTurnMarks.MARK);
            default -> Capture.DARK;
        };
    }
}
