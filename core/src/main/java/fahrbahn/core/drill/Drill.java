package fahrbahn.core.drill;

import fahrbahn.core.readings.Capture;
import fahrbahn.core.runlog.RunLog;
import fahrbahn.core.setup.Setup;
import java.util.List;
import java.util.Optional;

/**
 * One drill: what is wrong, and what to do next?
 *
 * @param seed from which it was drawn: the same seed and fault give the same drill
 * @param believed the robot as its team has it
 * @param run empty where readings of a robot held still are shown
 * @param held captures of dark and light; empty where a run is shown
 * @param evidence what shows the fault, with its number
 * @param offers what may be done next, each tried on this robot; one mends it for certain
 */
public record Drill(
        long seed,
        DrillFault fault,
        Setup believed,
        Optional<DrillRun> run,
        List<Capture> held,
        String evidence,
        List<Offer> offers) {
    /**
     * What a run shows.
     *
     * @param xMm of the turning point, tick by tick
     * @param lapsS of this run and those after it with the same battery; the time it was on its way where it was lost
     * @param completed whether the first came round
     * @param cameRound how many of the laps did
     */
    public record DrillRun(
            RunLog log, double[] xMm, double[] yMm, List<Double> lapsS, boolean completed, int cameRound) {
        public DrillRun {
            xMm = xMm.clone();
            yMm = yMm.clone();
            lapsS = List.copyOf(lapsS);
        }

        @Override
        public double[] xMm() {
            return xMm.clone();
        }

        @Override
        public double[] yMm() {
            return yMm.clone();
        }
    }

    /** What mends it for certain. */
    public Offer cure() {
        return offers.stream()
                .filter(o -> o.remedy() == Remedy.of(fault))
                .findFirst()
                .orElseThrow();
    }

    public Drill {
        held = List.copyOf(held);
        offers = List.copyOf(offers);
    }
}
