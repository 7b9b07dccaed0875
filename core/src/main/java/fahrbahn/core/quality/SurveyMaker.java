package fahrbahn.core.quality;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.levels.Levels;
import fahrbahn.core.levels.Schools;
import fahrbahn.core.levels.Sweep;
import fahrbahn.core.measuring.SlideFit;
import fahrbahn.core.readings.Capture;
import fahrbahn.core.readings.Lamp;
import fahrbahn.core.readings.SurfaceStats;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Makes a {@link Survey} of captures. */
final class SurveyMaker {
    /** Two sensors this near to each other in the slide cannot be told to be swapped, mm. */
    private static final double ORDER_MM = 1;

    private final List<Capture> captures;
    private final Setup setup;
    private final Map<Capture, CaptureReport> judged = new IdentityHashMap<>();
    private final Map<Capture, CaptureReport> reports = new IdentityHashMap<>();
    private final List<CaptureReport> inOrder = new ArrayList<>();
    private final Map<String, SurfacePair> pairs = new LinkedHashMap<>();
    private final List<Finding> between = new ArrayList<>();
    private final List<String> problems = new ArrayList<>();

    SurveyMaker(List<Capture> captures, Setup setup, Survey earlier) {
        this.captures = captures;
        earlier.captures().forEach(report -> judged.put(report.capture(), report));
        this.setup = setup;
    }

    Survey make() {
        SensorRanges ranges = SensorRanges.of(captures);
        for (Capture capture : captures) {
            CaptureReport before = judged.get(capture);
            boolean holds = before != null && before.holds(capture, ranges);
            CaptureReport report = holds ? before : CaptureReport.of(capture, ranges);
            reports.put(capture, report);
            inOrder.add(report);
        }
        makePairs(ranges);
        Map<String, SlideFit> slides = slides();
        addSwapped(slides);
        addDisagreements();
        report(Capture.AIR, Lamp.ON).ifPresent(this::addAir);
        return new Survey(List.copyOf(inOrder), pairs, between, agreements(), schools(), slides, rooms(), problems);
    }

    private Optional<CaptureReport> report(String surface, Lamp lamp) {
        return Survey.latest(captures, surface, lamp).map(reports::get);
    }

    private void makePairs(SensorRanges ranges) {
        Optional<CaptureReport> dark = report(Capture.DARK, Lamp.ON);
        Optional<CaptureReport> light = report(Capture.LIGHT, Lamp.ON);
        if (dark.isEmpty() || light.isEmpty()) {
            return;
        }
        for (String sensor : light.get().capture().sensors()) {
            SurfaceStats onDark = dark.get().stats(sensor);
            if (onDark != null) {
                SurfacePair pair = new SurfacePair(sensor, onDark, light.get().stats(sensor), ranges.step(sensor));
                between.addAll(pair.findings(expectedSign(sensor)));
                pairs.put(sensor, pair);
            }
        }
    }

    private int expectedSign(String sensor) {
        return known(sensor).map(s -> (int) Math.signum(s.light() - s.dark())).orElse(0);
    }

    private Optional<Sensor> known(String sensor) {
        return setup.robot().sensors().stream()
                .filter(s -> s.name().equals(sensor))
                .findFirst();
    }

    private List<Agreement> agreements() {
        List<SurfacePair> all =
                pairs.values().stream().filter(p -> p.contrast() > 0).toList();
        List<Agreement> agreements = new ArrayList<>();
        for (int i = 1; i < all.size(); i++) {
            agreements.add(Agreement.of(all.get(i - 1), all.get(i)));
        }
        return List.copyOf(agreements);
    }

    /** On every other surface, neighbours that ought to agree when scaled. An edge lies differently under each: not there. */
    private void addDisagreements() {
        List<SurfacePair> all =
                pairs.values().stream().filter(p -> p.contrast() > 0).toList();
        for (CaptureReport report : newestOfOtherSurfaces()) {
            for (int i = 1; i < all.size(); i++) {
                SurfaceStats a = report.stats(all.get(i - 1).sensor());
                SurfaceStats b = report.stats(all.get(i).sensor());
                if (a == null || b == null) {
                    continue;
                }
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
    }

    private List<CaptureReport> newestOfOtherSurfaces() {
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

    private Map<String, Schools> schools() {
        Optional<Capture> sweep = Survey.latest(captures, Capture.SWEEP, Lamp.ON);
        Map<String, Schools> schools = new LinkedHashMap<>();
        for (SurfacePair pair : pairs.values()) {
            if (sweep.isEmpty()
                    || pair.contrast() == 0
                    || !sweep.get().sensors().contains(pair.sensor())) {
                continue;
            }
            try {
                Sweep found = Sweep.of(sweep.get().values(pair.sensor()));
                double spot = known(pair.sensor()).map(Sensor::spotSigmaMm).orElse(3.0);
                schools.put(pair.sensor(), Schools.of(new Levels(pair.dark(), pair.light()), found, spot));
            } catch (BadValueException unusable) {
                problems.add("Sensor " + pair.sensor() + ": " + unusable.getMessage());
            }
        }
        return schools;
    }

    /** By the ruler where places are known; else by the width of the line. */
    private Map<String, SlideFit> slides() {
        Map<String, SlideFit> slides = new LinkedHashMap<>();
        Optional<Capture> slide = Survey.latest(captures, Capture.SLIDE, Lamp.ON);
        if (slide.isEmpty()) {
            return slides;
        }
        double[] places = slide.get().positionsMm();
        boolean ruled = Arrays.stream(places).allMatch(Double::isFinite);
        for (String sensor : slide.get().sensors()) {
            double[] readings = slide.get().values(sensor);
            try {
                slides.put(
                        sensor,
                        ruled
                                ? SlideFit.of(places, readings)
                                : SlideFit.timed(
                                        slide.get().timesS(),
                                        readings,
                                        setup.line().widthMm()));
            } catch (BadValueException unusable) {
                problems.add("Sensor " + sensor + ": " + unusable.getMessage());
            }
        }
        return slides;
    }

    /** Further left on the robot, a sensor meets the line further right on the ruler. */
    private void addSwapped(Map<String, SlideFit> slides) {
        Optional<Capture> slide = Survey.latest(captures, Capture.SLIDE, Lamp.ON);
        if (slide.isEmpty() || Arrays.stream(slide.get().positionsMm()).anyMatch(Double::isNaN)) {
            return;
        }
        List<Sensor> met = setup.robot().sensors().stream()
                .filter(s -> slides.containsKey(s.name()))
                .sorted(Comparator.comparingDouble(Sensor::leftMm).reversed())
                .toList();
        for (int i = 1; i < met.size(); i++) {
            double before = -slides.get(met.get(i - 1).name()).centreMm().value();
            double here = -slides.get(met.get(i).name()).centreMm().value();
            if (here - before > ORDER_MM) {
                between.add(
                        new Finding.Swapped(met.get(i - 1).name(), met.get(i).name()));
            }
        }
    }

    private void addAir(CaptureReport air) {
        for (SurfacePair pair : pairs.values()) {
            if (air.stats(pair.sensor()) != null && pair.contrast() > 0) {
                between.addAll(pair.air(air.stats(pair.sensor())));
            }
        }
    }

    private Map<String, RoomLight> rooms() {
        Optional<CaptureReport> darkOff = report(Capture.DARK, Lamp.OFF);
        Optional<CaptureReport> lightOff = report(Capture.LIGHT, Lamp.OFF);
        Map<String, RoomLight> rooms = new LinkedHashMap<>();
        for (SurfacePair pair : pairs.values()) {
            SurfaceStats dark = darkOff.map(r -> r.stats(pair.sensor())).orElse(null);
            SurfaceStats light = lightOff.map(r -> r.stats(pair.sensor())).orElse(null);
            if (dark != null && light != null && pair.contrast() > 0) {
                rooms.put(pair.sensor(), RoomLight.of(pair.dark(), pair.light(), dark, light));
            }
        }
        return rooms;
    }
}
