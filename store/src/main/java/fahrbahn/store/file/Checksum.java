package fahrbahn.store.file;

import java.nio.charset.StandardCharsets;
import java.util.zip.CRC32;

/** A sum over everything a row of a season file says, kept beside it: a bit that flips on the disk is found. CRC-32 as of ISO 3309. */
public final class Checksum {
    private static final int ABSENT = 0;
    private static final int PRESENT = 1;

    private Checksum() {}

    /** @param parts in the order of the table's columns; null where there is none */
    static long of(long number, String... parts) {
        CRC32 sum = new CRC32();
        for (int shift = 0; shift < Long.SIZE; shift += Byte.SIZE) {
            sum.update((int) (number >>> shift) & 0xff);
        }
        for (String part : parts) {
            // Whether there is a part, and where it ends, belongs to it: "a", "b" is not "ab", "".
            sum.update(part == null ? ABSENT : PRESENT);
            if (part != null) {
                byte[] bytes = part.getBytes(StandardCharsets.UTF_8);
                sum.update(bytes);
                sum.update(ABSENT);
            }
        }
        return sum.getValue();
    }

    public static long ofStep(int number, String at, String cause, String label) {
        return of(number, at, cause, label);
    }

    public static long ofRevision(int step, String kind, String owner, String id, String body) {
        return of(step, kind, owner, id, body);
    }
}
