package fahrbahn.core.loop;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.core.Setups;
import fahrbahn.core.check.Rounding;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.DemoCourses;
import fahrbahn.core.trace.TickSink;
import fahrbahn.core.twin.Start;
import fahrbahn.core.twin.Track;
import fahrbahn.core.twin.Twin;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class GainAdvisorTest {
    @Test
    void adviceKeepsEveryMarginAndTheTwinRidesIt() {
        Setup setup = Setups.pair().withLaw(Setups.pair().law().withBaseCommand(35));
        GainAdvice advice = GainAdvisor.advise(setup).orElseThrow();
        assertThat(advice.gainMargin()).isGreaterThanOrEqualTo(GainAdvisor.LEAST_GAIN_MARGIN);
        assertThat(advice.bendMargin()).isGreaterThanOrEqualTo(GainAdvisor.LEAST_BEND_MARGIN);
        assertThat(advice.shake()).isLessThanOrEqualTo(GainAdvisor.MOST_SHAKE);
        Setup advised = setup.withLaw(setup.law().withGains(advice.kp(), 0, advice.kd()));
        var result = Twin.run(Track.of(DemoCourses.workshopLoop(), advised), Start.noisy(0, 3), TickSink.NONE);
        assertThat(result.completed()).as("%s", result).isTrue();
        assertThat(result.peakMm()).isLessThan(setup.line().widthMm() / 2);
    }

    @Test
    void noAdviceWhereTheSensorsSitTooClose() {
        Setup close = Setups.edge().withRobot(Setups.edge().robot().withSensor(0, Setups.sensor("eye", -20, 0)));
        assertThat(GainAdvisor.advise(close)).isEqualTo(Optional.empty());
    }

    @Test
    void twoDigitsAreExactDecimals() {
        assertThat(Rounding.significant(0.3149, 2)).isEqualTo(0.31);
        assertThat(Rounding.significant(12.6, 2)).isEqualTo(13);
        assertThat(Rounding.significant(0, 2)).isEqualTo(0);
    }

    @Test
    void laneNarrowsWithSpeedUntilItCloses() {
        Lane lane = Lane.of(Setups.edge(), 0, 40);
        double previous = Double.POSITIVE_INFINITY;
        for (Lane.Slice slice : lane.slices()) {
            if (slice.open()) {
                double width = slice.wiggleKp().orElseThrow() / slice.bendKp();
                assertThat(width).isLessThan(previous);
                previous = width;
            }
        }
        lane.ceilingSpeedMmPerS()
                .ifPresent(ceiling -> assertThat(lane.slices())
                        .allMatch(slice -> slice.open() == (slice.speedMmPerS() <= ceiling + 1e-6)));
    }
}
