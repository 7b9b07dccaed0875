package fahrbahn.link;

import fahrbahn.core.readings.LineDecoder;
import fahrbahn.core.readings.Reading;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Optional;
import java.util.function.LongSupplier;

/** Bytes as they come, in pieces of any size, into lines and readings. Its memory is one line. */
final class LineAssembler {
    /** A longer line is garbage; it is cut, so that a stream without line ends cannot fill the memory. */
    private static final int LONGEST_LINE = 4096;

    private final LineDecoder decoder = new LineDecoder();
    private final LinkListener listener;
    private final byte[] line = new byte[LONGEST_LINE];
    private final Sanity sanity;
    private int length;

    LineAssembler(LinkListener listener, LongSupplier nanoClock) {
        this.listener = listener;
        this.sanity = new Sanity(nanoClock);
    }

    /** @throws NoRobotException when it cannot be a robot that sends this */
    void take(byte[] bytes, int count) throws NoRobotException {
        for (int i = 0; i < count; i++) {
            byte next = bytes[i];
            if (next == '\n' || next == '\r') {
                end();
            } else if (length < LONGEST_LINE) {
                line[length++] = next;
            }
        }
    }

    private void end() throws NoRobotException {
        if (length > 0) {
            String text = new String(line, 0, length, StandardCharsets.UTF_8);
            long brokenBefore = decoder.brokenLines();
            length = 0;
            if (text.startsWith("#")) {
                listener.said(text.substring(1).strip());
            }
            Optional<Reading> reading = decoder.line(text);
            if (reading.isPresent()) {
                sanity.reading(decoder.sensors());
                listener.reading(decoder.sensors(), reading.get());
            }
            if (decoder.brokenLines() > brokenBefore) {
                listener.broken(decoder.brokenLines());
                sanity.broken();
            }
        }
    }

    /** The stream was interrupted: half a line will never be ended by what comes after. */
    void interrupt() {
        Arrays.fill(line, 0, length, (byte) 0);
        length = 0;
    }
}
