package fahrbahn.link;

import java.io.IOException;
import java.io.InputStream;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.net.SocketTimeoutException;

/** A robot that sends the live line protocol over TCP. */
public final class TcpLink extends StreamLink {
    private static final int CONNECT_TIMEOUT_MS = 3000;

    /** How long reading waits before it looks whether the link is closed. */
    private static final int READ_WAIT_MS = 250;

    private final TcpAddress address;
    private volatile Socket connecting;

    private TcpLink(TcpAddress address, LinkListener listener, LinkTimes times) {
        super(listener, times);
        this.address = address;
    }

    /** Returns at once; when nobody answers, the listener hears that the link is lost. */
    public static TcpLink open(TcpAddress address, LinkListener listener, LinkTimes times) {
        TcpLink link = new TcpLink(address, listener, times);
        link.begin();
        return link;
    }

    @Override
    Way connect() throws IOException {
        Socket socket = new Socket();
        connecting = socket;
        try {
            if (isClosed()) {
                throw new IOException("closed");
            }
            socket.setSoTimeout(READ_WAIT_MS);
            socket.connect(new InetSocketAddress(address.host(), address.port()), CONNECT_TIMEOUT_MS);
        } catch (IOException | IllegalArgumentException nobody) {
            socket.close();
            throw new IOException(nobody);
        } finally {
            connecting = null;
        }
        InputStream in = socket.getInputStream();
        return new Way() {
            @Override
            public int read(byte[] buffer) throws IOException {
                try {
                    return in.read(buffer);
                } catch (SocketTimeoutException nothingYet) {
                    return 0;
                }
            }

            @Override
            public boolean mayVanish() {
                return true; // a cable that is pulled tells nobody
            }

            @Override
            public void write(byte[] bytes) throws IOException {
                socket.getOutputStream().write(bytes);
            }

            @Override
            public void close() throws IOException {
                socket.close();
            }
        };
    }

    @Override
    void giveUp() {
        Socket attempt = connecting;
        if (attempt != null) {
            try {
                attempt.close();
            } catch (IOException alreadyBroken) {
                // Ended is what was wanted.
            }
        }
    }

    @Override
    String nobody(IOException why) {
        return "Nothing answers at " + source() + ". Check that the robot's program is running and that address and"
                + " port are right, then connect again";
    }

    @Override
    String gone(IOException why) {
        return source() + (why == null ? " has closed the link" : " has gone (" + why.getMessage() + ")")
                + ". Start its program again; the link comes back by itself";
    }

    @Override
    public String source() {
        return address.host() + ":" + address.port();
    }
}
