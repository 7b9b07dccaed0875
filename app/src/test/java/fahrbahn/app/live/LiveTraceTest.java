package fahrbahn.app.live;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.core.readings.Reading;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class LiveTraceTest {
    private static Reading reading(double value) {
        return new Reading(Double.NaN, "", Double.NaN, new double[] {value, -value});
    }

    /** At every pace the ring shows some twelve seconds; paces that do not divide evenly are rounded by up to a half. */
    @ParameterizedTest
    @ValueSource(ints = {100, 300, 1000, 4000})
    void theRingLastsADozenSecondsAtAnyPace(int perSecond) {
        LiveTrace trace = new LiveTrace();
        trace.begin(2);
        long seconds = 40;
        for (long i = 0; i < seconds * perSecond; i++) {
            // Climbs by one a second, so that values tell times.
            double t = (double) i / perSecond;
            trace.add(reading(t), Math.round(t * 1e9));
        }
        assertThat(trace.size()).isEqualTo(LiveTrace.CAPACITY);
        double shownS = trace.most(0, 0) - trace.least(0, LiveTrace.CAPACITY - 1);
        assertThat(shownS).isBetween(8.0, 18.0);
        assertThat(trace.least(1, 0)).isEqualTo(-trace.most(0, 0));
    }

    @Test
    void aSpikeOfOneReadingIsStillThere() {
        LiveTrace trace = new LiveTrace();
        trace.begin(2);
        for (int i = 0; i < 5000; i++) {
            trace.add(reading(i == 4321 ? 99 : 1), i * 1_000_000L);
        }
        double most = 0;
        for (int age = 0; age < trace.size(); age++) {
            most = Math.max(most, trace.most(0, age));
        }
        assertThat(most).isEqualTo(99);
    }

    @Test
    void clearedItIsEmpty() {
        LiveTrace trace = new LiveTrace();
        trace.begin(2);
        trace.add(reading(1), 0);
        trace.clear();
        assertThat(trace.size()).isZero();
    }
}
