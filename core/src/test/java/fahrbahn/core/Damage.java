package fahrbahn.core;

import java.util.Arrays;
import java.util.Random;

/** What a failing disk, a stick pulled out or a copy cut short does to the bytes of a file made of pages. */
public final class Damage {
    public static final int PAGE = 4096;

    private Damage() {}

    /** One of six ways, in turn. */
    public static byte[] of(byte[] sound, int seed) {
        Random random = new Random(seed);
        byte[] bytes = sound.clone();
        int pages = bytes.length / PAGE;
        switch (seed % 6) {
            case 0 -> bytes[random.nextInt(bytes.length)] ^= (byte) (1 << random.nextInt(8));
            case 1 -> {
                for (int i = 0; i < 20; i++) {
                    bytes[random.nextInt(bytes.length)] = (byte) random.nextInt(256);
                }
            }
            case 2 -> { // a page of nothing
                int page = random.nextInt(pages);
                Arrays.fill(bytes, page * PAGE, (page + 1) * PAGE, (byte) 0);
            }
            case 3 -> bytes = Arrays.copyOf(bytes, 1 + random.nextInt(bytes.length));
            case 4 -> bytes[random.nextInt(100)] = (byte) random.nextInt(256); // the header
            default -> { // one page in another's place
                int from = random.nextInt(pages);
                int to = random.nextInt(pages);
                System.arraycopy(sound, from * PAGE, bytes, to * PAGE, PAGE);
            }
        }
        return bytes;
    }
}
