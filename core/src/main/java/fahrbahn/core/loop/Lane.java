package fahrbahn.core.loop;

import fahrbahn.core.check.Check;
import fahrbahn.core.response.ErrorCurve;
import fahrbahn.core.setup.Drive;
import fahrbahn.core.setup.Setup;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * The lane: for each speed the Kp between the bend floor and the wiggle onset, or, where small gains wiggle, within the window above them. It narrows with speed; where it closes is the
 * speed ceiling of this robot on this table.
 *
 * @param kdPerKp ratio of the per-loop gains all along the lane
 * @param slices by rising speed
 * @param ceilingSpeedMmPerS where the lane closes; empty when it is still open at full command
 */
public record Lane(double kdPerKp, List<Slice> slices, Optional<Double> ceilingSpeedMmPerS) {
    private static final int CEILING_BISECTIONS = 30;
    private static final double MOST_FRAYED = 0.9;

    /**
     * One speed.
     *
     * @param bendKp floor; infinite when no gain holds the bend
     * @param calmFromKp least gain that does not wiggle: 0, but where small gains wiggle and a window opens above them
     * @param wiggleKp gain from which on it wiggles; empty when no gain is stable
     */
    public record Slice(
            double baseCommand, double speedMmPerS, double bendKp, double calmFromKp, Optional<Double> wiggleKp) {
        public boolean open() {
            return wiggleKp.isPresent() && wiggleKp.get() > lowKp();
        }

        /** Lower border of the lane: the bend floor, or what is needed not to wiggle. */
        public double lowKp() {
            return Math.max(bendKp, calmFromKp);
        }

        /** As far from one border as from the other, counted in factors; NaN where the lane is not open. */
        public double middleKp() {
            return open() ? Math.sqrt(wiggleKp.get() * lowKp()) : Double.NaN;
        }
    }

    public Lane {
        slices = List.copyOf(slices);
    }

    /**
     * @param kdPerKp 0 or more
     * @param points speeds looked at, evenly spread from where it starts up to full command; 2 or more
     */
    public static Lane of(Setup setup, double kdPerKp, int points) {
        Check.require(points >= 2, "points", points, "2 or more");
        double full = setup.robot().drive().fullCommand();
        double still = setup.robot().drive().traits().curve().startsAboveCommand();
        Slicer slicer = new Slicer(setup, GainRay.ratio(kdPerKp));
        List<Slice> slices = new ArrayList<>(points);
        for (int i = 1; i <= points; i++) {
            slices.add(slicer.at(still + (full - still) * i / points));
        }
        return new Lane(kdPerKp, slices, ceiling(slices, slicer));
    }

    /**
     * The lanes of a low battery and of a full one: the same commands turn the wheels slower, and faster.
     *
     * @param share by which an evening's battery moves the speed either way, 0 to below 1
     */
    public static List<Lane> frayed(Setup setup, double kdPerKp, int points, double share) {
        Check.between("share", share, 0, MOST_FRAYED);
        Drive drive = setup.robot().drive();
        return Stream.of(1 - share, 1 + share)
                .map(times -> of(
                        setup.withDrive(drive.withFreeSpeedMmPerS(times * drive.freeSpeedMmPerS())), kdPerKp, points))
                .toList();
    }

    /** The slice nearest to a command. */
    public Slice at(double baseCommand) {
        return slices.stream()
                .min(Comparator.comparingDouble(s -> Math.abs(s.baseCommand() - baseCommand)))
                .orElseThrow();
    }

    private static Optional<Double> ceiling(List<Slice> slices, Slicer slicer) {
        if (!slices.get(0).open()) {
            return Optional.of(0.0);
        }
        for (int i = 1; i < slices.size(); i++) {
            if (!slices.get(i).open()) {
                return Optional.of(closing(slices.get(i - 1), slices.get(i), slicer));
            }
        }
        return Optional.empty();
    }

    private static double closing(Slice open, Slice closed, Slicer slicer) {
        Slice slow = open;
        Slice fast = closed;
        for (int i = 0; i < CEILING_BISECTIONS; i++) {
            Slice middle = slicer.at((slow.baseCommand() + fast.baseCommand()) / 2);
            if (middle.open()) {
                slow = middle;
            } else {
                fast = middle;
            }
        }
        return slow.speedMmPerS();
    }

    /** What does not change with speed, worked out once. */
    private static final class Slicer {
        private final Setup setup;
        private final GainRay ray;
        private final LoopModel model;
        private final BendFloor floor;

        Slicer(Setup setup, GainRay ray) {
            ErrorCurve curve = ErrorCurve.of(setup);
            this.setup = setup;
            this.ray = ray;
            this.model = LoopModel.of(setup, curve);
            this.floor = BendFloor.of(setup, curve);
        }

        Slice at(double baseCommand) {
            LoopModel there = model.at(setup.robot().drive(), baseCommand);
            Optional<StableSpan> calm = StableSpan.main(new SampledLoop(there), ray);
            return new Slice(
                    baseCommand,
                    there.speedMmPerS(),
                    floor.kp(setup.robot().drive(), baseCommand),
                    calm.map(StableSpan::fromKp).orElse(0.0),
                    calm.map(StableSpan::toKp));
        }
    }
}
