package fahrbahn.words;

import java.util.Map;

/** What robots and venues are called at one moment, by identifier: for what is worked out in the background. */
public record Names(Map<String, String> robots, Map<String, String> venues) {
    public Names {
        robots = Map.copyOf(robots);
        venues = Map.copyOf(venues);
    }

    /** Its identifier for a robot that is not in the list. */
    public String robot(String id) {
        return robots.getOrDefault(id, id);
    }

    /** Older seasons called a venue by its name. */
    public String venue(String id) {
        return venues.getOrDefault(id, id);
    }
}
