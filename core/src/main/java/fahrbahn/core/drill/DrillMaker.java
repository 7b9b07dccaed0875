package fahrbahn.core.drill;

import fahrbahn.core.check.Text;
import fahrbahn.core.drill.OwnEye.Seen;
import fahrbahn.core.job.CancelledException;
import fahrbahn.core.job.Job;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;

/** Draws drills: a robot nobody has seen before, a fault planted in it, what that shows, and what may be done about it. */
public final class DrillMaker {
    /** Robots that are drawn until one shows its fault; most do at once. */
    private static final int MOST_TRIES = 30;

    /** Things to do next that are offered. */
    public static final int OFFERS = 4;

    private DrillMaker() {}

    /**
     * @param seed the same seed and fault give the same drill, another one another robot
     * @throws CancelledException when the job asked to stop
     * @throws IllegalStateException when no robot of {@link #MOST_TRIES} shows the fault
     */
    public static Drill draw(long seed, DrillFault fault, Job job) {
        Random random = new Random(31 * seed + fault.ordinal());
        for (int i = 0; i < MOST_TRIES; i++) {
            if (job.cancelled()) {
                throw new CancelledException();
            }
            Optional<Drill> drill = drill(seed, fault, random);
            if (drill.isPresent()) {
                return drill.get();
            }
        }
        throw new IllegalStateException("no robot of " + MOST_TRIES + " shows " + fault);
    }

    /** Empty when our own analysis does not name the fault, or still names one when it is mended. */
    private static Optional<Drill> drill(long seed, DrillFault fault, Random random) {
        DrillRobot robot = DrillRobot.draw(random, fault);
        long shownSeed = random.nextLong();
        Optional<Shown> shown = Shown.of(robot, fault.held(), shownSeed);
        Optional<Seen> seen = shown.flatMap(Shown::seen).filter(s -> s.fault() == fault);
        if (seen.isEmpty()) {
            return Optional.empty();
        }
        List<Offer> offers = new ArrayList<>();
        for (Remedy remedy : Remedy.offered(fault, robot.believed().law().signal(), OFFERS, random)) {
            DrillRobot after = robot.after(remedy);
            Offer offer = after.equals(robot)
                    ? new Offer(remedy, false, seen.get().evidence())
                    : offer(remedy, Shown.of(after, fault.held(), shownSeed));
            if (remedy == Remedy.of(fault) && !offer.mends()) {
                return Optional.empty();
            }
            offers.add(offer);
        }
        return Optional.of(new Drill(
                seed,
                fault,
                robot.believed(),
                shown.get().run(),
                shown.get().held(),
                seen.get().evidence(),
                offers));
    }

    private static Offer offer(Remedy remedy, Optional<Shown> after) {
        if (after.isEmpty()) {
            return new Offer(remedy, false, "It is off the line at once.");
        }
        Optional<Seen> wrong = after.get().seen();
        if (wrong.isPresent()) {
            return new Offer(remedy, false, wrong.get().evidence());
        }
        return after.get()
                .run()
                .map(run -> {
                    int laps = run.lapsS().size();
                    String round = Text.of("It finishes %d times in %d", run.cameRound(), laps);
                    return run.cameRound() < laps
                            ? new Offer(remedy, false, round + ".")
                            : new Offer(
                                    remedy,
                                    true,
                                    round
                                            + Text.of(
                                                    ", the last in %.1f s, and nothing shows any more.",
                                                    run.lapsS().get(laps - 1)));
                })
                .orElseGet(() -> new Offer(
                        remedy,
                        true,
                        Text.of(
                                "Nothing shows any more in %d readings.",
                                after.get().held().stream()
                                        .mapToInt(c -> c.readings().size())
                                        .sum())));
    }
}
