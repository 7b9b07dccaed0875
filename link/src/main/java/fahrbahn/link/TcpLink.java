package fahrbahn.link;

import fahrbahn.core.readings.LineDecoder;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.Reader;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;

/** A robot that sends the live line protocol over TCP. Connecting, reading and sending happen on the link's own threads. */
public final class TcpLink implements Link {
    private static final int CONNECT_TIMEOUT_MS = 3000;

    /** A longer line is garbage; it is cut, so that a stream without line ends cannot fill the memory. */
    private static final int LONGEST_LINE = 4096;

    private final String host;
    private final int port;
    private final LinkListener listener;
    private final Socket socket = new Socket();
    private final ExecutorService sender = Executors.newSingleThreadExecutor(Threads.daemon("robot link sender"));
    private volatile boolean closed;

    private TcpLink(String host, int port, LinkListener listener) {
        this.host = host;
        this.port = port;
        this.listener = listener;
    }

    /** Returns at once; when nobody answers, the listener hears that the link is lost. */
    public static TcpLink open(String host, int port, LinkListener listener) {
        TcpLink link = new TcpLink(host, port, listener);
        Threads.daemon("robot link " + host + ":" + port).newThread(link::run).start();
        return link;
    }

    private void run() {
        try (socket) {
            if (connect()) {
                read(new BufferedReader(new InputStreamReader(socket.getInputStream(), StandardCharsets.UTF_8)));
                lose(source() + " has stopped sending and closed the link. Start its program again, then connect");
            }
        } catch (IOException broken) {
            lose("The link to " + source() + " broke (" + broken.getMessage()
                    + "). Check the robot, then connect again");
        } finally {
            sender.shutdownNow();
        }
    }

    private boolean connect() {
        try {
            socket.connect(new InetSocketAddress(host, port), CONNECT_TIMEOUT_MS);
            return true;
        } catch (IOException | IllegalArgumentException nobody) {
            lose("Nothing answers at " + source() + ". Check that the robot's program is running and that address and"
                    + " port are right, then connect again");
            return false;
        }
    }

    private void read(Reader text) throws IOException {
        LineDecoder decoder = new LineDecoder();
        StringBuilder line = new StringBuilder();
        int next;
        while ((next = text.read()) >= 0 && !closed) {
            if (next != '\n' && next != '\r') {
                if (line.length() < LONGEST_LINE) {
                    line.append((char) next);
                }
                continue;
            }
            decoder.line(line.toString())
                    .ifPresent(reading -> listener.reading(decoder.sensors(), reading, decoder.brokenLines()));
            line.setLength(0);
        }
    }

    private void lose(String why) {
        if (!closed) {
            listener.lost(why);
        }
    }

    @Override
    public String source() {
        return host + ":" + port;
    }

    @Override
    public void send(String line) {
        if (!closed && socket.isConnected()) {
            sender.execute(() -> write(line));
        }
    }

    private void write(String line) {
        try {
            socket.getOutputStream().write((line + "\n").getBytes(StandardCharsets.UTF_8));
        } catch (IOException broken) {
            // The reading side notices the same break and tells it.
        }
    }

    @Override
    public void close() {
        closed = true;
        sender.shutdownNow();
        try {
            socket.close();
        } catch (IOException alreadyBroken) {
            // Closed is what was wanted.
        }
    }
}
