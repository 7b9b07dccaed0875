package fahrbahn.core.tuning;

import fahrbahn.core.loop.GainAdvice;
import fahrbahn.core.loop.Lane;
import fahrbahn.core.loop.LaneReport;
import fahrbahn.core.loop.SpeedFloor;
import fahrbahn.core.setup.Law;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.twin.Spread;
import java.util.List;
import java.util.Optional;

/**
 * All that was computed for one setup about its gains and its speed: the picture that stands on the screen and on the card.
 *
 * @param slowest how slowly it can follow; empty where no dead zone is known
 * @param frayed the lane with a low battery, and with a full one
 * @param advice what the twin recommends
 */
public record LanePicture(
        Setup setup, LaneReport report, Lane lane, Optional<SpeedFloor> slowest, List<Lane> frayed, Advised advice) {
    private static final int LANE_POINTS = 72;
    private static final int FRAYED_POINTS = 36;

    /** From one battery of an evening to the next, 19 times of 20: two standard deviations of what runs are varied by. */
    private static final double BATTERY_SHARE = 2 * Spread.TYPICAL.batteryShare();

    public static LanePicture of(Setup setup) {
        Law law = setup.law();
        double ratio = law.kp() > 0 ? law.kd() / law.kp() : 0;
        return new LanePicture(
                setup,
                LaneReport.of(setup),
                Lane.of(setup, ratio, LANE_POINTS),
                SpeedFloor.of(setup),
                Lane.frayed(setup, ratio, FRAYED_POINTS, BATTERY_SHARE),
                Advised.NOT_YET);
    }

    public LanePicture with(Advised newAdvice) {
        return new LanePicture(setup, report, lane, slowest, frayed, newAdvice);
    }

    /** The twin has looked and found nothing. */
    public boolean hopeless() {
        return advice.done() && advice.found().isEmpty();
    }

    /** The gains to try; empty when there are none, or none yet. */
    public Optional<GainAdvice> gains() {
        return advice.found().map(TwinAdvice::gains);
    }

    /** Onset along the ratio of the gains as set. */
    public Optional<Double> wiggleKp() {
        return here().flatMap(Lane.Slice::wiggleKp);
    }

    /** Gain below which it wiggles too, along the same ratio; 0 where small gains are calm. */
    public double calmFromKp() {
        return here().map(Lane.Slice::calmFromKp).orElse(0.0);
    }

    private Optional<Lane.Slice> here() {
        return Optional.of(lane.at(setup.law().baseCommand()));
    }

    /** Onset at the same command with a low battery, and with a full one; empty where one of them has none. */
    public Optional<double[]> wiggleKpByBattery() {
        double base = setup.law().baseCommand();
        double[] kps = frayed.stream()
                .flatMap(f -> f.at(base).wiggleKp().stream())
                .mapToDouble(kp -> kp)
                .toArray();
        return kps.length == frayed.size() ? Optional.of(kps) : Optional.empty();
    }

    /**
     * What the twin has found.
     *
     * @param done whether it has looked
     * @param found empty when nothing comes round, and until it has looked
     */
    public record Advised(boolean done, Optional<TwinAdvice> found) {
        public static final Advised NOT_YET = new Advised(false, Optional.empty());
    }
}
