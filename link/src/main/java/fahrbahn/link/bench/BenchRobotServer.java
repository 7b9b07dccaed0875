package fahrbahn.link.bench;

import fahrbahn.link.Threads;
import java.io.IOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.atomic.AtomicLong;
import java.util.concurrent.locks.LockSupport;
import java.util.function.LongConsumer;

/**
 * The bench robot as a program of its own: whoever connects on the loopback address is sent the live line protocol, a line a
 * tick, and may send it the lines of {@link BenchProtocol#obey}. Several may listen; one that does not read is dropped, and counted.
 */
public final class BenchRobotServer implements AutoCloseable {
    private static final int MOST_GUESTS = 16;

    private final ServerSocket server;
    private final BenchRobot robot;
    private final List<BenchRobotGuest> guests = new CopyOnWriteArrayList<>();
    private final AtomicLong dropped = new AtomicLong();

    private BenchRobotServer(ServerSocket server, BenchRobot robot) {
        this.server = server;
        this.robot = robot;
    }

    /**
     * Serves this machine only.
     *
     * @param port 0 takes any free one
     * @throws IOException when the port is taken
     */
    public static BenchRobotServer open(int port, BenchRobot robot) throws IOException {
        return new BenchRobotServer(new ServerSocket(port, MOST_GUESTS, InetAddress.getLoopbackAddress()), robot);
    }

    /** Serves whoever can reach this machine: only when that is asked for. @throws IOException when the port is taken */
    public static BenchRobotServer openToAll(int port, BenchRobot robot) throws IOException {
        return new BenchRobotServer(new ServerSocket(port, MOST_GUESTS), robot);
    }

    /** True when only this machine can connect. */
    public boolean loopbackOnly() {
        return server.getInetAddress().isLoopbackAddress();
    }

    public int port() {
        return server.getLocalPort();
    }

    /** How many listen now. */
    public int guests() {
        return guests.size();
    }

    /** How many were dropped because they did not read. */
    public long dropped() {
        return dropped.get();
    }

    /** Serves guests until it is closed. */
    public void serve() {
        serve(count -> {});
    }

    /** The same. @param told how many have been dropped so far, whenever one more is */
    public void serve(LongConsumer told) {
        Threads.daemon("bench robot door").newThread(this::letIn).start();
        byte[] header = bytes(BenchProtocol.header(robot) + "\n");
        robot.onSaying(words -> {
            byte[] said = bytes("# " + words + "\n");
            guests.forEach(guest -> guest.say(said));
        });
        long startNs = System.nanoTime();
        long periodNs = Math.round(BenchRobot.PERIOD_S * 1e9);
        // The k-th line is due k periods after the first, so that delays do not add up.
        for (long tick = 0; !server.isClosed(); tick++) {
            LockSupport.parkNanos(startNs + tick * periodNs - System.nanoTime());
            byte[] line = bytes(BenchProtocol.line(robot, robot.tick()) + "\n");
            for (BenchRobotGuest guest : guests) {
                if (!guest.hear(header, line)) {
                    guests.remove(guest);
                    guest.close();
                    if (guest.full()) {
                        told.accept(dropped.incrementAndGet());
                    }
                }
            }
        }
    }

    private static byte[] bytes(String text) {
        return text.getBytes(StandardCharsets.UTF_8);
    }

    private void letIn() {
        while (!server.isClosed()) {
            try {
                Socket socket = server.accept();
                if (guests.size() < MOST_GUESTS) {
                    guests.add(BenchRobotGuest.welcome(socket, robot));
                } else {
                    socket.close();
                }
            } catch (IOException gone) {
                // The guest left at the door, or the server was closed: the loop's condition tells which.
            }
        }
    }

    @Override
    public void close() throws IOException {
        server.close();
        guests.forEach(BenchRobotGuest::close);
        guests.clear();
    }
}
