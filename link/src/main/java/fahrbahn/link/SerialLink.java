package fahrbahn.link;

import com.fazecast.jSerialComm.SerialPort;
import com.fazecast.jSerialComm.SerialPortInvalidPortException;
import java.io.IOException;
import java.util.Arrays;
import java.util.List;

/** A robot that sends the live line protocol over a serial port: 8 data bits, no parity, one stop bit. */
public final class SerialLink extends StreamLink {
    /** The usual rates, most common first. */
    public static final List<Integer> RATES = List.of(115_200, 9600, 57_600, 230_400, 460_800, 921_600);

    private static final int WAIT_MS = 50;

    private final String port;
    private final int baud;

    private SerialLink(String port, int baud, LinkListener listener, LinkTimes times) {
        super(listener, times);
        this.port = port;
        this.baud = baud;
    }

    /**
     * Returns at once; when the port cannot be opened, the listener hears that the link is lost.
     *
     * @param port as the system calls it
     */
    public static SerialLink open(String port, int baud, LinkListener listener, LinkTimes times) {
        SerialLink link = new SerialLink(port, baud, listener, times);
        link.begin();
        return link;
    }

    /** Ports there are now, as the system calls them. May take a moment. */
    public static List<String> ports() {
        return Arrays.stream(SerialPort.getCommPorts())
                .map(SerialPort::getSystemPortPath)
                .sorted()
                .toList();
    }

    @Override
    Way connect() throws IOException {
        SerialPort serial;
        try {
            serial = SerialPort.getCommPort(port);
        } catch (SerialPortInvalidPortException noSuchPort) {
            throw new IOException("no such port", noSuchPort);
        }
        serial.setComPortParameters(baud, 8, SerialPort.ONE_STOP_BIT, SerialPort.NO_PARITY);
        serial.setComPortTimeouts(SerialPort.TIMEOUT_READ_SEMI_BLOCKING, WAIT_MS, 0);
        if (!serial.openPort(0)) {
            throw new IOException("in use by another program, not allowed, or unplugged");
        }
        return new Way() {
            @Override
            public int read(byte[] buffer) throws IOException {
                int count = serial.readBytes(buffer, buffer.length);
                if (count < 0 || !serial.isOpen()) {
                    throw new IOException("unplugged");
                }
                return count;
            }

            @Override
            public void write(byte[] bytes) throws IOException {
                if (serial.writeBytes(bytes, bytes.length) < 0) {
                    throw new IOException("unplugged");
                }
            }

            @Override
            public void close() {
                serial.closePort();
            }
        };
    }

    @Override
    String nobody(IOException why) {
        return "The port " + port + " cannot be opened (" + why.getMessage()
                + "). Plug the robot in, close other programs that use the port, then connect again";
    }

    @Override
    String gone(IOException why) {
        return "The robot on " + port + " was unplugged. Plug it in again; the link comes back by itself";
    }

    @Override
    public String source() {
        return port;
    }
}
