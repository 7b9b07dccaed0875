package fahrbahn.link;

import java.io.Closeable;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.TimeUnit;

/**
 * A link that reads the live line protocol from something that delivers bytes. It connects, reads and sends on threads of its own.
 * Once it has been connected it does not give up: when the robot goes away it tries again until it is closed.
 */
abstract class StreamLink implements Link {
    private static final int BUFFER_BYTES = 1 << 16;

    private final LinkListener listener;
    private final LinkTimes times;
    private final LineAssembler lines;
    private final ExecutorService sender = Executors.newSingleThreadExecutor(Threads.daemon("robot link sender"));
    private final CountDownLatch closed = new CountDownLatch(1);
    private volatile Way way;
    private boolean away; // of the link's own thread

    /** An open way to the robot. */
    interface Way extends Closeable {
        /** Waits a while for bytes. @return how many there are; 0 when none came; -1 when the other side has ended */
        int read(byte[] buffer) throws IOException;

        void write(byte[] bytes) throws IOException;

        /** True when the other side can be gone without this end noticing. */
        default boolean mayVanish() {
            return false;
        }
    }

    StreamLink(LinkListener listener, LinkTimes times) {
        this.listener = listener;
        this.times = times;
        this.lines = new LineAssembler(listener, times.nanoClock());
    }

    /** Makes the way anew; may wait some seconds. */
    abstract Way connect() throws IOException;

    /** Ends an attempt to connect that is under way; called by whoever closes the link. */
    void giveUp() {}

    /** Why the first attempt failed and what to do. */
    abstract String nobody(IOException why);

    /** What it means that a way has ended. @param why null when the other side ended it in order */
    abstract String gone(IOException why);

    /** Begins; to be called once, last of all in making the link. */
    final void begin() {
        Threads.daemon("robot link " + source()).newThread(this::run).start();
    }

    private void run() {
        boolean everConnected = false;
        byte[] buffer = new byte[BUFFER_BYTES];
        while (!isClosed()) {
            String why;
            try (Way open = connect()) {
                way = open;
                everConnected = true;
                readAll(open, buffer);
                why = gone(null);
            } catch (NoRobotException stranger) {
                String words = source() + " does not look like a robot: " + stranger.getMessage()
                        + ". Check the address, the port or the file, and what the robot's program prints, then connect again";
                tell(() -> listener.lost(words));
                return;
            } catch (IOException broken) {
                if (!everConnected) {
                    tell(() -> listener.lost(nobody(broken)));
                    return;
                }
                why = gone(broken);
            } finally {
                way = null;
                lines.interrupt();
            }
            if (!away) {
                String words = why;
                tell(() -> listener.away(words));
                away = true;
            }
            pause();
        }
    }

    /** Until the other side ends it, or a robot that was talking has said nothing for so long that it must have gone without a word. */
    private void readAll(Way open, byte[] buffer) throws IOException {
        Pulse pulse = new Pulse();
        for (int count = open.read(buffer); count >= 0 && !isClosed(); count = open.read(buffer)) {
            if (count > 0) {
                pulse.heard(times.nanoClock().getAsLong());
                away = false;
                lines.take(buffer, count);
            } else if (open.mayVanish() && pulse.gone(times.nanoClock().getAsLong())) {
                throw new IOException("it says nothing any more");
            }
        }
    }

    private void tell(Runnable news) {
        if (!isClosed()) {
            news.run();
        }
    }

    /** Until it is time to try again, or the link is closed. */
    private void pause() {
        try {
            closed.await(times.tryAgainMs(), TimeUnit.MILLISECONDS);
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
    }

    final boolean isClosed() {
        return closed.getCount() == 0;
    }

    @Override
    public final void send(String line) {
        try {
            sender.execute(() -> write(line));
        } catch (RejectedExecutionException afterClosing) {
            // Nobody is there to hear it.
        }
    }

    private void write(String line) {
        Way open = way;
        try {
            if (open != null) {
                open.write((line + "\n").getBytes(StandardCharsets.UTF_8));
            }
        } catch (IOException broken) {
            // The reading side notices the same break and tells it.
        }
    }

    @Override
    public final void close() {
        closed.countDown();
        sender.shutdownNow();
        giveUp();
        Way open = way;
        if (open != null) {
            // A serial port may take a moment to let go; whoever closes the link, the window perhaps, does not wait for
            // it.
            Threads.daemon("robot link closer")
                    .newThread(() -> closeQuietly(open))
                    .start();
        }
    }

    private static void closeQuietly(Way open) {
        try {
            open.close();
        } catch (IOException alreadyBroken) {
            // Closed is what was wanted.
        }
    }
}
