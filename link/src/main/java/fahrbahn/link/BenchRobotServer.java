package fahrbahn.link;

import java.io.BufferedReader;
import java.io.BufferedWriter;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.OutputStreamWriter;
import java.io.Writer;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.concurrent.locks.LockSupport;

/**
 * The bench robot as a program of its own: whoever connects on the loopback address is sent the live line protocol, a line a
 * tick, and may send it the lines of {@link BenchRobot#obey}. One guest at a time; the next is served when it leaves.
 */
public final class BenchRobotServer implements AutoCloseable {
    private final ServerSocket server;
    private final BenchRobot robot;
    private volatile Socket guest;

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
        return new BenchRobotServer(new ServerSocket(port, 1, InetAddress.getLoopbackAddress()), robot);
    }

    /** Serves whoever can reach this machine: only when that is asked for. @throws IOException when the port is taken */
    public static BenchRobotServer openToAll(int port, BenchRobot robot) throws IOException {
        return new BenchRobotServer(new ServerSocket(port, 1), robot);
    }

    /** True when only this machine can connect. */
    public boolean loopbackOnly() {
        return server.getInetAddress().isLoopbackAddress();
    }

    public int port() {
        return server.getLocalPort();
    }

    /** Serves guests until it is closed. */
    public void serve() {
        while (!server.isClosed()) {
            try (Socket socket = server.accept()) {
                guest = socket;
                Threads.daemon("bench robot ears")
                        .newThread(() -> listen(socket))
                        .start();
                talk(socket);
            } catch (IOException gone) {
                // The guest left, or the server was closed: the loop's condition tells which.
            }
        }
    }

    /** Keeps the beat on this thread: the k-th line is due k periods after the first, so that delays do not add up. */
    private void talk(Socket socket) throws IOException {
        Writer out = new BufferedWriter(new OutputStreamWriter(socket.getOutputStream(), StandardCharsets.UTF_8));
        out.write("# bench robot, a line every " + BenchRobot.PERIOD_S + " s\n" + BenchRobot.header() + "\n");
        long startNs = System.nanoTime();
        long periodNs = Math.round(BenchRobot.PERIOD_S * 1e9);
        for (long tick = 0; !socket.isClosed(); tick++) {
            LockSupport.parkNanos(startNs + tick * periodNs - System.nanoTime());
            out.write(BenchRobot.line(robot.tick()) + "\n");
            out.flush();
        }
    }

    private void listen(Socket socket) {
        try {
            BufferedReader in =
                    new BufferedReader(new InputStreamReader(socket.getInputStream(), StandardCharsets.UTF_8));
            for (String line = in.readLine(); line != null; line = in.readLine()) {
                robot.obey(line);
            }
        } catch (IOException gone) {
            // The guest left.
        }
    }

    @Override
    public void close() throws IOException {
        server.close();
        Socket current = guest;
        if (current != null) {
            current.close();
        }
    }
}
