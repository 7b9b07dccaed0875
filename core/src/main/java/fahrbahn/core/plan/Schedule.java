package fahrbahn.core.plan;

import fahrbahn.core.check.Check;
import fahrbahn.core.setup.Law;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A plan on its way: what was asked for, what has been done of it, and from when on the rest is planned.
 *
 * @param begins when its seconds begin
 * @param seed of the drawn orders
 * @param done with the times at which it was really done
 * @param fromS nothing that is left starts before it, s; 0 or more
 */
public record Schedule(PlanRequest request, Instant begins, long seed, List<Block> done, double fromS) {
    /** A plan holds as long as it is late by no more than a chat at the table. */
    public static final double SLIP_S = 20;

    /** No run is a moment long; what is marked sooner was not done but passed over. */
    private static final double LEAST_S = 1;

    public Schedule {
        done = List.copyOf(done);
        Check.notNegative("fromS", fromS);
    }

    /** Nothing of it has been done. */
    public static Schedule begun(PlanRequest request, Instant begins, long seed) {
        return new Schedule(request, begins, seed, List.of(), 0);
    }

    /** What is left, with what finds no room. */
    public Plan plan() {
        return Plan.again(request, done, fromS, seed);
    }

    /** A moment in seconds of the plan. */
    public double atS(Instant now) {
        return Duration.between(begins, now).toMillis() / 1000.0;
    }

    /** Seconds until its end; negative after it. */
    public double leftS(Instant now) {
        return 60 * request.minutes() - atS(now);
    }

    /** Whether something that is left should have been over by now. */
    public boolean slipped(Plan left, Instant now) {
        double nowS = atS(now);
        return left.blocks().stream().anyMatch(block -> block.endS() + SLIP_S < nowS);
    }

    /** The same with the rest planned from now on. */
    public Schedule again(Instant now) {
        return new Schedule(request, begins, seed, done, Math.max(0, atS(now)));
    }

    /** A block was over just now: what follows on its table, of its crew and of its robot begins then. */
    public Schedule with(Block block, Instant now) {
        double endS = Math.max(LEAST_S, atS(now));
        double startS = Math.max(0, Math.min(block.startS(), endS - LEAST_S));
        List<Block> all = new ArrayList<>(done);
        all.add(new Block(startS, endS, block.table(), block.team(), block.robot(), block.what(), block.setting()));
        return new Schedule(request, begins, seed, all, fromS);
    }

    /**
     * What of the plan a run has done: the first block that names numbers which the run's law has; else what the robot was to run next, if that may be
     * run with anything.
     *
     * @param left as {@link #plan} makes it
     */
    public Optional<Block> ranBy(Plan left, String robot, Law law) {
        return left.blocks().stream()
                .filter(block -> block.what().isRun() && block.robot().equals(robot))
                .filter(block -> asked(block).names() && asked(block).is(law))
                .findFirst()
                .or(() -> nextRun(left, robot).filter(block -> !asked(block).names()));
    }

    private Asked asked(Block block) {
        return request.teams().stream()
                .flatMap(team -> team.stages().stream())
                .filter(stage -> stage.what() == block.what())
                .flatMap(stage -> stage.pairs().stream())
                .filter(pair -> pair.is(block))
                .findFirst()
                .map(Stage.Pair::asked)
                .orElse(Asked.ANYTHING);
    }

    /** What a robot is to run next of what is left; empty when it has no more runs. */
    public static Optional<Block> nextRun(Plan left, String robot) {
        return left.blocks().stream()
                .filter(block -> block.what().isRun() && block.robot().equals(robot))
                .findFirst();
    }
}
