package fahrbahn.core.law;

import fahrbahn.core.setup.Extent;
import fahrbahn.core.setup.Mixing;
import fahrbahn.core.setup.ObstacleMove;
import fahrbahn.core.setup.Setup;
import java.util.List;
import java.util.Map;

/** The way round an obstacle in words, from the description alone: a list of moves, one after the other. */
final class PlainObstacle {
    private final Setup setup;
    private final ObstacleMove move;
    private String doing = "";
    private double gone;
    private boolean offTheLine;

    PlainObstacle(Setup setup) {
        this.setup = setup;
        move = setup.law().options().obstacle().orElseThrow();
    }

    private boolean done(Extent extent, double seconds) {
        gone += switch (extent.unit().word()) {
            case "loops" -> 1;
            case "ms" -> 1000 * seconds;
            default -> setup.speedMmPerS() * seconds;
        };
        return gone >= extent.amount() - 1e-9;
    }

    private void next(String what) {
        doing = what;
        gone = 0;
    }

    /** The commands of both wheels and the steering, or nothing where the law drives. */
    List<Double> tick(Map<String, Double> readings, boolean lineSeen, double seconds) {
        boolean touch = move.feeler().found().word().equals("touch");
        double reads = readings.get(touch ? "bumper" : "distance");
        switch (doing) {
            case "" -> {
                if (touch ? reads >= move.at() : reads <= move.at()) {
                    next("back");
                }
            }
            case "back" -> {
                if (done(move.back(), seconds)) {
                    next("away");
                }
            }
            case "away" -> {
                if (done(move.turn(), seconds)) {
                    next("arc");
                    offTheLine = false;
                }
            }
            case "arc" -> {
                boolean tooLong = done(move.arc().most(), seconds);
                offTheLine |= !lineSeen;
                if (offTheLine && lineSeen) {
                    next("on");
                } else if (tooLong) {
                    next("");
                }
            }
            case "on" -> {
                if (done(move.on(), seconds)) {
                    next("along");
                }
            }
            default -> {
                if (done(move.straighten(), seconds)) {
                    next("");
                }
            }
        }
        return commands();
    }

    private List<Double> commands() {
        double base = setup.law().baseCommand();
        boolean left = move.side().word().equals("left");
        return switch (doing) {
            case "" -> List.of();
            case "back" -> List.of(-base, -base);
            case "on" -> List.of(base, base);
            case "arc" ->
                left
                        ? List.of(move.arc().outside(), move.arc().inside())
                        : List.of(move.arc().inside(), move.arc().outside());
            default -> {
                double spin = move.turnCommand();
                yield left ? List.of(-spin, spin) : List.of(spin, -spin);
            }
        };
    }

    /** What of the steering number makes these commands. */
    double steering(List<Double> commands) {
        double left = commands.get(0);
        double right = commands.get(1);
        if (setup.robot().drive().mixing() == Mixing.DIFFERENCE) {
            return (right - left) / 2;
        }
        double outer = Math.max(left, right);
        return left == right ? 0 : Math.signum(right - left) * 50 * (1 - Math.min(left, right) / outer);
    }
}
