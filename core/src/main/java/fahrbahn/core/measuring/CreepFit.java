package fahrbahn.core.measuring;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.check.Check;
import java.util.List;
import java.util.function.ToDoubleFunction;

/**
 * The two thresholds of the dead zone, by raising the command in steps until the wheels start and lowering it until they stop.
 *
 * @param breakawayCommand a wheel at rest starts above it
 * @param holdingCommand a rolling wheel stops below it
 */
public record CreepFit(Measured breakawayCommand, Measured holdingCommand) {
    /**
     * The threshold lies anywhere within the last step: uniform, of standard deviation 0.289, and never further off than 0.5. This
     * value keeps the intervals of one entry and of several between 93 and 97 % (CardCoverageTest).
     */
    private static final double STEP_ERROR = 0.25;

    /** A wheel starts and stops at another place of its gears each time: so much of the command, our reckoning. */
    private static final double FRICTION_SHARE = 0.04;

    /**
     * One time up and down.
     *
     * @param step by which the command is raised and lowered, above 0
     * @param startsAt first command at which it rolls, above 0
     * @param stopsAt first command at which it stands again; 0 or more, at most where it started
     */
    public record Creep(double step, double startsAt, double stopsAt) {
        public Creep {
            Check.positive("in steps of", step);
            Check.positive("starts at", startsAt);
            Check.require(
                    stopsAt >= 0 && stopsAt <= startsAt,
                    "stops at",
                    stopsAt,
                    "from 0 to where it started, " + startsAt + ": less holds a rolling wheel than starts one");
        }
    }

    /** @throws BadValueException when there is no entry */
    public static CreepFit of(List<Creep> creeps) {
        if (creeps.isEmpty()) {
            throw new BadValueException("creeps", 0, "at least 1");
        }
        return new CreepFit(
                mean(creeps, c -> Math.max(0, c.startsAt() - c.step() / 2)),
                mean(creeps, c -> Math.min(c.startsAt(), c.stopsAt() + c.step() / 2)));
    }

    private static Measured mean(List<Creep> creeps, ToDoubleFunction<Creep> threshold) {
        double[] entries = creeps.stream().mapToDouble(threshold).toArray();
        double step = creeps.stream().mapToDouble(Creep::step).average().orElseThrow();
        double most = creeps.stream().mapToDouble(Creep::startsAt).average().orElseThrow();
        return Measured.mean(entries, Math.hypot(STEP_ERROR * step, FRICTION_SHARE * most));
    }
}
