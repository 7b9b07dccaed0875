package fahrbahn.core.twin;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.Setups;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.trace.TickSink;
import fahrbahn.core.trace.Trace;
import org.hipparchus.distribution.continuous.NormalDistribution;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** A robot whose program has other numbers for dark and light than its sensors read. */
class ProgrammedTest {
    private static Setup believing(Setup setup, double dark, double light) {
        Sensor sensor = setup.robot().sensors().get(0);
        return setup.withRobot(setup.robot().withSensor(0, sensor.withSurfaces(dark, light, sensor.noise())));
    }

    @Test
    void aProgramThatHasTheRightNumbersDrivesAsEver() {
        for (Setup setup : Setups.drawn(4, 6)) {
            Track track = Track.straight(1500, setup);
            Start start = Start.noisy(3, 11);
            assertThat(Twin.asProgrammed(track, setup, start, TickSink.NONE))
                    .isEqualTo(Twin.run(track, start, TickSink.NONE));
        }
    }

    /** Half of what is believed between dark and light is another share of what is: it rides where that share is seen. */
    @ParameterizedTest
    @ValueSource(doubles = {58, 70, 90})
    void levelsOfAnotherLampRideOffTheEdgeByTheClosedForm(double light) {
        Setup real = Setups.edge().withLaw(Setups.edge().law().withGains(0.3, 0, 0));
        Sensor eye = real.robot().sensors().get(0);
        Track track = Track.straight(2500, real);
        double share = ((eye.dark() + light) / 2 - eye.dark()) / (eye.light() - eye.dark());
        double towardsGroundMm = eye.spotSigmaMm() * new NormalDistribution().inverseCumulativeProbability(share);
        Trace trace = new Trace();
        Twin.asProgrammed(track, believing(real, eye.dark(), light), Start.calm(0), trace);
        double mean = 0;
        for (int i = trace.size() - 50; i < trace.size(); i++) {
            mean += trace.offsetMm(i) / 50;
        }
        // The ridden edge is the right one: ground lies to the right of it. A fiftieth of the spot for the raster's
        // cells.
        assertThat(-mean).isCloseTo(towardsGroundMm, within(eye.spotSigmaMm() / 50));
    }

    /** Steering the wrong way it leaves its edge, and finds the other one, where that way is right. */
    @Test
    void darkAndLightExchangedRideTheOtherEdge() {
        Setup real = Setups.edge();
        Sensor eye = real.robot().sensors().get(0);
        Trace trace = new Trace();
        Twin.asProgrammed(Track.straight(2500, real), believing(real, eye.light(), eye.dark()), Start.calm(1), trace);
        assertThat(trace.offsetMm(trace.size() - 1)).isCloseTo(real.line().widthMm(), within(1.0));
    }

    @Test
    void aProgramForOtherSensorsIsRefused() {
        Track track = Track.straight(1500, Setups.edge());
        assertThatThrownBy(() -> Twin.asProgrammed(track, Setups.pair(), Start.calm(0), TickSink.NONE))
                .isInstanceOf(IllegalArgumentException.class);
    }
}
