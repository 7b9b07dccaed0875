package fahrbahn.app.drive;

import fahrbahn.app.drive.run.Drive;
import fahrbahn.app.drive.run.LossWords;
import fahrbahn.core.check.Text;
import fahrbahn.core.law.Controller.Doing;
import fahrbahn.core.review.Loss;
import fahrbahn.core.review.RunEvents.Event;
import fahrbahn.core.trace.Trace;
import fahrbahn.words.Words;
import java.util.List;
import java.util.stream.Stream;

/** What is to be seen at a moment of a run, and what happened on its way. */
final class ReplayWords {
    private ReplayWords() {}

    /** Everything about one tick. */
    static String moment(Drive drive, int tick) {
        Trace trace = drive.trace();
        String doing = trace.doing(tick) == Doing.FOLLOWING
                ? ""
                : " " + capital(LossWords.doing(trace.doing(tick))) + " drives.";
        return Words.seconds(trace.tS(tick)) + ", " + Words.number(Math.max(0, trace.sMm(tick)) / 1000, 3)
                + " m along, "
                + Words.where(drive.ground().path().partAt(Math.max(0, trace.sMm(tick)))) + ". Error "
                + Words.number(trace.error(tick), 3) + ", steering " + Words.number(trace.steering(tick), 3) + " (Kp "
                + Words.number(trace.proportional(tick), 2) + ", Kd " + Words.number(trace.derivative(tick), 2)
                + "); wheels " + Words.number(trace.leftMmPerS(tick), 3) + " and "
                + Words.number(trace.rightMmPerS(tick), 3) + " mm/s; "
                + Text.of("%.1f", Math.abs(trace.offsetMm(tick)))
                + " mm to the " + (trace.offsetMm(tick) > 0 ? "left" : "right") + "." + doing;
    }

    private static String capital(String words) {
        return Character.toUpperCase(words.charAt(0)) + words.substring(1);
    }

    /** How it is played. */
    static String speed(Playback playback) {
        return (playback.playing() ? "plays" : "halted") + ", \u00d7" + Words.number(playback.times());
    }

    /** When something happened, in order. */
    static List<Double> times(Drive drive) {
        return Stream.concat(
                        drive.events().stream().map(Event::atS),
                        drive.loss().stream().map(Loss::atS))
                .sorted()
                .toList();
    }

    static String event(Event event) {
        String side = event.side() > 0 ? " left" : event.side() < 0 ? " right" : "";
        String lasts = " for " + Words.number(event.lengthS(), 2) + " s";
        String what = switch (event.kind()) {
            case BLANKED -> "waiting at a crossing" + lasts;
            case EMERGENCY -> "an emergency sensor steers" + side + lasts;
            case LOST_RULE -> "line lost: lost-line rule steers" + (side.isEmpty() ? " straight" : side) + lasts;
            case AROUND_OBSTACLE -> "goes round an obstacle" + lasts;
            case CROSSING -> "going through a crossing" + lasts;
            case TURNING -> "turns" + side + " at a crossing" + lasts;
            case MARK -> "a mark is seen on the" + side;
            case AT_LIMIT -> "a wheel at its limit, steering" + side + lasts;
        };
        return at(event.atS()) + what;
    }

    static String lost(Loss loss) {
        return at(loss.atS()) + "lost: " + LossWords.reason(loss.why());
    }

    private static String at(double s) {
        return Words.number(s, 3) + " s  ";
    }
}
