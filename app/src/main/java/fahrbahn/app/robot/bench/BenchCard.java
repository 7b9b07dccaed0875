package fahrbahn.app.robot.bench;

import fahrbahn.app.kit.Stopwatch;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.knowledge.Constant;
import fahrbahn.core.loop.LoopModel;
import fahrbahn.core.measuring.CreepFit;
import fahrbahn.core.measuring.LoopCount;
import fahrbahn.core.measuring.Measured;
import fahrbahn.core.measuring.RollFit;
import fahrbahn.core.measuring.SpinTurns;
import fahrbahn.core.measuring.WiggleTiming;
import fahrbahn.core.setup.Drive;
import fahrbahn.core.setup.Setup;
import fahrbahn.words.Words;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.stream.IntStream;

/** A guided measurement with ruler and stopwatch: what to do, what to type, and what comes of it. */
public enum BenchCard {
    ROLL(
            "Roll a metre",
            "Let it roll straight until it is at speed, then time it over the ruler. Time it at two powers to get the dead band"
                    + " too; at three, one at max power, to get speed loss. Drift: mm left of straight (right is negative).",
            "Hands, hair and sleeves away from the wheels before it starts; keep a hand ready and the robot off the table's edge.",
            Stopwatch.Counting.TIME,
            List.of(
                    new Field("command", 0),
                    new Field("distance, mm", 1000),
                    new Field("time, s", 0, Filled.BY_TIME),
                    new Field("drift, mm", 0, Filled.BY_HAND_IF_MEASURED))) {
        @Override
        Result work(List<List<Double>> rows, Setup setup, double speedShare) {
            RollFit fit = RollFit.of(
                    rows.stream()
                            .map(r -> new RollFit.Roll(r.get(0), r.get(1), r.get(2), r.get(3)))
                            .toList(),
                    setup.robot().drive());
            Map<Constant, Measured> found = new LinkedHashMap<>();
            boolean line = fit.perCommand().size() > 1;
            if (line) {
                found.put(Constant.DEAD_ZONE, fit.deadZoneCommand());
            }
            fit.sagShare().ifPresent(sag -> found.put(Constant.SAG, sag));
            found.put(Constant.FREE_SPEED, fit.freeSpeedMmPerS());
            double mismatch = fit.mismatchShare().map(Measured::value).orElse(Double.NaN);
            String straight = fit.mismatchShare().map(BenchWords::straight).orElse("");
            String words = "At max power " + BenchWords.with(fit.freeSpeedMmPerS()) + " mm/s"
                    + (line
                            ? ", dead band "
                                    + Words.number(fit.deadZoneCommand().value(), 2) + " ("
                                    + Words.number(fit.deadZoneLow(), 2) + " to " + Words.number(fit.deadZoneHigh(), 2)
                                    + ")." + BenchWords.sags(fit)
                            : ". Roll at a second power to get the dead band.")
                    + (fit.crookedShare() > CROOKED
                            ? " Speeds differ up to " + Words.percent(fit.crookedShare()) + " from that curve."
                            : "")
                    + straight;
            return new Result(found, words, mismatch);
        }
    },
    CREEP(
            "Creep",
            "Raise the power of both wheels by a step each second until it rolls: it starts there. Lower it until it stands: it"
                    + " stops there. Do this three times, with the wheels turned a little each time.",
            "Hands, hair and sleeves away from the wheels before it starts; keep a hand ready and the robot off the table's edge.",
            Stopwatch.Counting.TIME,
            List.of(new Field("in steps of", 1), new Field("starts at", 0), new Field("stops at", 0))) {
        @Override
        Result work(List<List<Double>> rows, Setup setup, double speedShare) {
            CreepFit fit = CreepFit.of(rows.stream()
                    .map(r -> new CreepFit.Creep(r.get(0), r.get(1), r.get(2)))
                    .toList());
            Map<Constant, Measured> found = new LinkedHashMap<>();
            found.put(Constant.BREAKAWAY, fit.breakawayCommand());
            found.put(Constant.HOLDING, fit.holdingCommand());
            double base = setup.law().baseCommand();
            return new Result(
                    found,
                    "Starts above " + BenchWords.with(fit.breakawayCommand()) + ", stops below "
                            + BenchWords.with(fit.holdingCommand()) + "."
                            + (base < EASILY * fit.breakawayCommand().value()
                                    ? " Its base speed of " + Words.number(base)
                                            + " is near that: in bends the inner wheel stops."
                                    : ""),
                    Double.NaN);
        }
    },
    SPIN(
            "Spin ten turns",
            "Turn on the spot, one wheel forwards and one back at the same power, and time whole turns by a mark on the table.",
            "Clear the table around it first: parts that stick out sweep a circle.",
            Stopwatch.Counting.TURNS,
            List.of(
                    new Field("command", 0),
                    new Field("turns", 10, Filled.BY_COUNT),
                    new Field("time, s", 0, Filled.BY_TIME))) {
        @Override
        Result work(List<List<Double>> rows, Setup setup, double speedShare) {
            Drive drive = setup.robot().drive();
            double command = rows.get(0).get(0);
            if (rows.stream().anyMatch(r -> r.get(0) != command)) {
                throw new BadValueException("command", "different in some entries", "the same in all of them");
            }
            double speed = drive.speedFromRestMmPerS(command);
            if (!(speed > 0)) {
                throw new BadValueException(
                        "command",
                        command,
                        "above its start-up power, "
                                + Words.number(drive.traits().curve().startsAboveCommand()));
            }
            Measured width = SpinTurns.trackWidthMm(
                    rows.stream()
                            .map(r -> new SpinTurns.Spin(r.get(1), r.get(2)))
                            .toList(),
                    new Measured(speed, speedShare * speed, 1));
            return new Result(
                    Map.of(Constant.TRACK_WIDTH, width),
                    "It turns as if the wheels were " + BenchWords.with(width) + " mm apart; the ruler says "
                            + Words.millimetres(drive.trackWidthMm()) + "."
                            + (width.value() > SCRUBS * drive.trackWidthMm()
                                    ? " Tracks or tyres drag when turning."
                                    : ""),
                    Double.NaN);
        }
    },
    LOOPS(
            "Count loops",
            "Let the program count its loops and print the count after ten seconds, with sensors read and motors set to zero."
                    + " Run the full loop, or the time is too short.",
            "Motors off, or wheels up.",
            Stopwatch.Counting.TIME,
            List.of(new Field("loops", 0), new Field("in, s", 10, Filled.BY_TIME))) {
        @Override
        Result work(List<List<Double>> rows, Setup setup, double speedShare) {
            Measured period = LoopCount.periodS(rows.stream()
                    .map(r -> new LoopCount.Count(r.get(0), r.get(1)))
                    .toList());
            Measured millis = period.through(s -> 1000 * s);
            return new Result(
                    Map.of(Constant.LOOP_TIME, period), "A loop takes " + BenchWords.with(millis) + " ms.", Double.NaN);
        }
    },
    WIGGLES(
            "Wiggle timing",
            "On a straight line, Kd and Ki zero, raise Kp until it wiggles steadily. Time whole wiggles, there and back, over as"
                    + " long a straight as you have. Motor lag is calculated from it: exact just above the wiggle limit; at three times"
                    + " that Kp up to 10 % off.",
            "A wiggling robot can leave its line: keep a hand ready at the table's edge.",
            Stopwatch.Counting.WIGGLES,
            List.of(new Field("wiggles", 20, Filled.BY_COUNT), new Field("time, s", 0, Filled.BY_TIME))) {
        @Override
        Result work(List<List<Double>> rows, Setup setup, double speedShare) {
            WiggleTiming timing = WiggleTiming.of(
                    rows.stream()
                            .map(r -> new WiggleTiming.Wiggles(r.get(0), r.get(1)))
                            .toList(),
                    LoopModel.of(setup));
            return new Result(
                    Map.of(Constant.LAG, timing.lagS()),
                    "One wiggle takes " + BenchWords.with(timing.periodS().through(s -> 1000 * s))
                            + " ms, so motor lag is "
                            + BenchWords.with(timing.lagS().through(s -> 1000 * s)) + " ms.",
                    Double.NaN);
        }
    },
    SLIDE(
            "Slide over the line",
            "Along a ruler across the line, from background to background: move it about a spot at a time, type the place and what the"
                    + " display shows for each sensor, left to right. Or connect the robot, press S, slide it across steadily, press S.",
            "Motors off.",
            Stopwatch.Counting.TIME,
            List.of(new Field("place, mm", 0), new Field("readings", 0, Filled.BY_SEVERAL))) {
        @Override
        Result work(List<List<Double>> rows, Setup setup, double speedShare) {
            return SlideWords.result(SlideRows.fits(rows, setup));
        }
    };

    /** More than a tape laid by hand is off. */
    private static final double SCRUBS = 1.03;

    private static final double CROOKED = 0.03;

    /** A base command this many times what starts it leaves the inner wheel some room. */
    private static final double EASILY = 2;

    /** How else than by typing a number comes into a field. */
    public enum Filled {
        BY_HAND,
        /** By what the stopwatch shows. */
        BY_TIME,
        /** By what was tapped on it. */
        BY_COUNT,
        /** By hand, or not at all: then it was not measured. */
        BY_HAND_IF_MEASURED,
        /** By hand, as many numbers as the robot has sensors. */
        BY_SEVERAL
    }

    /** Something to type. @param usual what stands there to begin with; 0 for nothing */
    public record Field(String words, double usual, Filled filled) {
        Field(String words, double usual) {
            this(words, usual, Filled.BY_HAND);
        }
    }

    /**
     * What entries come to.
     *
     * @param found constants with their uncertainty
     * @param words in one or two sentences
     * @param mismatchShare wheel mismatch, or NaN when not measured
     */
    public record Result(Map<Constant, Measured> found, String words, double mismatchShare) {}

    private final String title;
    private final String steps;
    private final String caution;
    private final Stopwatch.Counting counting;
    private final List<Field> fields;

    BenchCard(String title, String steps, String caution, Stopwatch.Counting counting, List<Field> fields) {
        this.counting = counting;
        this.title = title;
        this.steps = steps;
        this.caution = caution;
        this.fields = fields;
    }

    public String title() {
        return title;
    }

    public String steps() {
        return steps;
    }

    public String caution() {
        return caution;
    }

    public List<Field> fields() {
        return fields;
    }

    /** What the watch counts on this card. */
    public Stopwatch.Counting counting() {
        return counting;
    }

    /** The field that is filled like this, by its place; empty when none is. */
    public OptionalInt field(Filled filled) {
        return IntStream.range(0, fields.size())
                .filter(i -> fields.get(i).filled() == filled)
                .findFirst();
    }

    /** Whether the stopwatch fills in one of its fields. */
    public boolean timed() {
        return field(Filled.BY_TIME).isPresent();
    }

    /**
     * @param rows at least one, a number for each field; one for each sensor where a field takes several
     * @param speedShare standard error of the robot's speed as a share
     * @throws BadValueException when the entries cannot be
     */
    abstract Result work(List<List<Double>> rows, Setup setup, double speedShare);

    /** The card that measures a constant. */
    public static BenchCard measuring(Constant constant) {
        return switch (constant) {
            case FREE_SPEED, DEAD_ZONE, SAG -> ROLL;
            case BREAKAWAY, HOLDING -> CREEP;
            case TRACK_WIDTH -> SPIN;
            case LOOP_TIME -> LOOPS;
            case LAG, DELAY -> WIGGLES;
            case SPOT -> SLIDE;
        };
    }
}
