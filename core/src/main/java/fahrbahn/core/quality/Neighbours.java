package fahrbahn.core.quality;

import fahrbahn.core.readings.Capture;
import fahrbahn.core.readings.Lamp;
import fahrbahn.core.readings.SurfaceStats;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Sensors beside each other over the same paper. @param all those that tell dark from light, left to right */
record Neighbours(List<SurfacePair> all) {
    static Neighbours of(Collection<SurfacePair> pairs) {
        return new Neighbours(pairs.stream().filter(p -> !p.tooAlike()).toList());
    }

    List<Agreement> agreements() {
        List<Agreement> agreements = new ArrayList<>();
        for (int i = 1; i < all.size(); i++) {
            agreements.add(Agreement.of(all.get(i - 1), all.get(i)));
        }
        return List.copyOf(agreements);
    }

    /** On every other surface, neighbours that ought to agree when scaled. An edge lies differently under each: not there. */
    List<Finding> disagreements(List<CaptureReport> inOrder) {
        List<Finding> between = new ArrayList<>();
        for (CaptureReport report : newestOfOtherSurfaces(inOrder)) {
            for (int i = 1; i < all.size(); i++) {
                Optional<SurfaceStats> first = report.stats(all.get(i - 1).sensor());
                Optional<SurfaceStats> second = report.stats(all.get(i).sensor());
                if (first.isEmpty() || second.isEmpty()) {
                    continue;
                }
                SurfaceStats a = first.get();
                SurfaceStats b = second.get();
                double percent = Agreement.scaledPercent(all.get(i - 1), a.mean(), all.get(i), b.mean());
                double noise = 100
                        * Math.hypot(
                                a.sd() / all.get(i - 1).contrast(),
                                b.sd() / all.get(i).contrast());
                if (Math.abs(percent) > Math.max(5, 2 * noise)) {
                    between.add(new Finding.Disagree(
                            all.get(i - 1).sensor(),
                            all.get(i).sensor(),
                            report.capture().surface(),
                            percent));
                }
            }
        }
        return between;
    }

    private static List<CaptureReport> newestOfOtherSurfaces(List<CaptureReport> inOrder) {
        Map<String, CaptureReport> newest = new LinkedHashMap<>();
        for (CaptureReport report : inOrder) {
            Capture capture = report.capture();
            boolean other = capture.spot()
                    && capture.conditions().lamp() == Lamp.ON
                    && !List.of(Capture.DARK, Capture.LIGHT, Capture.EDGE).contains(capture.surface());
            if (other) {
                newest.put(capture.surface(), report);
            }
        }
        return List.copyOf(newest.values());
    }
}
