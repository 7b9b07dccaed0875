package fahrbahn.app.live;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.util.concurrent.locks.LockSupport;

/** A robot with many sensors that talks fast. */
public final class Flood {
    private static final int PIECE = 500;

    private Flood() {}

    /**
     * Writes a header and lines, some of them garbage, some halved where two pieces meet.
     *
     * @param perSecond pace to keep; 0 for as fast as the other side reads
     * @return how many of the lines were good
     */
    public static long write(OutputStream out, int sensors, long lines, int perSecond) throws IOException {
        StringBuilder header = new StringBuilder("tS");
        for (int i = 0; i < sensors; i++) {
            header.append(",s").append(i + 1);
        }
        out.write((header + "\n").getBytes(StandardCharsets.UTF_8));
        byte[][] pieces = new byte[8][];
        for (int k = 0; k < pieces.length; k++) {
            StringBuilder text = new StringBuilder();
            for (int i = 0; i < PIECE; i++) {
                text.append(k).append('.').append(100 + i);
                for (int s = 0; s < sensors; s++) {
                    text.append(',').append(200 + (i * 7 + s * 13 + k) % 600);
                }
                text.append('\n');
            }
            text.append("#remark\n%%garbage%%,1\n");
            pieces[k] = text.toString().getBytes(StandardCharsets.UTF_8);
        }
        long startNs = System.nanoTime();
        long good = 0;
        for (int k = 0; good < lines; k++) {
            byte[] piece = pieces[k % pieces.length];
            int half = piece.length / 2 + k % 17;
            out.write(piece, 0, half);
            out.write(piece, half, piece.length - half);
            good += PIECE;
            if (perSecond > 0) {
                LockSupport.parkNanos(startNs + good * 1_000_000_000L / perSecond - System.nanoTime());
            }
        }
        out.flush();
        return good;
    }
}
