package fahrbahn.core.law;

import fahrbahn.core.colour.ColourRule;
import fahrbahn.core.colour.ColourScale;
import fahrbahn.core.colour.ColourSpace;
import fahrbahn.core.setup.Drive;
import fahrbahn.core.setup.ErrorSignal;
import fahrbahn.core.setup.Extent;
import fahrbahn.core.setup.Law;
import fahrbahn.core.setup.Line;
import fahrbahn.core.setup.Loop;
import fahrbahn.core.setup.Mixing;
import fahrbahn.core.setup.ObstacleMove;
import fahrbahn.core.setup.Options;
import fahrbahn.core.setup.Options.Limits;
import fahrbahn.core.setup.Options.LostLine;
import fahrbahn.core.setup.Options.Outer;
import fahrbahn.core.setup.Options.Pattern;
import fahrbahn.core.setup.Options.Step;
import fahrbahn.core.setup.Polarity;
import fahrbahn.core.setup.Robot;
import fahrbahn.core.setup.Scale;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.setup.Side;
import fahrbahn.core.setup.Traits;
import fahrbahn.core.setup.TurnMarks;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;

/** Setups of every law, scale, mixing, limit and reflex, drawn at random; and readings that meet line, ground, crossings and marks. */
public final class DrawnLaws {
    private DrawnLaws() {}

    private static Options options(Random random, ErrorSignal kind, int sensors, double full, double top) {
        Options options = Options.PLAIN;
        if (kind.wholeRow() && kind.hasError() && random.nextInt(3) == 0) {
            List<Double> weights = new ArrayList<>();
            for (int i = 0; i < sensors; i++) {
                weights.add((sensors - 1 - 2 * i) * (1 + random.nextDouble()));
            }
            options = options.withWeights(weights);
        }
        if (kind.hasError() && random.nextInt(3) == 0) {
            List<Step> steps = new ArrayList<>();
            double above = random.nextBoolean() ? 0 : 0.1 * top * random.nextDouble();
            for (int i = 0; i < 1 + random.nextInt(3); i++) {
                steps.add(new Step(above, full * 0.2 * (i + random.nextDouble())));
                above += 0.01 * top + 0.15 * top * random.nextDouble();
            }
            options = options.withSteps(steps, random.nextBoolean() ? 0 : 0.05 * top);
        }
        if (!kind.hasError()) {
            List<Pattern> patterns = new ArrayList<>();
            for (int number = 0; number < 1 << sensors; number++) {
                if (random.nextInt(4) > 0) {
                    String bits =
                            Integer.toBinaryString((1 << sensors) + number).substring(1);
                    patterns.add(new Pattern(bits, random.nextInt(3) == 0 ? 0 : full * (random.nextDouble() - 0.5)));
                }
            }
            options =
                    options.withPatterns(patterns.isEmpty() ? List.of(new Pattern("1".repeat(sensors), 0)) : patterns);
            if (random.nextBoolean()) {
                options = options.withThresholds(
                        random.doubles(sensors, 0.3 * top, 0.7 * top).boxed().toList());
            }
        }
        LostLine.Action action = LostLine.Action.values()[random.nextInt(4)];
        options = options.withLost(new LostLine(
                action,
                0.1 + 0.6 * random.nextDouble(),
                0.4 * full * random.nextDouble(),
                0.4 * top * random.nextDouble()));
        // One in eight, and no draw of its own: with one more, draws of this generator go by turns and some kinds of
        // marks never come.
        boolean stops = (int) (8000 * options.lost().seenShare()) % 8 == 0;
        double limit = random.nextBoolean() ? Double.POSITIVE_INFINITY : full * (0.2 + random.nextDouble());
        double slowDown = Double.isFinite(limit) && random.nextBoolean() ? random.nextDouble() : 0;
        options = options.withLimits(new Limits(limit, slowDown, random.nextInt(3) == 0 ? 0.08 : 0, stops));
        options = random.nextInt(3) == 0 ? options.withOuter(outer(random, full)) : options;
        // From a generator of its own, for the reason above.
        Random others = new Random(Double.doubleToLongBits(options.lost().seenShare()));
        options = others.nextInt(4) == 0 ? options.withObstacle(Optional.of(obstacle(others, full))) : options;
        return random.nextInt(2) == 0 ? options.withTurnMarks(Optional.of(marks(random, full))) : options;
    }

    private static ObstacleMove obstacle(Random random, double full) {
        ObstacleMove.Found found = ObstacleMove.Found.values()[random.nextInt(2)];
        double outside = full * (0.2 + 0.7 * random.nextDouble());
        return new ObstacleMove(
                new ObstacleMove.Feeler(found, 90, 150, 3, 0.02),
                found == ObstacleMove.Found.TOUCH ? 0.5 : 100,
                Side.values()[random.nextInt(2)],
                brief(random),
                brief(random),
                full * (0.1 + 0.8 * random.nextDouble()),
                new ObstacleMove.Arc(outside, outside * (1.4 * random.nextDouble() - 0.4), brief(random)),
                brief(random),
                brief(random));
    }

    /** Over within some ten ticks, so that a run of readings comes to its end. */
    private static Extent brief(Random random) {
        Extent.Unit unit = Extent.Unit.values()[random.nextInt(3)];
        double most = unit == Extent.Unit.LOOPS ? 9 : unit == Extent.Unit.MS ? 90 : 20;
        return new Extent(most * random.nextDouble(), unit);
    }

    private static Outer outer(Random random, double full) {
        double enter = 0.2 + 0.6 * random.nextDouble();
        return new Outer("far left", "far right", 0.5 * full, enter, enter * (0.5 + 0.5 * random.nextDouble()));
    }

    private static TurnMarks marks(Random random, double full) {
        return new TurnMarks(
                new TurnMarks.Looker("colour left", scale(random)),
                new TurnMarks.Looker("colour right", scale(random)),
                random.nextInt(4) == 0 ? cut(random) : byDistance(random),
                "mark",
                1 + random.nextInt(2),
                extent(random),
                extent(random),
                TurnMarks.Place.values()[random.nextInt(2)],
                new TurnMarks.Manoeuvre(extent(random), full * (0.1 + 0.8 * random.nextDouble()), extent(random)));
    }

    private static ColourRule cut(Random random) {
        double first = random.nextDouble() / 2;
        double second = first + random.nextDouble() / 2;
        return new ColourRule(
                ColourSpace.values()[random.nextInt(ColourSpace.values().length)],
                new ColourRule.Cut(random.nextInt(3), List.of(first, second)),
                List.of("dark", "mark", "light"));
    }

    private static ColourRule byDistance(Random random) {
        List<ColourRule.Known> known = new ArrayList<>();
        boolean bordered = random.nextBoolean();
        for (String surface : List.of("dark", "light", "mark", "cargo")) {
            List<Double> centre = surface.equals("dark")
                    ? List.of(0.0, 0.0, 0.0)
                    : List.of(random.nextDouble(), random.nextDouble(), random.nextDouble());
            known.add(new ColourRule.Known(surface, centre, bordered ? List.of(0.5, 0.4, 0.6) : List.of()));
        }
        ColourSpace space = ColourSpace.values()[random.nextInt(ColourSpace.values().length)];
        // Any lower triangle with a heavy diagonal measures distances.
        List<Double> metric = bordered || random.nextBoolean()
                ? List.of()
                : List.of(
                        3 + random.nextDouble(),
                        random.nextDouble() - 0.5,
                        3 + random.nextDouble(),
                        random.nextDouble() - 0.5,
                        random.nextDouble() - 0.5,
                        3 + random.nextDouble());
        return new ColourRule(space, metric, known);
    }

    private static ColourScale scale(Random random) {
        return new ColourScale(
                List.of(10 * random.nextDouble(), 10 * random.nextDouble(), 10 * random.nextDouble()),
                List.of(90 + random.nextDouble(), 190 + random.nextDouble(), 60 + random.nextDouble()));
    }

    private static Extent extent(Random random) {
        Extent.Unit unit = Extent.Unit.values()[random.nextInt(3)];
        return new Extent(unit == Extent.Unit.MS ? 40 * random.nextDouble() : 6 * random.nextDouble(), unit);
    }

    public static Setup drawn(Random random, ErrorSignal kind) {
        int sensors = switch (kind) {
            case EDGE -> 1;
            case PAIR -> 2;
            case PATTERN -> 2 + random.nextInt(5);
            case ARRAY_MEAN, ARRAY_DIFFERENCE -> 3 + random.nextInt(4);
        };
        Scale scale = Scale.NAMED.get(random.nextInt(4));
        double dark = 10 + 100 * random.nextDouble();
        double light = dark + 100 + 500 * random.nextDouble();
        boolean darkReadsHigh = random.nextInt(4) == 0;
        double top = scale == Scale.PERCENT ? 100 : scale == Scale.UNIT ? 1 : scale == Scale.PERMILLE ? 1000 : light;
        double full = new double[] {1, 100, 255}[random.nextInt(3)];
        Options options = options(random, kind, sensors, full, top);
        List<Sensor> row = new ArrayList<>();
        for (int i = 0; i < sensors; i++) {
            double off = scale == Scale.RAW ? 0 : 1; // raw numbers of unlike sensors would ride nowhere
            row.add(sensor(
                    "s" + i, 14.0 * ((sensors - 1) / 2.0 - i), dark + off * i, light + 3 * off * i, darkReadsHigh));
        }
        if (options.outer().isPresent()) {
            row.add(0, sensor("far left", 70, dark, light, darkReadsHigh));
            row.add(sensor("far right", -70, dark, light, darkReadsHigh));
        }
        if (options.turnMarks().isPresent() && !kind.wholeRow()) {
            row.add(0, sensor("colour left", 90, dark, light, darkReadsHigh));
            row.add(sensor("colour right", -90, dark, light, darkReadsHigh));
        } else if (options.turnMarks().isPresent()) {
            // Of a row they follow as well: two that are there already.
            List<Integer> both = options.outer().isPresent() ? List.of(1, row.size() - 2) : List.of(0, row.size() - 1);
            row.set(both.get(0), called(row.get(both.get(0)), "colour left"));
            row.set(both.get(1), called(row.get(both.get(1)), "colour right"));
        }
        Mixing mixing = Mixing.values()[random.nextInt(2)];
        Drive drive = new Drive(120, 500, 0.04, mixing, full, Traits.IDEAL.withMayReverse(random.nextBoolean()));
        double target = scale == Scale.RAW ? (dark + light) / 2 : top / 2;
        double kp = full / top * random.nextDouble();
        Law law = new Law(
                kind,
                Side.values()[random.nextInt(2)],
                scale,
                target,
                kp,
                random.nextBoolean() ? 0 : 0.02 * kp,
                kp * 2 * random.nextDouble(),
                full * (0.2 + 0.5 * random.nextDouble()),
                options);
        Robot robot = new Robot("drawn", drive, new Loop(0.01, 0.005), row);
        return new Setup(robot, new Line(20, Polarity.values()[random.nextInt(2)], 160), law);
    }

    private static Sensor sensor(String name, double leftMm, double dark, double light, boolean darkReadsHigh) {
        return new Sensor(name, 55, leftMm, 4, darkReadsHigh ? light : dark, darkReadsHigh ? dark : light, 0, 0);
    }

    /** Readings of one tick by the names of a program's sensors. */
    public static Map<String, Double> readings(Random random, Setup setup, List<String> sensors, int tick) {
        Map<String, Double> byName = new HashMap<>();
        int what = random.nextInt(6);
        for (String name : sensors) {
            if (name.equals("bumper") || name.equals("distance")) {
                // Met about every tenth tick.
                boolean near = random.nextInt(10) == 0;
                byName.put(name, name.equals("bumper") ? (near ? 1.0 : 0.0) : near ? 80.0 : 400.0);
                continue;
            }
            if (name.startsWith("colour") && name.contains(".")) {
                // Over the line, and a crossing when both are, or anywhere.
                byName.put(name, tick % 3 == 0 ? 8 : 200 * random.nextDouble());
                continue;
            }
            Sensor sensor = setup.robot().sensors().stream()
                    .filter(s -> s.name().equals(name))
                    .findFirst()
                    .orElseThrow();
            double share = what == 0
                    ? 0.05 - 0.1 * random.nextDouble()
                    : what == 1 ? 0.95 + 0.1 * random.nextDouble() : random.nextDouble() * 1.2 - 0.1;
            byName.put(name, sensor.dark() + share * (sensor.light() - sensor.dark()));
        }
        return byName;
    }

    public static Sensor called(Sensor s, String name) {
        return new Sensor(name, s.forwardMm(), s.leftMm(), s.spotSigmaMm(), s.dark(), s.light(), s.noise(), s.step());
    }
}
