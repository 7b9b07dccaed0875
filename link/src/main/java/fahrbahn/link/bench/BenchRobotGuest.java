package fahrbahn.link.bench;

import fahrbahn.link.Threads;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.concurrent.ArrayBlockingQueue;
import java.util.concurrent.BlockingQueue;

/** One who listens to the bench robot, with threads of its own for what it hears and what it says. */
public final class BenchRobotGuest {
    /** Some ten seconds of lines; who is further behind does not read. */
    private static final int MOST_WAITING = 1000;

    /** A longer line is none; it is cut. */
    private static final int LONGEST_LINE = 256;

    private final Socket socket;
    private final BenchRobot robot;
    private final BlockingQueue<byte[]> waiting = new ArrayBlockingQueue<>(MOST_WAITING);
    private volatile boolean greeted;
    private volatile boolean gone;
    private volatile boolean full;

    private BenchRobotGuest(Socket socket, BenchRobot robot) {
        this.socket = socket;
        this.robot = robot;
    }

    public static BenchRobotGuest welcome(Socket socket, BenchRobot robot) {
        BenchRobotGuest guest = new BenchRobotGuest(socket, robot);
        Threads.daemon("bench robot mouth").newThread(guest::talk).start();
        Threads.daemon("bench robot ears").newThread(guest::listen).start();
        return guest;
    }

    /** Takes a line to be sent. @return false when the guest has gone, or does not read */
    public boolean hear(byte[] header, byte[] line) {
        boolean taken = (greeted || waiting.offer(header)) && waiting.offer(line);
        greeted = true;
        full |= !taken && !gone;
        return taken && !gone;
    }

    /** Takes a line that may be missed. */
    void say(byte[] line) {
        if (greeted) {
            waiting.offer(line);
        }
    }

    /** Whether it did not read. */
    public boolean full() {
        return full;
    }

    private void talk() {
        try {
            while (!gone) {
                socket.getOutputStream().write(waiting.take());
            }
        } catch (IOException left) {
            gone = true;
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
    }

    private void listen() {
        ByteArrayOutputStream line = new ByteArrayOutputStream();
        byte[] buffer = new byte[4096];
        try {
            InputStream in = socket.getInputStream();
            for (int count = in.read(buffer); count >= 0; count = in.read(buffer)) {
                for (int i = 0; i < count; i++) {
                    if (buffer[i] == '\n') {
                        BenchProtocol.obey(robot, line.toString(StandardCharsets.UTF_8));
                        line.reset();
                    } else if (line.size() < LONGEST_LINE) {
                        line.write(buffer[i]);
                    }
                }
            }
            gone = true;
        } catch (IOException left) {
            gone = true;
        }
    }

    public void close() {
        gone = true;
        waiting.offer(new byte[0]); // wakes the mouth, if it waits
        try {
            socket.close();
        } catch (IOException alreadyBroken) {
            // Closed is what was wanted.
        }
    }
}
