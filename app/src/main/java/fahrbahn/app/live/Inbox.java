package fahrbahn.app.live;

import fahrbahn.core.readings.Reading;
import fahrbahn.core.runlog.RunClock;
import fahrbahn.link.LinkListener;
import java.util.List;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.atomic.AtomicReference;

/**
 * What one link delivers until the next frame; written by the link's thread, emptied by the window's. A link that has been replaced
 * writes into an inbox nobody reads.
 */
final class Inbox implements LinkListener {
    /** Some thirty seconds at a thousand readings a second; beyond it the newest are dropped and counted. */
    private static final int MOST_WAITING = 1 << 15;

    /** One reading, the columns it came under, how often the link had been interrupted by then, and what was said of a run before it. */
    record Tick(List<String> columns, Reading reading, int interruptions, RunClock.Mark mark) {}

    final BlockingQueue<Tick> ticks = new LinkedBlockingQueue<>(MOST_WAITING);
    volatile long brokenLines;
    volatile long dropped;
    volatile int interruptions;
    volatile String away;

    /** Whether the robot has said that it is a simulated one. */
    volatile boolean simulated;

    /** What a simulated robot said last; a real one's comments are for whoever reads its stream. */
    volatile String said;

    volatile String lost;
    // A bench robot says it on the thread that was asked to drive.
    private final AtomicReference<RunClock.Mark> mark = new AtomicReference<>(RunClock.Mark.NONE);
    int toldInterruptions;

    @Override
    public void reading(List<String> columns, Reading reading) {
        if (!ticks.offer(new Tick(columns, reading, interruptions, mark.getAndSet(RunClock.Mark.NONE)))) {
            dropped++; // only the link's thread writes it
        }
    }

    @Override
    public void broken(long lines) {
        brokenLines = lines;
    }

    @Override
    public void said(String words) {
        if (LinkListener.simulated(words)) {
            simulated = true;
        } else if (words.startsWith(LinkListener.RUN_STARTS)) {
            mark.set(RunClock.Mark.START);
        } else if (words.startsWith(LinkListener.RUN_ENDS)) {
            mark.set(RunClock.Mark.END);
        } else if (simulated) {
            said = words;
        }
    }

    @Override
    public void away(String why) {
        interruptions++; // only the link's thread writes it
        away = why;
    }

    @Override
    public void lost(String why) {
        lost = why;
    }
}
