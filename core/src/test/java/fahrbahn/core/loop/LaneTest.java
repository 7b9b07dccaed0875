package fahrbahn.core.loop;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.core.Setups;
import org.junit.jupiter.api.Test;

/** The lane of a robot over speed. */
class LaneTest {
    @Test
    void itIsOpenUpToItsCeilingAndNoFurther() {
        Lane lane = Lane.of(Setups.pair(), 1, 30);
        assertThat(lane.slices()).hasSize(30);
        double ceiling = lane.ceilingSpeedMmPerS().orElse(Double.POSITIVE_INFINITY);
        for (Lane.Slice slice : lane.slices()) {
            assertThat(slice.open()).as("%.0f mm/s", slice.speedMmPerS()).isEqualTo(slice.speedMmPerS() <= ceiling);
        }
    }
}
