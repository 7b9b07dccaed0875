package fahrbahn.bench;

import fahrbahn.app.live.LiveModel;
import fahrbahn.app.live.LiveStatus;
import fahrbahn.link.LinkTimes;
import java.util.List;
import java.util.concurrent.locks.LockSupport;

/** An hour of sixteen sensors at a thousand readings a second, over a socket as fast as it is taken. */
final class ReadingsPromise {
    private static final long HOUR_OF_LINES = 3_600_000;
    private static final double BAR_S = 3600 / 50.0;
    private static final double MOST_DROPPED = 0.5;
    private static final long FRAME_NS = 16_000_000;

    private ReadingsPromise() {}

    static List<Promises.Figure> measure() throws Exception {
        LiveModel live = new LiveModel(System::nanoTime, LinkTimes.of(System::nanoTime), words -> {});
        try (Flood flood = new Flood(out -> Flood.lines(out, 16, HOUR_OF_LINES, 0))) {
            long startNs = System.nanoTime();
            live.connectTo(flood.address());
            LiveStatus status = live.statusProperty().get();
            while (status.readings() + status.dropped() < HOUR_OF_LINES) {
                LockSupport.parkNanos(FRAME_NS);
                live.drain();
                status = live.statusProperty().get();
            }
            double tookS = (System.nanoTime() - startNs) / 1e9;
            return List.of(
                    new Promises.Figure("an hour of readings taken, fifty times as fast as a robot, s", tookS, BAR_S),
                    new Promises.Figure(
                            "share of them dropped on the way",
                            status.dropped() / (double) HOUR_OF_LINES,
                            MOST_DROPPED));
        } finally {
            live.disconnect();
        }
    }
}
