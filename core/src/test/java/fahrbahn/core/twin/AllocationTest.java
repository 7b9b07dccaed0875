package fahrbahn.core.twin;

import static org.assertj.core.api.Assertions.assertThat;

import com.sun.management.ThreadMXBean;
import fahrbahn.core.Setups;
import fahrbahn.core.path.Part;
import fahrbahn.core.path.Pose;
import fahrbahn.core.sensing.Variation;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.Course;
import fahrbahn.core.trace.TickSink;
import java.lang.management.ManagementFactory;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.parallel.Isolated;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** A tick allocates nothing: a run of ten times the ticks takes the same memory. */
@Isolated
class AllocationTest {
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
        // And it may compile anew at any moment: to the byte alike they are in a round it leaves alone. One object in
        // the thousand ticks that
        // the longer run has more would make every round differ.
        boolean alike = false;
        for (int round = 0; round < 100 && !alike; round++) {
            alike = bytes(longer, start) == bytes(shorter, start);
        }
        assertThat(alike)
                .as("bytes of a run of ten times the ticks, to the byte")
                .isTrue();
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
