package fahrbahn.core.twin;

import static org.assertj.core.api.Assertions.assertThat;

import com.sun.management.ThreadMXBean;
import fahrbahn.core.Setups;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.Course;
import fahrbahn.core.table.Part;
import fahrbahn.core.table.Pose;
import java.lang.management.ManagementFactory;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.parallel.Isolated;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** A tick allocates nothing: a run of ten times the ticks takes no more memory. */
@Isolated
class AllocationTest {
    /** The smallest object there is. */
    private static final int OBJECT_BYTES = 16;

    private static final ThreadMXBean THREADS = (ThreadMXBean) ManagementFactory.getThreadMXBean();

    static Stream<Start> starts() {
        return Stream.of(
                Start.calm(2),
                Start.noisy(2, 5),
                new Start(1, 0.02, new Variation(0.9, 1.1, 0.01, 0.02, 1, 1.05, 1.1, 0.05), 7));
    }

    @ParameterizedTest
    @MethodSource("starts")
    void longRunsTakeNoMoreMemoryThanShortOnes(Start start) {
        Track shorter = track(300);
        Track longer = track(3000);
        // The virtual machine itself allocates while it compiles and links; after some runs it does not.
        for (int i = 0; i < 60; i++) {
            bytes(shorter, start);
            bytes(longer, start);
        }
        int moreTicks = ticks(longer, start) - ticks(shorter, start);
        assertThat(moreTicks).isGreaterThan(500);
        // What a run makes once may still differ by how far it is compiled: some bytes. One object every tenth tick
        // would be more.
        assertThat(bytes(longer, start) - bytes(shorter, start))
                .as("bytes for %d ticks more", moreTicks)
                .isLessThan(moreTicks / 10 * OBJECT_BYTES);
    }

    private static int ticks(Track track, Start start) {
        int[] count = new int[1];
        Twin.run(track, start, (tS, xMm, yMm, headingRad, offsetMm, error, steering) -> count[0]++);
        return count[0];
    }

    /** With a bump, so that the lifted sensor's way is walked too. */
    private static Track track(double lengthMm) {
        Setup setup = Setups.pair();
        List<Part> parts = List.of(new Part.Straight(150), new Part.Bump(40, 3), new Part.Straight(lengthMm));
        return Track.of(new Course("long", lengthMm + 500, 400, new Pose(150, 200, 0), parts, false), setup);
    }

    private static long bytes(Track track, Start start) {
        long before = THREADS.getCurrentThreadAllocatedBytes();
        RunResult result = Twin.run(track, start, TickSink.NONE);
        long after = THREADS.getCurrentThreadAllocatedBytes();
        assertThat(result.completed()).isTrue();
        return after - before;
    }
}
