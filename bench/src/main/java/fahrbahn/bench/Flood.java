package fahrbahn.bench;

import java.io.IOException;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.locks.LockSupport;

/** A peer that sends what it likes to whoever connects, once. */
final class Flood implements AutoCloseable {
    private static final int PIECE = 500;

    /** What is sent. */
    interface Peer {
        void send(OutputStream out) throws IOException;
    }

    private final ServerSocket server = new ServerSocket(0, 1, InetAddress.getLoopbackAddress());
    private final CountDownLatch over = new CountDownLatch(1);

    Flood(Peer peer) throws IOException {
        Thread sender = new Thread(() -> {
            try (Socket socket = server.accept()) {
                peer.send(socket.getOutputStream());
            } catch (IOException letGo) {
                // The window has had enough of it.
            } finally {
                over.countDown();
            }
        });
        sender.setDaemon(true);
        sender.start();
    }

    String address() {
        return "127.0.0.1:" + server.getLocalPort();
    }

    boolean over() {
        return over.getCount() == 0;
    }

    /** @param perSecond pace; 0 for as fast as the other side reads @param lines a multiple of 500 */
    static void lines(OutputStream out, int sensors, long lines, int perSecond) throws IOException {
        StringBuilder header = new StringBuilder("tS");
        for (int i = 0; i < sensors; i++) {
            header.append(",s").append(i + 1);
        }
        out.write((header + "\n").getBytes(StandardCharsets.UTF_8));
        StringBuilder text = new StringBuilder();
        for (int i = 0; i < PIECE; i++) {
            text.append("0.").append(100 + i);
            for (int s = 0; s < sensors; s++) {
                text.append(',').append(200 + (i * 7 + s * 13) % 600);
            }
            text.append('\n');
        }
        byte[] piece = text.toString().getBytes(StandardCharsets.UTF_8);
        long startNs = System.nanoTime();
        for (long sent = PIECE; sent <= lines; sent += PIECE) {
            out.write(piece);
            if (perSecond > 0) {
                LockSupport.parkNanos(startNs + sent * 1_000_000_000L / perSecond - System.nanoTime());
            }
        }
    }

    @Override
    public void close() throws IOException {
        server.close();
    }
}
