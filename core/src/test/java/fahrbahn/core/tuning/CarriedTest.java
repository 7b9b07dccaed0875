package fahrbahn.core.tuning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.Setups;
import fahrbahn.core.job.Job;
import fahrbahn.core.job.Workers;
import fahrbahn.core.law.GainUnits;
import fahrbahn.core.loop.BendFloor;
import fahrbahn.core.setup.Law;
import fahrbahn.core.setup.Loop;
import fahrbahn.core.setup.Scale;
import fahrbahn.core.setup.Setup;
import org.junit.jupiter.api.Test;

class CarriedTest {
    private final Setup from = Setups.edge().withLaw(Setups.edge().law().withGains(0.5, 0, 2));

    private static Carried carried(Setup from, Setup to) {
        return Carried.between(from, to, 1, Workers.all(), Job.UNWATCHED);
    }

    /** Readings from 0 to 1 instead of 0 to 100: the same numbers are a hundred times too soft, and a hundred times more steers alike. */
    @Test
    void anotherScaleAsksForOtherNumbers() {
        Law unit = GainUnits.rescaled(
                from.law(), Scale.UNIT, from.robot().sensors().get(0));
        Carried carried = carried(from, from.withLaw(unit));
        assertThat(carried.unchanged().chance().completed()).isZero();
        assertThat(carried.sameSteering().law().kp()).isCloseTo(50, within(1e-6));
        assertThat(carried.sameSteering().law().kd()).isCloseTo(200, within(1e-6));
        assertThat(carried.sameShare().orElseThrow().law().kp()).isCloseTo(50, within(1e-6));
        assertThat(carried.sameSteering().chance().completed()).isEqualTo(40);
    }

    /** A loop twice as long: the same share of the onset is less than its bend needs, by theory and by the twin; so it is not the way to take. */
    @Test
    void theSameShareIsNotTakenWhereItIsTooSoft() {
        Setup slower = from.withLoop(new Loop(0.02, 0.012));
        Carried carried = carried(from, slower);
        Carried.Way share = carried.sameShare().orElseThrow();
        double onsets = carried.transfer().to().wiggleKp().orElseThrow()
                / carried.transfer().from().wiggleKp().orElseThrow();
        assertThat(share.law().kp()).isCloseTo(0.5 * onsets, within(0.001));
        assertThat(share.law().kp()).isLessThan(BendFloor.kp(slower));
        assertThat(share.chance().completed()).isLessThan(20);
        assertThat(carried.sameSteering().law().kd()).isCloseTo(1, within(1e-9));
        assertThat(carried.best()).isEqualTo(carried.sameSteering());
    }

    @Test
    void nothingChangedKeepsThem() {
        Carried carried = carried(from, from);
        assertThat(carried.sameSteering()).isEqualTo(carried.unchanged());
        assertThat(carried.sameShare()).contains(carried.unchanged());
    }

    @Test
    void withoutAGainThereIsNoShare() {
        Setup none = from.withLaw(from.law().withGains(0, 0, 0));
        assertThat(carried(none, from).sameShare()).isEmpty();
    }
}
