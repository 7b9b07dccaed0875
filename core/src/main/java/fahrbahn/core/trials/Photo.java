package fahrbahn.core.trials;

import fahrbahn.core.check.Check;
import java.util.Arrays;

/** A photograph of a run as it is kept: the bytes of a JPEG file. */
public final class Photo {
    /** A hundred of them keep a season small enough to be handed on; larger ones are scaled down before they are kept. */
    public static final int MOST_BYTES = 300_000;

    private final byte[] jpeg;

    public Photo(byte[] jpeg) {
        Check.between("photo", jpeg.length, 1, MOST_BYTES);
        this.jpeg = jpeg.clone();
    }

    public byte[] jpeg() {
        return jpeg.clone();
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Photo that && Arrays.equals(jpeg, that.jpeg);
    }

    @Override
    public int hashCode() {
        return Arrays.hashCode(jpeg);
    }
}
