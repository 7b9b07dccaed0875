package fahrbahn.core.quality;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.levels.Schools;
import fahrbahn.core.levels.SensorLevels;
import fahrbahn.core.levels.Sweep;
import fahrbahn.core.measuring.SlideFit;
import fahrbahn.core.readings.Capture;
import fahrbahn.core.readings.ColourColumns;
import fahrbahn.core.readings.Lamp;
import fahrbahn.core.readings.Median;
import fahrbahn.core.readings.SurfaceStats;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

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
        Neighbours neighbours = Neighbours.of(pairs.values());
        between.addAll(neighbours.disagreements(inOrder));
        report(Capture.AIR, Lamp.ON).ifPresent(this::addAir);
        Map<String, Schools> schools = schools();
        return new Survey(
                List.copyOf(inOrder),
                pairs,
                between,
                neighbours.agreements(),
                schools,
                slides,
                rooms(),
                creases(),
                problems);
    }

    private Map<String, CreaseCheck> creases() {
        Map<String, CreaseCheck> creases = new LinkedHashMap<>();
        pairs.values().forEach(pair -> CreaseCheck.of(captures, pair).ifPresent(c -> creases.put(pair.sensor(), c)));
        return creases;
    }

    private Optional<CaptureReport> report(String surface, Lamp lamp) {
        return Survey.latest(captures, surface, lamp).map(reports::get);
    }

    private void makePairs(SensorRanges ranges) {
        for (String sensor : sensors()) {
            Optional<SurfacePair> pair = pair(captures, sensor, ranges.step(sensor));
            pair.ifPresent(p -> {
                between.addAll(p.findings(expectedSign(sensor)));
                pairs.put(sensor, p);
            });
        }
        between.addAll(Earlier.compared(List.copyOf(pairs.values()), pair -> pairBefore(pair, ranges)));
    }

    /** Those of the robot that have been captured, then others of the newest captures. */
    private Set<String> sensors() {
        Set<String> captured = new LinkedHashSet<>();
        captures.forEach(c -> captured.addAll(c.sensors()));
        Set<String> all = new LinkedHashSet<>();
        setup.robot().sensors().stream()
                .map(Sensor::name)
                .filter(captured::contains)
                .forEach(all::add);
        for (String surface : List.of(Capture.LIGHT, Capture.DARK)) {
            report(surface, Lamp.ON)
                    .ifPresent(r ->
                            all.addAll(ColourColumns.withoutChannels(r.capture().sensors())));
        }
        return all;
    }

    private Optional<SurfacePair> pair(List<Capture> among, String sensor, double step) {
        Optional<Capture> dark = Survey.newest(among, Capture.DARK, sensor);
        Optional<Capture> light = Survey.newest(among, Capture.LIGHT, sensor);
        Optional<SurfaceStats> onDark = dark.flatMap(d -> reports.get(d).stats(sensor));
        Optional<SurfaceStats> onLight = light.flatMap(l -> reports.get(l).stats(sensor));
        return onDark.isEmpty() || onLight.isEmpty()
                ? Optional.empty()
                : Optional.of(new SurfacePair(sensor, onDark.get(), onLight.get(), step));
    }

    /** The same surfaces as this sensor read them the time before. */
    private Optional<SurfacePair> pairBefore(SurfacePair now, SensorRanges ranges) {
        List<Capture> older = new ArrayList<>(captures);
        Survey.newest(captures, Capture.DARK, now.sensor()).ifPresent(older::remove);
        Survey.newest(captures, Capture.LIGHT, now.sensor()).ifPresent(older::remove);
        return pair(older, now.sensor(), ranges.step(now.sensor()));
    }

    private int expectedSign(String sensor) {
        return known(sensor).map(s -> (int) Math.signum(s.light() - s.dark())).orElse(0);
    }

    private Optional<Sensor> known(String sensor) {
        return setup.robot().sensors().stream()
                .filter(s -> s.name().equals(sensor))
                .findFirst();
    }

    private Map<String, Schools> schools() {
        Optional<Capture> sweep = Survey.latest(captures, Capture.SWEEP, Lamp.ON);
        Map<String, Schools> schools = new LinkedHashMap<>();
        for (SurfacePair pair : pairs.values()) {
            if (sweep.isEmpty() || pair.tooAlike() || !sweep.get().sensors().contains(pair.sensor())) {
                continue;
            }
            double[] readings = sweep.get().values(pair.sensor());
            try {
                Sweep found = Sweep.of(readings);
                double spot = known(pair.sensor()).map(Sensor::spotSigmaMm).orElse(3.0);
                schools.put(pair.sensor(), Schools.of(levels(pair), found, spot));
            } catch (BadValueException unusable) {
                problems.add("Sensor " + pair.sensor() + ": " + unusable.getMessage());
                if (readings.length >= Sweep.LEAST_READINGS) {
                    between.add(new Finding.OneSurface(pair.sensor(), Median.of(readings)));
                }
            }
        }
        return schools;
    }

    private SensorLevels levels(SurfacePair pair) {
        return SensorLevels.of(
                pair.sensor(), values(Capture.DARK, pair.sensor()), values(Capture.LIGHT, pair.sensor()), pair.step());
    }

    private double[] values(String surface, String sensor) {
        return Survey.newest(captures, surface, sensor).orElseThrow().values(sensor);
    }

    /** By the ruler where places are known; else by the width of the line. */
    private Map<String, SlideFit> slides() {
        Map<String, SlideFit> slides = new LinkedHashMap<>();
        Optional<Capture> slide = Survey.latest(captures, Capture.SLIDE, Lamp.ON);
        if (slide.isEmpty()) {
            return slides;
        }
        boolean ruled = slide.get().placed();
        List<String> sensors = slide.get().sensors();
        for (String sensor : ColourColumns.withoutChannels(sensors)) {
            int i = sensors.indexOf(sensor);
            double[] readings = slide.get().values(i);
            try {
                slides.put(
                        sensor,
                        ruled
                                ? SlideFit.of(slide.get().positionsMm(i), readings)
                                : SlideFit.timed(
                                        slide.get().timesS(i),
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
        if (slide.isEmpty() || !slide.get().placed()) {
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
            Optional<SurfaceStats> lifted = air.stats(pair.sensor()).filter(s -> !pair.tooAlike());
            lifted.ifPresent(stats -> between.addAll(pair.air(stats)));
        }
    }

    private Map<String, RoomLight> rooms() {
        Optional<CaptureReport> darkOff = report(Capture.DARK, Lamp.OFF);
        Optional<CaptureReport> lightOff = report(Capture.LIGHT, Lamp.OFF);
        Map<String, RoomLight> rooms = new LinkedHashMap<>();
        for (SurfacePair pair : pairs.values()) {
            Optional<SurfaceStats> dark = darkOff.flatMap(r -> r.stats(pair.sensor()));
            Optional<SurfaceStats> light = lightOff.flatMap(r -> r.stats(pair.sensor()));
            if (dark.isPresent() && light.isPresent() && !pair.tooAlike()) {
                rooms.put(pair.sensor(), RoomLight.of(pair.dark(), pair.light(), dark.get(), light.get()));
            }
        }
        return rooms;
    }
}
