package fahrbahn.core.review;

import fahrbahn.core.law.Controller.Doing;
import fahrbahn.core.loop.SteadyTurn;
import fahrbahn.core.path.Part;
import fahrbahn.core.setup.Drive;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.trace.Trace;
import fahrbahn.core.twin.RunResult;
import fahrbahn.core.twin.Start;
import fahrbahn.core.twin.Track;
import java.util.Arrays;

/** Looks for the reason of one loss, the plainest first. Its limits are chosen by us: what a coach would call so. */
final class LossFinder {
    /** A sensor that covers less of the line than this sees nothing of it. */
    private static final double SEEN_SHARE = 0.1;

    /** What was asked for is looked at over so long before it departed. */
    private static final double ASKED_OVER_S = 0.12;

    /** A rule is to blame when it steered away from the line within so long. */
    private static final double RULE_WITHIN_S = 0.4;

    private static final int RULE_TICKS = 3;

    /** A stretch that lasts no longer may not show a wiggle that came with the straight before it. */
    private static final double SHORT_S = 0.4;

    /** A part is to blame up to so far behind its end. */
    private static final double BEHIND_MM = 90;

    /** A start is to blame so far from it, off by more than this share of the usable band, or so much aslant. */
    private static final double START_MM = 250;

    private static final double START_SHARE = 0.5;
    private static final double START_RAD = 0.15;

    /** Asked for less than this share of what is needed is too soft. */
    private static final double SOFT_SHARE = 0.95;

    private final Track track;
    private final Setup setup;
    private final Start start;
    private final RunResult result;
    private final Trace trace;
    private final int departed;
    private final double sMm;
    private final boolean onLeft;

    LossFinder(Track track, Start start, RunResult result, Trace trace) {
        this.track = track;
        this.setup = track.setup();
        this.start = start;
        this.result = result;
        this.trace = trace;
        this.departed = departed();
        this.sMm = Math.max(0, trace.sMm(departed));
        this.onLeft = trace.offsetMm(trace.size() - 1) > 0;
    }

    private int departed() {
        int at = trace.size() - 1;
        while (at > 0 && Math.abs(trace.offsetMm(at)) > track.usableBandMm()) {
            at--;
        }
        return at;
    }

    Loss loss() {
        return new Loss(why(), departed, trace.tS(departed), sMm, partToBlame(), blindS(), onLeft);
    }

    /** The part it is on, or the one it has just left when that is the harder one. */
    private Part partToBlame() {
        Part here = track.path().partAt(sMm);
        Part before = track.path().partAt(Math.max(0, sMm - BEHIND_MM));
        boolean easy = here instanceof Part.Straight || here instanceof Part.Crease || here instanceof Part.Obstacle;
        return easy ? before : here;
    }

    private Why why() {
        if (result.end() == RunResult.End.TOO_SLOW) {
            Swings swings = Swings.before(trace, 0, trace.size() - 1, track.usableBandMm());
            return swings.wiggling() ? wiggled(swings) : new Why.TooSlow();
        }
        if (result.end() == RunResult.End.HIT_OBSTACLE) {
            return new Why.HitObstacle(setup.law().options().obstacle().isPresent());
        }
        if (result.end() == RunResult.End.STOPPED) {
            return new Why.Stopped();
        }
        if (result.end() == RunResult.End.TURNED_ROUND) {
            return new Why.TurnedRound(droveMost(turnedAt()));
        }
        if (badStart()) {
            return new Why.BadStart(start.offsetMm(), start.headingRad());
        }
        Part part = partToBlame();
        if (part instanceof Part.Gap) {
            int began = tickAt(gapBeganMm());
            return new Why.Unguided(trace.offsetMm(began), aslant(began));
        }
        if (part instanceof Part.RightAngle) {
            return new Why.Corner(droveMost(departed));
        }
        Doing rule = awayByRule();
        if (rule != Doing.FOLLOWING) {
            return new Why.TurnedAway(rule);
        }
        double radius = part instanceof Part.Bend bend
                ? bend.radiusMm()
                : part instanceof Part.SwingOver swing ? swing.radiusMm() : Double.POSITIVE_INFINITY;
        double needed = neededPerMm(radius);
        double given = SteadyTurn.tightestPerMm(setup);
        if (needed > given) {
            return new Why.NotEnoughTurn(needed / given - 1);
        }
        Swings swings = Swings.before(trace, alikeSince(), departed, track.usableBandMm());
        if (swings.wiggling()) {
            return wiggled(swings);
        }
        return radius < Double.POSITIVE_INFINITY ? inBend(needed) : new Why.Drifted();
    }

    /** Since when the line goes on as where it departed: a line that swings to and fro makes a robot swing that is quite calm. */
    private int alikeSince() {
        int since = alikeSince(departed);
        boolean brief = trace.tS(departed) - trace.tS(since) < SHORT_S;
        return brief && since > 0 && curvature(since - 1) == 0 ? alikeSince(since - 1) : since;
    }

    private int alikeSince(int tick) {
        int at = tick;
        while (at > 0 && curvature(at - 1) == curvature(tick)) {
            at--;
        }
        return at;
    }

    private double curvature(int tick) {
        return track.path().curvaturePerMm(Math.max(0, trace.sMm(tick)));
    }

    private static Why wiggled(Swings swings) {
        return new Why.Wiggled(swings.periodS(), swings.firstMm(), swings.lastMm());
    }

    private boolean badStart() {
        return sMm < START_MM + Math.max(0, setup.leadMm())
                && (Math.abs(start.offsetMm()) > START_SHARE * track.usableBandMm()
                        || Math.abs(start.headingRad()) > START_RAD);
    }

    private Why inBend(double neededPerMm) {
        Drive drive = setup.robot().drive();
        double needed = SteadyTurn.steering(drive, setup.law().baseCommand(), SteadyTurn.limit(setup), neededPerMm);
        double asked = asked();
        if (asked < SOFT_SHARE * needed) {
            return new Why.TooSoft(asked, needed);
        }
        return new Why.TooLate(
                setup.robot().loop().delayS() + setup.robot().loop().periodS() / 2 + drive.lagS());
    }

    /** Of the turning point, whose circle is smaller than that of the sensors it carries ahead; infinite where there is none. */
    private double neededPerMm(double radiusMm) {
        if (radiusMm == Double.POSITIVE_INFINITY) {
            return 0;
        }
        double sensed = radiusMm + track.usableBandMm();
        double lead = setup.leadMm();
        return sensed > Math.abs(lead) ? 1 / Math.sqrt((sensed - lead) * (sensed + lead)) : Double.POSITIVE_INFINITY;
    }

    /** The middle of what was steered back towards the path just before it departed. */
    private double asked() {
        int from = trace.indexAt(trace.tS(departed) - ASKED_OVER_S);
        double[] back = new double[departed - from + 1];
        for (int i = from; i <= departed; i++) {
            back[i - from] = Math.max(0, onLeft ? -trace.steering(i) : trace.steering(i));
        }
        Arrays.sort(back);
        return back[back.length / 2];
    }

    /** The rule that steered further away from the line about when it departed; FOLLOWING when none did. */
    private Doing awayByRule() {
        int from = trace.indexAt(trace.tS(departed) - RULE_WITHIN_S);
        int to = trace.indexAt(trace.tS(departed) + RULE_WITHIN_S);
        int[] ticks = new int[Doing.values().length];
        for (int i = from; i <= to; i++) {
            boolean away = onLeft ? trace.steering(i) > 0 : trace.steering(i) < 0;
            if (away && trace.doing(i) != Doing.FOLLOWING) {
                ticks[trace.doing(i).ordinal()]++;
            }
        }
        for (Doing rule : Doing.values()) {
            if (ticks[rule.ordinal()] >= RULE_TICKS) {
                return rule;
            }
        }
        return Doing.FOLLOWING;
    }

    /** What drove most of the time about a tick. */
    private Doing droveMost(int tick) {
        int from = trace.indexAt(trace.tS(tick) - RULE_WITHIN_S);
        int to = trace.indexAt(trace.tS(tick) + RULE_WITHIN_S);
        int[] ticks = new int[Doing.values().length];
        for (int i = from; i <= to; i++) {
            ticks[trace.doing(i).ordinal()]++;
        }
        int most = 0;
        for (int i = 0; i < ticks.length; i++) {
            most = ticks[i] > ticks[most] ? i : most;
        }
        return Doing.values()[most];
    }

    /** When it was half way round, for the last time. */
    private int turnedAt() {
        int at = trace.size() - 1;
        while (at > 0 && Math.abs(aslant(at)) > Math.PI / 2) {
            at--;
        }
        return at;
    }

    private double gapBeganMm() {
        double at = track.path().partAt(sMm) instanceof Part.Gap ? sMm : Math.max(0, sMm - BEHIND_MM);
        while (at > 0 && track.path().partAt(at) instanceof Part.Gap) {
            at -= 1;
        }
        return at;
    }

    private int tickAt(double alongMm) {
        int at = departed;
        while (at > 0 && trace.sMm(at) > alongMm) {
            at--;
        }
        return at;
    }

    private double aslant(int tick) {
        double away = trace.headingRad(tick) - track.path().at(trace.sMm(tick)).headingRad();
        return Math.IEEEremainder(away, 2 * Math.PI);
    }

    /** The stretch without the line that begins last before the end of the run. */
    private double blindS() {
        int end = trace.size() - 1;
        int at = departed;
        while (at < end && !blind(at)) {
            at++;
        }
        int until = at;
        while (until < end && blind(until)) {
            until++;
        }
        while (at > 0 && until > at && blind(at - 1)) {
            at--;
        }
        return trace.tS(until) - trace.tS(at);
    }

    private boolean blind(int tick) {
        for (int i = 0; i < setup.lawSensors().size(); i++) {
            if (lineShare(setup.lawSensors().get(i), trace.reading(tick, i)) >= SEEN_SHARE) {
                return false;
            }
        }
        return true;
    }

    private double lineShare(Sensor sensor, double reading) {
        double ground = setup.line().polarity().ground(sensor);
        return (reading - ground) / (setup.line().polarity().line(sensor) - ground);
    }
}
