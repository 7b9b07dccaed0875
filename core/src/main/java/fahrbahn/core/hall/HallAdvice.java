package fahrbahn.core.hall;

import fahrbahn.core.check.Check;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Which step pays most in the time left: what is worth most for each second it takes, of those that still fit. Capturing alone saves nothing, so
 * light and dark count with all that is left until their numbers stand in the program.
 *
 * @param offers those that are left, the best first; what does not fit any more comes last
 */
public record HallAdvice(List<Offer> offers) {
    private static final Set<HallStep> LEVELS = EnumSet.of(HallStep.LIGHT, HallStep.DARK, HallStep.TYPE);

    /** A step that saves less than one start of two hundred is not worth its seconds. */
    private static final double NOTHING = 0.005;

    /**
     * @param takesS with what must follow for it to be worth anything, s
     * @param worth share of starts it saves
     * @param fits into the time left
     */
    public record Offer(HallStep step, double takesS, double worth, boolean fits) {}

    /**
     * How things stand.
     *
     * @param done steps that have been
     * @param leftS seconds until it must start
     * @param runS seconds from one run to the next
     * @param marks whether the program looks for coloured marks
     * @param typing share of starts that the new levels save, as the twin tells; NaN as long as it cannot be told
     */
    public record Standing(Set<HallStep> done, double leftS, double runS, boolean marks, double typing) {
        public Standing {
            done = done.isEmpty() ? Set.of() : Set.copyOf(done);
            Check.positive("runS", runS);
        }

        double takesS(HallStep step) {
            return step == HallStep.REAL || step == HallStep.SPARE ? runS : step.usualS();
        }
    }

    public HallAdvice {
        offers = List.copyOf(offers);
    }

    public static HallAdvice of(Standing now) {
        List<Offer> offers = new ArrayList<>();
        for (HallStep step : HallStep.values()) {
            if (!now.done().contains(step) && (now.marks() || step != HallStep.MARKS) && turn(step, now.done())) {
                offers.add(offer(step, now));
            }
        }
        offers.sort(Comparator.comparing((Offer o) -> !o.fits() || o.worth() < NOTHING)
                .thenComparing(o -> -o.worth() / o.takesS()));
        return new HallAdvice(offers);
    }

    /** Typing waits for both surfaces, dark for light, one run for the one before; what comes before in the list need not have been done else. */
    private static boolean turn(HallStep step, Set<HallStep> done) {
        return switch (step) {
            case DARK -> done.contains(HallStep.LIGHT);
            case TYPE -> done.contains(HallStep.LIGHT) && done.contains(HallStep.DARK);
            case SPARE -> done.contains(HallStep.REAL);
            default -> true;
        };
    }

    private static Offer offer(HallStep step, Standing now) {
        double takesS = now.takesS(step);
        if (LEVELS.contains(step)) {
            takesS = LEVELS.stream()
                    .filter(s -> !now.done().contains(s))
                    .mapToDouble(now::takesS)
                    .sum();
        }
        double worth =
                LEVELS.contains(step) && !Double.isNaN(now.typing()) ? Math.max(0, now.typing()) : step.usualWorth();
        boolean numbersToCome = !now.done().contains(HallStep.TYPE)
                && (Double.isNaN(now.typing()) || now.typing() > NOTHING)
                && LEVELS.stream()
                                .filter(s -> !now.done().contains(s))
                                .mapToDouble(now::takesS)
                                .sum()
                        <= now.leftS();
        if ((step == HallStep.SIGN || step.isRun()) && numbersToCome) {
            worth = 0; // with numbers that will be others it tells nothing
        }
        return new Offer(step, takesS, worth, takesS <= now.leftS());
    }

    /** What to do now; empty when nothing that is left is worth it, or fits. */
    public Optional<Offer> next() {
        return offers.stream().filter(o -> o.fits() && o.worth() >= NOTHING).findFirst();
    }
}
