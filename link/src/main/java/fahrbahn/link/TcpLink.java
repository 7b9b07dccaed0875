package fahrbahn.link;

import java.io.IOException;
import java.io.InputStream;
import java.net.InetSocketAddress;
import java.net.Socket;

/** A robot that sends the live line protocol over TCP. */
public final class TcpLink extends StreamLink {
    private static final int CONNECT_TIMEOUT_MS = 3000;

    private final String host;
    private final int port;

    private TcpLink(String host, int port, LinkListener listener) {
        super(listener);
        this.host = host;
        this.port = port;
    }

    /** Returns at once; when nobody answers, the listener hears that the link is lost. */
    public static TcpLink open(String host, int port, LinkListener listener) {
        TcpLink link = new TcpLink(host, port, listener);
        link.begin();
        return link;
    }

    @Override
    Way connect() throws IOException {
        Socket socket = new Socket();
        try {
            socket.connect(new InetSocketAddress(host, port), CONNECT_TIMEOUT_MS);
        } catch (IOException | IllegalArgumentException nobody) {
            socket.close();
            throw new IOException(nobody);
        }
        InputStream in = socket.getInputStream();
        return new Way() {
            @Override
            public int read(byte[] buffer) throws IOException {
                return in.read(buffer);
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
        return host + ":" + port;
    }
}
