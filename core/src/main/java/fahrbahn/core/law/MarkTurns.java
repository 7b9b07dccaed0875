package fahrbahn.core.law;

import fahrbahn.core.colour.ColourReader;
import fahrbahn.core.colour.ColourSpace;
import fahrbahn.core.setup.Extent;
import fahrbahn.core.setup.Mixing;
import fahrbahn.core.setup.Polarity;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.setup.TurnMarks;

/**
 * {@link TurnMarks} at work, tick by tick: watches for marks and for the crossing, and drives the turn. While it drives, the law rests. Not
 * thread-safe; allocates nothing after it is made.
 */
public final class MarkTurns {
    /** A sensor is over the line when it covers so much of its spot in every channel; no mark is as dark, or as light, in all three. */
    private static final double LINE_SHARE = 0.5;

    private static final int LEFT = 0;
    private static final int RIGHT = 1;

    private enum Phase {
        FOLLOWING,
        /** Behind a crossing, looking for marks that stand there. */
        LOOKING,
        AHEAD,
        TURNING,
        /** Straight on over a crossing without marks. */
        STRAIGHT,
        /** The law follows; neither marks nor crossings count. */
        BLIND
    }

    private final TurnMarks marks;
    private final ColourReader reader;
    private final int mark;
    private final boolean lineIsDark;
    private final double speedMmPerS;
    private final double lawsBase;
    private final double turnBase;
    private final double turnSteering;

    private final int[] run = new int[2];
    private final int[] longestRun = new int[2];
    private final double[] sinceSeen = new double[2];
    private final boolean[] onLine = new boolean[2];
    private Phase phase = Phase.FOLLOWING;
    private double left;
    private double goneAhead;
    private int side;
    private boolean unseenWhileBlind;

    private int decisions;
    private int decidedSides;
    private final int[] decidedRun = new int[2];
    private final double[] decidedSince = new double[2];
    private boolean decidedBlind;

    MarkTurns(Setup setup, TurnMarks marks) {
        this.marks = marks;
        reader = new ColourReader(marks.colours());
        mark = marks.colours().indexOf(marks.mark());
        lineIsDark = setup.line().polarity() == Polarity.DARK_ON_LIGHT;
        speedMmPerS = setup.speedMmPerS();
        lawsBase = setup.law().baseCommand();
        boolean inner = setup.robot().drive().mixing() == Mixing.INNER_WHEEL;
        turnBase = inner ? marks.turn().command() : 0;
        turnSteering = inner
                ? Mixing.INNER_WHEEL.steeringLimit(setup.robot().drive())
                : marks.turn().command();
        reset();
    }

    void reset() {
        phase = Phase.FOLLOWING;
        left = 0;
        side = 0;
        unseenWhileBlind = false;
        forget();
        decisions = 0;
        decidedSides = 0;
    }

    private void forget() {
        for (int i = LEFT; i <= RIGHT; i++) {
            run[i] = 0;
            longestRun[i] = 0;
            sinceSeen[i] = Double.POSITIVE_INFINITY;
        }
    }

    /**
     * One tick.
     *
     * @param scaled channels of the left looker from the place {@code at} on, then of the right one
     * @return whether it drives; the law does when not
     */
    boolean drives(double[] scaled, int at, double seconds) {
        boolean marked = look(scaled, at, seconds);
        switch (phase) {
            case FOLLOWING -> {
                if (onLine[LEFT] && onLine[RIGHT]) {
                    meetCrossing();
                }
            }
            case LOOKING -> {
                goneAhead += marks.turn().ahead().unit().in(seconds, speedMmPerS);
                if (over(marks.lookBack(), seconds)) {
                    decide(Double.POSITIVE_INFINITY);
                }
            }
            case AHEAD -> {
                if (over(marks.turn().ahead(), seconds)) {
                    begin(Phase.TURNING, quarters() * marks.turn().quarter().amount());
                }
            }
            case TURNING -> {
                if (over(marks.turn().quarter(), seconds)) {
                    begin(Phase.BLIND, marks.blank().amount());
                    forget();
                }
            }
            case STRAIGHT, BLIND -> {
                unseenWhileBlind |= marked;
                if (over(marks.blank(), seconds)) {
                    phase = Phase.FOLLOWING;
                    forget();
                }
            }
        }
        return phase != Phase.FOLLOWING && phase != Phase.BLIND;
    }

    /** @return whether either sensor reads the mark */
    private boolean look(double[] scaled, int at, double seconds) {
        boolean any = false;
        double passed = marks.lookBack().unit().in(seconds, speedMmPerS);
        for (int i = LEFT; i <= RIGHT; i++) {
            int from = at + i * ColourSpace.CHANNELS;
            boolean isMark = reader.take(scaled, from) == mark;
            any |= isMark;
            onLine[i] = !isMark && onLine(scaled, from);
            run[i] = isMark ? run[i] + 1 : 0;
            longestRun[i] = Math.max(longestRun[i], run[i]);
            sinceSeen[i] = run[i] >= marks.reads() ? 0 : sinceSeen[i] + passed;
        }
        return any;
    }

    private boolean onLine(double[] scaled, int from) {
        for (int i = from; i < from + ColourSpace.CHANNELS; i++) {
            if ((lineIsDark ? 1 - scaled[i] : scaled[i]) < LINE_SHARE) {
                return false;
            }
        }
        return true;
    }

    private void meetCrossing() {
        goneAhead = 0;
        if (marks.place() == TurnMarks.Place.BEFORE) {
            decide(marks.lookBack().amount());
        } else {
            forget();
            begin(Phase.LOOKING, marks.lookBack().amount());
        }
    }

    /** @param longestAgo a mark counts when it was last seen no longer ago */
    private void decide(double longestAgo) {
        decidedSides = 0;
        for (int i = LEFT; i <= RIGHT; i++) {
            decidedRun[i] = longestRun[i];
            decidedSince[i] = sinceSeen[i];
            decidedSides |= sinceSeen[i] <= longestAgo && sinceSeen[i] < Double.POSITIVE_INFINITY ? 1 << i : 0;
        }
        decidedBlind = unseenWhileBlind;
        unseenWhileBlind = false;
        decisions++;
        side = decidedSides == 1 << RIGHT ? -1 : 1;
        if (decidedSides == 0) {
            begin(Phase.STRAIGHT, marks.blank().amount());
        } else {
            begin(Phase.AHEAD, marks.turn().ahead().amount() - goneAhead);
        }
        forget();
    }

    private int quarters() {
        return decidedSides == (1 << LEFT | 1 << RIGHT) ? 2 : 1;
    }

    private void begin(Phase next, double amount) {
        phase = next;
        left = amount;
    }

    private boolean over(Extent counted, double seconds) {
        left -= counted.unit().in(seconds, speedMmPerS);
        return left <= 0;
    }

    double steering() {
        return phase == Phase.TURNING ? side * turnSteering : 0;
    }

    double baseCommand() {
        return phase == Phase.TURNING ? turnBase : lawsBase;
    }

    /** How often it has decided at a crossing so far. */
    public int decisions() {
        return decisions;
    }

    /** Whether it is on its way round: where the robot is then says nothing about how well it follows. */
    public boolean turning() {
        return phase == Phase.AHEAD || phase == Phase.TURNING;
    }

    /** Whether it is turning at this tick. */
    boolean onTheSpot() {
        return phase == Phase.TURNING;
    }

    /** Whether a mark is believed on that side at this tick. */
    public boolean sees(boolean onLeft) {
        return run[onLeft ? LEFT : RIGHT] >= marks.reads();
    }

    /** At the latest decision: whether a mark counted on the left, or on the right. */
    public boolean counted(boolean onLeft) {
        return (decidedSides & 1 << (onLeft ? LEFT : RIGHT)) != 0;
    }

    /** At the latest decision: most reads in a row that showed a mark there since the one before. */
    public int longestRun(boolean onLeft) {
        return decidedRun[onLeft ? LEFT : RIGHT];
    }

    /** At the latest decision: how long ago a mark was last believed there, in the unit of the look back; infinite when never. */
    public double since(boolean onLeft) {
        return decidedSince[onLeft ? LEFT : RIGHT];
    }

    /** At the latest decision: whether some mark passed unseen since the one before, while none counted. */
    public boolean passedWhileBlind() {
        return decidedBlind;
    }
}
