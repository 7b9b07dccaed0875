package fahrbahn.core.law;

import fahrbahn.core.response.LineShare;
import fahrbahn.core.setup.Extent;
import fahrbahn.core.setup.Mixing;
import fahrbahn.core.setup.ObstacleMove;
import fahrbahn.core.setup.Setup;

/** {@link ObstacleMove} at work, tick by tick; while it drives, the law rests. Not thread-safe; allocates nothing after it is made. */
public final class ObstacleRound {
    /** What it is at. */
    public enum Phase {
        FOLLOWING,
        BACKING,
        TURNING,
        ROUND,
        ON,
        STRAIGHTENING
    }

    private final ObstacleMove move;
    private final LineShare lineShare;
    private final double seenShare;
    private final int following;
    private final double speedMmPerS;
    private final double base;
    private final double spinBase;
    private final double spinSteering;
    private final double arcBase;
    private final double arcSteering;
    private Phase phase = Phase.FOLLOWING;
    private double left;
    private boolean clear;

    ObstacleRound(Setup setup, ObstacleMove move) {
        this.move = move;
        following = setup.lawSensors().size();
        lineShare = new LineShare(setup, setup.lawSensors());
        seenShare = setup.law().options().lost().seenShare();
        speedMmPerS = setup.speedMmPerS();
        base = setup.law().baseCommand();
        boolean inner = setup.robot().drive().mixing() == Mixing.INNER_WHEEL;
        int way = move.way();
        spinBase = inner ? move.turnCommand() : 0;
        spinSteering =
                way * (inner ? Mixing.INNER_WHEEL.steeringLimit(setup.robot().drive()) : move.turnCommand());
        arcBase = inner
                ? move.arc().outside()
                : (move.arc().outside() + move.arc().inside()) / 2;
        arcSteering = -way
                * (inner
                        ? 50 * (1 - move.arc().inside() / move.arc().outside())
                        : (move.arc().outside() - move.arc().inside()) / 2);
    }

    void reset() {
        phase = Phase.FOLLOWING;
        left = 0;
        clear = false;
    }

    /**
     * One tick.
     *
     * @param scaled readings of the law's sensors first
     * @param feeler its reading, in its own numbers
     * @return whether it drives; the law does when not
     */
    boolean drives(double[] scaled, double feeler, double seconds) {
        switch (phase) {
            case FOLLOWING -> {
                if (move.met(feeler)) {
                    begin(Phase.BACKING, move.back());
                }
            }
            case BACKING -> {
                if (over(move.back(), seconds)) {
                    begin(Phase.TURNING, move.turn());
                }
            }
            case TURNING -> {
                if (over(move.turn(), seconds)) {
                    begin(Phase.ROUND, move.arc().most());
                    clear = false;
                }
            }
            case ROUND -> {
                boolean late = over(move.arc().most(), seconds);
                boolean sees = sees(scaled);
                clear |= !sees;
                if (clear && sees) {
                    begin(Phase.ON, move.on());
                } else if (late) {
                    phase = Phase.FOLLOWING;
                }
            }
            case ON -> {
                if (over(move.on(), seconds)) {
                    begin(Phase.STRAIGHTENING, move.straighten());
                }
            }
            case STRAIGHTENING -> {
                if (over(move.straighten(), seconds)) {
                    phase = Phase.FOLLOWING;
                }
            }
        }
        return phase != Phase.FOLLOWING;
    }

    private boolean sees(double[] scaled) {
        for (int i = 0; i < following; i++) {
            if (lineShare.of(i, scaled[i]) >= seenShare) {
                return true;
            }
        }
        return false;
    }

    private void begin(Phase next, Extent lasts) {
        phase = next;
        left = lasts.amount();
    }

    private boolean over(Extent counted, double seconds) {
        left -= counted.unit().in(seconds, speedMmPerS);
        return left <= 0;
    }

    public Phase phase() {
        return phase;
    }

    /** Whether it is on its way round: where the robot is then says nothing about how well it follows. */
    public boolean driving() {
        return phase != Phase.FOLLOWING;
    }

    double steering() {
        return switch (phase) {
            case TURNING, STRAIGHTENING -> spinSteering;
            case ROUND -> arcSteering;
            default -> 0;
        };
    }

    double baseCommand() {
        return switch (phase) {
            case BACKING -> -base;
            case TURNING, STRAIGHTENING -> spinBase;
            case ROUND -> arcBase;
            default -> base;
        };
    }
}
