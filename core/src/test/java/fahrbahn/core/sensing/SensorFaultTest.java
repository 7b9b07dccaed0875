package fahrbahn.core.sensing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.Setups;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.trace.TickSink;
import fahrbahn.core.trace.Trace;
import fahrbahn.core.twin.RunResult;
import fahrbahn.core.twin.Start;
import fahrbahn.core.twin.Track;
import fahrbahn.core.twin.Twin;
import org.junit.jupiter.api.Test;

/** A sensor that has failed reads what it must, and the robot does what that makes it do. */
class SensorFaultTest {
    private static final Setup PAIR = Setups.pair();

    private static double[] leftReadings(SensorFault.Kind kind) {
        Track track = Track.straight(600, PAIR).with(new SensorFault("left", kind));
        Trace trace = new Trace();
        Twin.run(track, Start.calm(0), trace);
        double[] readings = new double[Math.min(5, trace.size())];
        for (int i = 0; i < readings.length; i++) {
            readings[i] = trace.reading(i, 0);
        }
        return readings;
    }

    @Test
    void stuckSensorsReadOneThing() {
        Sensor left = PAIR.lawSensors().get(0);
        assertThat(leftReadings(SensorFault.Kind.STUCK_ON_GROUND)).containsOnly(left.light());
        assertThat(leftReadings(SensorFault.Kind.STUCK_ON_LINE)).containsOnly(left.dark());
        double whole = light(new Trace(), Track.straight(600, PAIR));
        double half = leftReadings(SensorFault.Kind.HALF_CONTRAST)[0];
        assertThat(left.light() - half)
                .as("half as far from the ground's reading")
                .isCloseTo((left.light() - whole) / 2, within(1e-9));
    }

    private static double light(Trace trace, Track track) {
        Twin.run(track, Start.calm(0), trace);
        return trace.reading(0, 0);
    }

    /** One of two that always sees the line pulls the robot to its side, off it; one with half the contrast follows on, a little aside. */
    @Test
    void aStuckSensorOfTwoLosesTheLineAWeakOneDoesNot() {
        Track track = Track.straight(1500, PAIR);
        assertThat(Twin.run(
                                track.with(new SensorFault("left", SensorFault.Kind.STUCK_ON_LINE)),
                                Start.calm(0),
                                TickSink.NONE)
                        .completed())
                .isFalse();
        RunResult weak = Twin.run(
                track.with(new SensorFault("left", SensorFault.Kind.HALF_CONTRAST)), Start.calm(0), TickSink.NONE);
        assertThat(weak.completed()).isTrue();
        assertThat(weak.rmsMm()).isBetween(1.0, 10.0);
        assertThat(track.fault()).as("the track itself is as it was").isEmpty();
    }

    @Test
    void onlySensorsThatAreReadCanFail() {
        assertThatThrownBy(
                        () -> Track.straight(600, PAIR).with(new SensorFault("nose", SensorFault.Kind.HALF_CONTRAST)))
                .isInstanceOf(BadValueException.class)
                .hasMessageContaining("nose")
                .hasMessageContaining("left");
    }
}
