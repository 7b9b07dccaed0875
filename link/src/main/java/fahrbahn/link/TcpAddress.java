package fahrbahn.link;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.check.Check;

/**
 * Where a robot listens.
 *
 * @param port 1 to 65535
 */
public record TcpAddress(String host, int port) {
    private static final int MOST = 65_535;

    public TcpAddress {
        Check.text("host", host, "a name or a number of the network");
        Check.between("port", port, 1, MOST);
    }

    /** From a name and a port with a colon between them, as people type it. */
    public static TcpAddress parse(String typed) {
        String text = typed.strip();
        int colon = text.lastIndexOf(':');
        String port = text.substring(colon + 1);
        boolean digits = !port.isEmpty() && port.length() <= 5 && port.chars().allMatch(c -> c >= '0' && c <= '9');
        int number = digits ? Integer.parseInt(port) : 0;
        if (colon < 1 || number < 1 || number > MOST) {
            throw new BadValueException("the address", "'" + text + "'", "a name and a port, like 127.0.0.1:5801");
        }
        return new TcpAddress(text.substring(0, colon), number);
    }
}
