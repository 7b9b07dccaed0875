package fahrbahn.pen;

import java.util.Map;

/** The inks on white paper: dark enough in black and white, told apart by lightness as well as hue. */
public final class PrintInks {
    private static final Map<String, Integer> RGB = Map.ofEntries(
            Map.entry("ink-road", 0xd9dcde),
            Map.entry("ink-band", 0xeceae2),
            Map.entry("ink-edge", 0x1b1e21),
            Map.entry("ink-middle", 0x8a6500),
            Map.entry("ink-curve", 0x8a6500),
            Map.entry("ink-advice", 0x0a7048),
            Map.entry("ink-best", 0x0a7048),
            Map.entry("ink-left", 0x0a6aa6),
            Map.entry("ink-spot", 0xcfe3f0),
            Map.entry("ink-right", 0x8f1f5b),
            Map.entry("ink-dark", 0x6a7178),
            Map.entry("ink-event", 0x985200),
            Map.entry("ink-zero", 0xb4b8bb));

    private static final int BLACK = 0x1b1e21;

    private PrintInks() {}

    /** {@code 0xRRGGBB}; near black for an ink that paper has no colour of its own for. */
    static int rgb(String ink) {
        return RGB.getOrDefault(ink, BLACK);
    }
}
