package fahrbahn.core.mat;

import java.util.Arrays;

/** A picture as it is kept: the bytes of a PNG file, unpacked only where pixels are looked at. */
public final class PackedPicture {
    /** More would make a season file too heavy to hand on; larger pictures are scaled down before they are kept. */
    public static final int MOST_BYTES = 6_000_000;

    private final byte[] png;

    public PackedPicture(byte[] png) {
        this.png = png.clone();
    }

    public byte[] png() {
        return png.clone();
    }

    public int size() {
        return png.length;
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof PackedPicture that && Arrays.equals(png, that.png);
    }

    @Override
    public int hashCode() {
        return Arrays.hashCode(png);
    }
}
