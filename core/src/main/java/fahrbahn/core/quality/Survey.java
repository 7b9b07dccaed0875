package fahrbahn.core.quality;

import fahrbahn.core.levels.Schools;
import fahrbahn.core.measuring.SlideFit;
import fahrbahn.core.readings.Capture;
import fahrbahn.core.readings.Lamp;
import fahrbahn.core.setup.Setup;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Everything the captures of a season say about the sensors, with the newest of each kind.
 *
 * @param captures each judged, oldest first
 * @param pairs dark against light, by sensor
 * @param between findings about dark against light, order, agreement and air
 * @param agreements of neighbours, first to last
 * @param schools spots against sweep, by sensor
 * @param slides by sensor; a sensor whose slide shows no line is missing
 * @param rooms lamp on against lamp off, by sensor
 * @param creases whether odd readings are a crease that was captured, by sensor
 * @param problems why a sweep or a slide could not be used, in words
 */
public record Survey(
        List<CaptureReport> captures,
        Map<String, SurfacePair> pairs,
        List<Finding> between,
        List<Agreement> agreements,
        Map<String, Schools> schools,
        Map<String, SlideFit> slides,
        Map<String, RoomLight> rooms,
        Map<String, CreaseCheck> creases,
        List<String> problems) {
    public static final Survey EMPTY =
            new Survey(List.of(), Map.of(), List.of(), List.of(), Map.of(), Map.of(), Map.of(), Map.of(), List.of());

    /** @param captures oldest first */
    public static Survey of(List<Capture> captures, Setup setup) {
        return of(captures, setup, EMPTY);
    }

    /** The same; captures that an earlier survey has judged, and that would be judged alike, are not judged again. */
    public static Survey of(List<Capture> captures, Setup setup, Survey earlier) {
        return new SurveyMaker(captures, setup, earlier).make();
    }

    /** What forbids a level of this sensor: the worst about it between its surfaces, or in the captures of them that count. */
    public Optional<Finding> stop(String sensor) {
        return Stream.concat(
                        between.stream(),
                        captures.stream()
                                .filter(r -> Stream.of(Capture.DARK, Capture.LIGHT)
                                        .anyMatch(surface -> newest(surface, sensor) == r.capture()))
                                .flatMap(r -> r.findings().stream()))
                .filter(f -> f.about(sensor) && f.weight() == Finding.Weight.STOP)
                .findFirst();
    }

    /** The first of these sensors that must not have a level, by what is about it. */
    public Optional<Finding> stop(List<String> sensors) {
        return sensors.stream().map(this::stop).flatMap(Optional::stream).findFirst();
    }

    /** Whether these captures are among those it judged. */
    public boolean judged(List<Capture> some) {
        Set<String> ids = captures.stream().map(r -> r.capture().id()).collect(Collectors.toSet());
        return some.stream().allMatch(c -> ids.contains(c.id()));
    }

    private Capture newest(String surface, String sensor) {
        return newest(captures.stream().map(CaptureReport::capture).toList(), surface, sensor)
                .orElse(null);
    }

    /** The newest capture of a surface, lamps on, that has this sensor: typed for one alone, it stands beside older ones of the others. */
    public static Optional<Capture> newest(List<Capture> captures, String surface, String sensor) {
        return captures.stream()
                .filter(c -> c.surface().equals(surface)
                        && c.conditions().lamp() == Lamp.ON
                        && c.sensors().contains(sensor))
                .reduce((older, newer) -> newer);
    }

    /** The newest capture of each of these sensors, each once. */
    public static List<Capture> newest(List<Capture> captures, String surface, List<String> sensors) {
        Map<String, Capture> byId = new LinkedHashMap<>();
        for (String sensor : sensors) {
            newest(captures, surface, sensor).ifPresent(c -> byId.put(c.id(), c));
        }
        return List.copyOf(byId.values());
    }

    /** The captures of a surface that count: the newest of each of these sensors, lamps on; without any, the newest of others. */
    public static List<Capture> counting(List<Capture> captures, String surface, List<String> sensors) {
        List<Capture> its = newest(captures, surface, sensors);
        return its.isEmpty() ? latest(captures, surface, Lamp.ON).stream().toList() : its;
    }

    /** The newest capture of a surface with the lamps so. */
    public static Optional<Capture> latest(List<Capture> captures, String surface, Lamp lamp) {
        return captures.stream()
                .filter(c -> c.surface().equals(surface) && c.conditions().lamp() == lamp)
                .reduce((older, newer) -> newer);
    }
}
