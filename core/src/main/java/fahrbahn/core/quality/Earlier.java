package fahrbahn.core.quality;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;

/** What dark and light of now tell beside dark and light of the time before: lamps that are off, plugs that were exchanged. */
final class Earlier {
    /** On light, a sensor without its lamp reads no further than this from dark to light as it was before. */
    private static final double WITHOUT_LAMP = 0.35;

    /** Of the contrast: as near as one sensor reads the same paper twice, in a hand. */
    private static final double SAME = 0.03;

    private static final double OTHER = 0.1;

    private Earlier() {}

    /** @param before the same surfaces as a sensor read them the time before */
    static List<Finding> compared(List<SurfacePair> now, Function<SurfacePair, Optional<SurfacePair>> before) {
        Map<SurfacePair, SurfacePair> pairs = new LinkedHashMap<>();
        now.forEach(pair ->
                before.apply(pair).filter(b -> b.contrast() > 0).ifPresent(earlier -> pairs.put(pair, earlier)));
        List<Finding> found = new ArrayList<>();
        // One sensor that sees less is a sensor; all of them are the lamps.
        boolean dim = !pairs.isEmpty()
                && pairs.size() == now.size()
                && pairs.entrySet().stream()
                        .allMatch(e -> e.getValue().scaled(e.getKey().light().mean()) < WITHOUT_LAMP
                                && e.getKey().contrast() < e.getValue().contrast() / 2);
        if (dim) {
            pairs.forEach((here, then) -> found.add(new Finding.LampOff(
                    here.sensor(), here.light().mean(), then.light().mean())));
            return found;
        }
        List<SurfacePair> all = List.copyOf(pairs.keySet());
        for (int i = 0; i < all.size(); i++) {
            for (int j = i + 1; j < all.size(); j++) {
                SurfacePair a = all.get(i);
                SurfacePair b = all.get(j);
                SurfacePair aThen = pairs.get(a);
                SurfacePair bThen = pairs.get(b);
                boolean crossed = away(a, bThen) < SAME && away(b, aThen) < SAME;
                if (crossed && away(a, aThen) > OTHER && away(b, bThen) > OTHER) {
                    found.add(new Finding.Exchanged(a.sensor(), b.sensor()));
                }
            }
        }
        return found;
    }

    /** The larger of the two surfaces' differences, of the contrast. */
    private static double away(SurfacePair now, SurfacePair then) {
        double dark = Math.abs(now.dark().mean() - then.dark().mean());
        double light = Math.abs(now.light().mean() - then.light().mean());
        return Math.max(dark, light) / then.contrast();
    }
}
