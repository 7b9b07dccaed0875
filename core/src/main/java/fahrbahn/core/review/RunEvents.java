package fahrbahn.core.review;

import fahrbahn.core.law.Controller.Doing;
import fahrbahn.core.setup.Drive;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.trace.Trace;
import java.util.ArrayList;
import java.util.List;

/** What happened in a run beside plain following, in the order in which it began. */
public final class RunEvents {
    /** Shorter pauses do not part one event from the next of its kind. */
    private static final double PAUSE_S = 0.06;

    /** A wheel at its limit for less is no event: every sharp correction touches it. */
    private static final double LEAST_LIMIT_S = 0.08;

    private RunEvents() {}

    /** What kind of thing happens. */
    public enum Kind {
        BLANKED,
        EMERGENCY,
        LOST_RULE,
        /** It goes round an obstacle. */
        AROUND_OBSTACLE,
        CROSSING,
        TURNING,
        /** A turn mark is believed. */
        MARK,
        /** A wheel can do no more, or no less, than it does. */
        AT_LIMIT
    }

    /** @param side 1 to the left, -1 to the right, 0 where there is none: the mark's, or that of the steering */
    public record Event(Kind kind, int tick, double atS, double lengthS, int side) {}

    private interface When {
        boolean is(int tick);
    }

    /** @param setup that drove it */
    public static List<Event> of(Trace trace, Setup setup) {
        List<Event> events = new ArrayList<>();
        add(events, trace, Kind.BLANKED, 0, 0, i -> trace.doing(i) == Doing.BLANKED);
        add(events, trace, Kind.AROUND_OBSTACLE, 0, 0, i -> trace.doing(i) == Doing.AROUND_OBSTACLE);
        add(events, trace, Kind.CROSSING, 0, 0, i -> trace.doing(i) == Doing.CROSSING);
        add(events, trace, Kind.MARK, 1, 0, i -> trace.sawMark(i, true));
        add(events, trace, Kind.MARK, -1, 0, i -> trace.sawMark(i, false));
        Drive drive = setup.robot().drive();
        for (int side : new int[] {1, -1}) {
            add(events, trace, Kind.EMERGENCY, side, 0, i -> steers(trace, i, Doing.EMERGENCY, side));
            add(events, trace, Kind.LOST_RULE, side, 0, i -> steers(trace, i, Doing.LOST_RULE, side));
            add(events, trace, Kind.TURNING, side, 0, i -> steers(trace, i, Doing.TURNING, side));
            add(
                    events,
                    trace,
                    Kind.AT_LIMIT,
                    side,
                    LEAST_LIMIT_S,
                    i -> trace.doing(i) == Doing.FOLLOWING && side * trace.steering(i) > 0 && atLimit(drive, trace, i));
        }
        add(events, trace, Kind.LOST_RULE, 0, 0, i -> steers(trace, i, Doing.LOST_RULE, 0));
        events.sort((a, b) -> Integer.compare(a.tick(), b.tick()));
        return List.copyOf(events);
    }

    private static boolean steers(Trace trace, int i, Doing doing, int side) {
        return trace.doing(i) == doing && Math.signum(trace.steering(i)) == side;
    }

    private static boolean atLimit(Drive drive, Trace trace, int i) {
        double least = Math.min(trace.leftCommand(i), trace.rightCommand(i));
        double most = Math.max(trace.leftCommand(i), trace.rightCommand(i));
        return least <= drive.leastCommand() || most >= drive.fullCommand();
    }

    private static void add(List<Event> events, Trace trace, Kind kind, int side, double leastS, When when) {
        int began = -1;
        int last = -1;
        for (int i = 0; i < trace.size(); i++) {
            if (when.is(i)) {
                if (began >= 0 && trace.tS(i) - trace.tS(last) > PAUSE_S) {
                    close(events, trace, kind, side, leastS, began, last);
                    began = -1;
                }
                began = began < 0 ? i : began;
                last = i;
            }
        }
        if (began >= 0) {
            close(events, trace, kind, side, leastS, began, last);
        }
    }

    private static void close(
            List<Event> events, Trace trace, Kind kind, int side, double leastS, int began, int last) {
        double lengthS = trace.tS(Math.min(last + 1, trace.size() - 1)) - trace.tS(began);
        if (lengthS >= leastS) {
            events.add(new Event(kind, began, trace.tS(began), lengthS, side));
        }
    }
}
