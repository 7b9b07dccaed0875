package fahrbahn.core.law;

import fahrbahn.core.setup.Law;
import fahrbahn.core.setup.Mixing;
import fahrbahn.core.setup.Options;
import fahrbahn.core.setup.Scale;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.setup.Side;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * A second program of every law, written from what docs/formats.md and SCIENCE say and from nothing of the first: readings in, commands out,
 * step by step as a coach would write it down. For tests only: slow, and in words rather than in numbers.
 */
final class PlainLaw {
    private final Setup setup;
    private final Law law;
    private final Options options;
    private final List<Sensor> row;
    private final List<Sensor> corner;
    private final boolean lineReadsHigh;

    private Double errorBefore;
    private double sum;
    private int stair;
    private double steeringBefore;
    private String lostTowards = "nowhere";
    private boolean lostOverGap = true;
    private double straightOnFor;
    private boolean standsStill;
    private final PlainMarks marks;
    private final PlainObstacle round;
    private final Map<String, Boolean> metBefore = new HashMap<>();

    double error;
    double steering;
    double left;
    double right;

    PlainLaw(Setup setup) {
        this.setup = setup;
        law = setup.law();
        options = law.options();
        corner = new ArrayList<>();
        List<Sensor> others = new ArrayList<>(setup.robot().sensors());
        options.outer().ifPresent(outer -> {
            for (String name : List.of(outer.left(), outer.right())) {
                Sensor one = others.stream()
                        .filter(s -> s.name().equals(name))
                        .findAny()
                        .orElseThrow();
                corner.add(one);
                others.remove(one);
            }
        });
        // Those that look for marks do not follow where one or two others do.
        int needed = law.signal().tracksEdge() ? 1 : law.signal().straddles() ? 2 : 99;
        options.turnMarks().ifPresent(m -> {
            if (others.size() - 2 >= needed) {
                others.removeIf(s -> s.name().equals(m.left().sensor())
                        || s.name().equals(m.right().sensor()));
            }
        });
        row = switch (law.signal()) {
            case EDGE -> List.of(others.get(0));
            case PAIR -> List.of(others.get(0), others.get(others.size() - 1));
            default -> others;
        };
        marks = options.turnMarks().isPresent() ? new PlainMarks(setup) : null;
        round = options.obstacle().isPresent() ? new PlainObstacle(setup) : null;
        Sensor first = row.get(0);
        lineReadsHigh = inLawsNumbers(first, line(first)) > inLawsNumbers(first, ground(first));
    }

    private boolean lineIsDark() {
        return setup.line().polarity().word().equals("dark-on-light");
    }

    private double line(Sensor s) {
        return lineIsDark() ? s.dark() : s.light();
    }

    private double ground(Sensor s) {
        return lineIsDark() ? s.light() : s.dark();
    }

    private double inLawsNumbers(Sensor s, double reading) {
        double top = law.scale() == Scale.PERCENT ? 100 : law.scale() == Scale.UNIT ? 1 : 1000;
        return law.scale() == Scale.RAW ? reading : top * (reading - s.dark()) / (s.light() - s.dark());
    }

    /** 0 on the ground, 1 on the line. */
    private double shareOfLine(Sensor s, double reading) {
        return (reading - ground(s)) / (line(s) - ground(s));
    }

    private boolean onLine(Sensor s, double reading) {
        return shareOfLine(s, reading) >= options.lost().seenShare() - 1e-15;
    }

    void tick(Map<String, Double> readings, double seconds) {
        if (round != null) {
            boolean seen = row.stream().anyMatch(s -> onLine(s, readings.get(s.name())));
            List<Double> wheels = round.tick(readings, seen, seconds);
            if (!wheels.isEmpty()) {
                roundIt(wheels);
                return;
            }
        }
        String marksSay = marks == null ? "law" : marks.tick(readings, seconds);
        if (!marksSay.equals("law")) {
            byMarks(marksSay);
            return;
        }
        double wanted = !law.signal().hasError() ? byPattern(readings) : byError(readings);
        wanted = reflexes(readings, wanted, seconds);
        double most = Math.min(
                options.limits().steering(),
                setup.robot().drive().mixing() == Mixing.INNER_WHEEL ? 100 : Double.POSITIVE_INFINITY);
        if (standsStill) {
            steering = 0;
            left = 0;
            right = 0;
            return;
        }
        steering = Math.max(-most, Math.min(most, wanted));
        steeringBefore = steering;
        double base = law.baseCommand();
        if (options.limits().slowDown() > 0) {
            base *= 1 - options.limits().slowDown() * Math.abs(steering) / most;
        }
        if (setup.robot().drive().mixing() == Mixing.DIFFERENCE) {
            left = base - steering;
            right = base + steering;
        } else {
            left = steering > 0 ? base * (1 - steering / 50) : base;
            right = steering < 0 ? base * (1 + steering / 50) : base;
        }
        double full = setup.robot().drive().fullCommand();
        double least = setup.robot().drive().traits().mayReverse() ? -full : 0;
        left = Math.max(least, Math.min(full, left));
        right = Math.max(least, Math.min(full, right));
    }

    private void roundIt(List<Double> wheels) {
        double full = setup.robot().drive().fullCommand();
        double least = setup.robot().drive().traits().mayReverse() ? -full : 0;
        left = Math.max(least, Math.min(full, wheels.get(0)));
        right = Math.max(least, Math.min(full, wheels.get(1)));
        steering = round.steering(wheels);
        steeringBefore = steering;
    }

    /** Straight on at the set command, or round on the spot: one wheel forwards, the other as fast backwards. */
    private void byMarks(String way) {
        double full = setup.robot().drive().fullCommand();
        double least = setup.robot().drive().traits().mayReverse() ? -full : 0;
        double turn = options.turnMarks().orElseThrow().turn().command();
        boolean inner = setup.robot().drive().mixing() == Mixing.INNER_WHEEL;
        steering = way.equals("straight") ? 0 : (inner ? 100 : turn) * (way.equals("left") ? 1 : -1);
        left = way.equals("straight") ? law.baseCommand() : way.equals("left") ? -turn : turn;
        right = way.equals("straight") ? law.baseCommand() : -left;
        left = Math.max(least, Math.min(full, left));
        right = Math.max(least, Math.min(full, right));
        steeringBefore = steering;
    }

    private double byPattern(Map<String, Double> readings) {
        Map<String, Double> table = new HashMap<>();
        options.patterns().forEach(p -> table.put(p.bits(), p.steering()));
        return table.getOrDefault(bits(readings), steeringBefore);
    }

    private String bits(Map<String, Double> readings) {
        StringBuilder bits = new StringBuilder();
        for (int i = 0; i < row.size(); i++) {
            Sensor s = row.get(i);
            double scaled = inLawsNumbers(s, readings.get(s.name()));
            double beyond = options.thresholds().isEmpty()
                    ? law.target()
                    : options.thresholds().get(i);
            bits.append((lineReadsHigh ? scaled > beyond : scaled < beyond) ? '1' : '0');
        }
        return bits.toString();
    }

    private double byError(Map<String, Double> readings) {
        double before = errorBefore == null ? 0 : errorBefore;
        error = error(readings, before);
        sum += error;
        double change = errorBefore == null ? 0 : error - errorBefore;
        errorBefore = error;
        double towardsCure = errorIsPositiveLeftOfPath() ? -1 : 1;
        if (!options.steps().isEmpty()) {
            return towardsCure * byStairs(error);
        }
        return towardsCure * (law.kp() * error + law.ki() * sum + law.kd() * change);
    }

    private double error(Map<String, Double> readings, double before) {
        switch (law.signal()) {
            case EDGE:
                return inLawsNumbers(row.get(0), readings.get(row.get(0).name())) - law.target();
            case PAIR:
                return inLawsNumbers(row.get(0), readings.get(row.get(0).name()))
                        - inLawsNumbers(row.get(1), readings.get(row.get(1).name()));
            case ARRAY_DIFFERENCE: {
                double total = 0;
                for (int i = 0; i < row.size(); i++) {
                    total += weight(i)
                            * inLawsNumbers(row.get(i), readings.get(row.get(i).name()));
                }
                return total;
            }
            default: {
                double shares = 0;
                double weighted = 0;
                double most = 0;
                for (int i = 0; i < row.size(); i++) {
                    double share = Math.max(
                            0, shareOfLine(row.get(i), readings.get(row.get(i).name())));
                    most = Math.max(most, share);
                    shares += share;
                    weighted += weight(i) * share;
                }
                return most < options.lost().seenShare() ? before : weighted / shares;
            }
        }
    }

    private double weight(int i) {
        if (!options.weights().isEmpty()) {
            return options.weights().get(i);
        }
        if (law.signal().isMean()) {
            return row.get(i).leftMm();
        }
        // 1, 2, 3 ... outward, nothing in an odd middle.
        int n = row.size();
        double place = (n - 1) / 2.0 - i;
        double size = n % 2 == 1 ? Math.abs(place) : Math.abs(place) + 0.5;
        return place < 0 ? -size : size;
    }

    /**
     * Left of its path an edge rider on the right edge of a dark line sees more line, hence less light. Left of the line the left one of a
     * pair sees more ground than the right one.
     */
    private boolean errorIsPositiveLeftOfPath() {
        boolean groundReadsHigh = !lineReadsHigh;
        switch (law.signal()) {
            case EDGE:
                return (law.side() == Side.LEFT) == groundReadsHigh;
            case ARRAY_MEAN:
                return heaviestLeft() ? false : true;
            default:
                return heaviestLeft() == groundReadsHigh;
        }
    }

    /** Whether sensors on the left count positive, as they do unless weights are given the other way round. */
    private boolean heaviestLeft() {
        return law.signal().straddles() || law.signal().tracksEdge() || weight(0) > weight(row.size() - 1);
    }

    /** Goes up a stair as soon as the error is above it, and down only when it has come back by the hysteresis. */
    private double byStairs(double error) {
        List<Options.Step> stairs = options.steps();
        int up = 0;
        for (Options.Step s : stairs) {
            up += Math.abs(error) > s.aboveError() ? 1 : 0;
        }
        int way = error < 0 ? -1 : 1;
        boolean sameSide = stair != 0 && Integer.signum(stair) == way;
        if (sameSide) {
            int on = Math.abs(stair);
            while (on > up && Math.abs(error) <= stairs.get(on - 1).aboveError() - options.hysteresis()) {
                on--;
            }
            stair = way * Math.max(on, up);
        } else if (stair == 0
                || Math.abs(error) > options.hysteresis()
                || stairs.get(0).aboveError() > 0) {
            stair = way * up;
        }
        return stair == 0
                ? 0
                : Integer.signum(stair) * stairs.get(Math.abs(stair) - 1).steering();
    }

    /** An emergency sensor meets the line at one share and leaves it at another. */
    private boolean met(Sensor s, Map<String, Double> readings) {
        Options.Outer outer = options.outer().get();
        double share = shareOfLine(s, readings.get(s.name()));
        boolean before = metBefore.getOrDefault(s.name(), false);
        boolean now = share >= (before ? outer.leaveShare() : outer.enterShare()) - 1e-15;
        metBefore.put(s.name(), now);
        return now;
    }

    private double reflexes(Map<String, Double> readings, double wanted, double seconds) {
        boolean any = options.outer().isPresent()
                || options.limits().blankS() > 0
                || options.limits().stopsOnAll()
                || options.lost().action() != Options.LostLine.Action.NONE;
        if (!any) {
            return wanted;
        }
        long seeing =
                row.stream().filter(s -> onLine(s, readings.get(s.name()))).count();
        boolean leftOne = !corner.isEmpty() && met(corner.get(0), readings);
        boolean rightOne = !corner.isEmpty() && met(corner.get(1), readings);
        boolean all =
                !law.signal().hasError() ? bits(readings).indexOf("0") < 0 : row.size() > 1 && seeing == row.size();
        if (options.limits().stopsOnAll() && all) {
            standsStill = true;
        }
        straightOnFor -= seconds;
        if (options.limits().blankS() > 0 && row.size() > 1 && seeing == row.size()) {
            straightOnFor = options.limits().blankS();
        }
        if (straightOnFor > 0) {
            return 0;
        }
        if (!corner.isEmpty()) {
            if (leftOne != rightOne) {
                lostTowards = leftOne ? "left" : "right";
                lostOverGap = false;
                return leftOne
                        ? options.outer().get().steering()
                        : -options.outer().get().steering();
            }
        }
        Options.LostLine lost = options.lost();
        if (seeing > 0 || lost.action() == Options.LostLine.Action.NONE) {
            if (!law.signal().hasError()) {
                lostTowards = wanted > 0 ? "left" : wanted < 0 ? "right" : "nowhere";
                lostOverGap = wanted == 0;
            } else {
                boolean cureIsLeft = errorIsPositiveLeftOfPath() ? error < 0 : error > 0;
                lostTowards = error == 0 ? "nowhere" : cureIsLeft ? "left" : "right";
                lostOverGap = Math.abs(error) <= lost.gapError();
            }
            return wanted;
        }
        boolean straight = lost.action() == Options.LostLine.Action.STRAIGHT
                || lost.action() == Options.LostLine.Action.BY_LOSS && lostOverGap
                || lostTowards.equals("nowhere");
        return straight ? 0 : lostTowards.equals("left") ? lost.steering() : -lost.steering();
    }
}
