package fahrbahn.app.levels;

import fahrbahn.core.colour.Channel;
import fahrbahn.core.marks.ChannelChoice;
import fahrbahn.core.marks.Confusions;
import fahrbahn.core.marks.MarkComparison;
import fahrbahn.core.marks.MarkSample;
import fahrbahn.core.marks.MarkSchool;
import fahrbahn.core.marks.MarkTiming;
import fahrbahn.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/** Coloured marks in sentences. */
final class MarkWords {
    static final String NOTHING =
            "No colour sensor captured. In Measure (3) capture dark, light, edge, then each mark by name (G).";

    private MarkWords() {}

    static String of(MarkSchool school) {
        return switch (school) {
            case SCALED_CENTRES -> "nearest mean, scaled channels";
            case CYLINDER_CENTRES -> "nearest mean, hue and saturation";
            case CONE_CENTRES -> "nearest mean, hue and chroma";
            case COVARIANCE -> "nearest by its own scatter";
            case BOX -> "a box round each mark";
            case ONE_CHANNEL -> "one channel, by thresholds";
            case ONE_SHARE -> "one channel's share, by thresholds";
            case ONE_SUM -> "red, green and blue added, by thresholds";
        };
    }

    static String taken(String surface) {
        return surface.equals("none") ? "no mark" : surface;
    }

    static String recommended(String sensor, MarkComparison comparison) {
        MarkSchool school = comparison.recommended();
        Confusions of = comparison.of(school);
        String left = comparison.byCapture(school).isPresent() ? "whole captures" : "each reading";
        String more = comparison.byCapture(school).isPresent()
                ? ""
                : " Only one capture of each surface: capture them again under other light.";
        return "For " + sensor + " take " + of(school) + ": with " + left + " left out it misses or mixes up "
                + of.harmful() + " of " + of.of() + "." + more;
    }

    /** What each name is for. */
    private static String role(String surface) {
        return switch (surface) {
            case "mark" -> ", the turn mark";
            case "stop" -> ", the stop strip";
            case "shiny" -> ", the shiny strip";
            case "cargo" -> ", cargo";
            default -> "";
        };
    }

    /** Each named surface: whether it is told, what it is taken for, how far its readings may lie from its mean. */
    static List<String> named(MarkComparison comparison) {
        MarkSchool school = comparison.recommended();
        Confusions of = comparison.of(school);
        Map<String, Double> shiny = comparison.shiny();
        List<String> said = new ArrayList<>();
        comparison.seen().forEach((surface, n) -> {
            if (MarkSample.ground(surface)) {
                return;
            }
            int missed = of.taken().entrySet().stream()
                    .filter(e -> e.getKey().was().equals(surface))
                    .mapToInt(Map.Entry::getValue)
                    .sum();
            String bright = shiny.containsKey(surface)
                    ? " It sends back " + Words.percent(shiny.get(surface))
                            + " of the lightest background: a threshold of "
                            + Words.percent((1 + shiny.get(surface)) / 2)
                            + " in any channel tells it."
                    : "";
            String tolerance = comparison.reader(school).tolerances().stream()
                    .filter(t -> t.surface().equals(surface))
                    .findFirst()
                    .map(MarkWords::tolerance)
                    .orElse("");
            said.add(surface + role(surface) + ": recognised in " + (n - missed) + " of " + n + "." + bright
                    + tolerance);
        });
        said.add(edge(comparison, of));
        return said;
    }

    private static String tolerance(MarkComparison.Tolerance t) {
        return t.parts()
                ? " Tolerance " + Words.number(t.tolerance(), 2) + ": its own readings are within "
                        + Words.number(t.ownReach(), 2) + " of its mean, others from " + Words.number(t.othersFrom(), 2)
                        + "."
                : " No tolerance separates it from the others: its own readings reach " + Words.number(t.ownReach(), 2)
                        + ", others come within " + Words.number(t.othersFrom(), 2) + ".";
    }

    /** A border between dark and light reads like some colours: what it is taken for, by name. */
    private static String edge(MarkComparison comparison, Confusions of) {
        Integer n = comparison.seen().get(MarkSample.EDGE);
        if (n == null) {
            return "Capture the line's edge (E in Measure): it can look like a colour.";
        }
        String alarms = of.taken().entrySet().stream()
                .filter(e -> e.getKey().was().equals(MarkSample.EDGE)
                        && !MarkSample.ground(e.getKey().takenAs())
                        && !e.getKey().takenAs().equals("none"))
                .map(e -> e.getValue() + " for " + e.getKey().takenAs())
                .collect(Collectors.joining(", "));
        return alarms.isEmpty()
                ? "No false alarm at the line's edge in " + Words.count(n, "reading", "readings") + "."
                : "False alarms at the line's edge: of " + Words.count(n, "reading", "readings") + " it takes " + alarms
                        + ".";
    }

    /** @param markMm over which a reading shows a usual turn mark */
    static String timing(MarkTiming timing, double markMm) {
        double missed = timing.missed(markMm);
        return Words.count(timing.reads(), "read", "reads") + " of " + Words.number(1000 * timing.periodS(), 3)
                + " ms at "
                + Words.number(timing.speedMmPerS()) + " mm/s need " + Words.millimetres(timing.needsMm())
                + " of mark. A usual turn mark shows over " + Words.millimetres(markMm) + ": "
                + (missed > 0
                        ? "missed in " + Words.percent(missed) + " of passes; "
                        : "never missed for too few readings; ")
                + "it fits up to " + Words.number(timing.fastestMmPerS(markMm)) + " mm/s.";
    }

    /** The best single channel for the line, and what adding all three would cost or win. @param channels the best first */
    static String channel(List<ChannelChoice> channels) {
        List<ChannelChoice> single =
                channels.stream().filter(c -> c.channel() != Channel.ALL).toList();
        if (single.size() < 2) {
            return "";
        }
        ChannelChoice best = single.get(0);
        ChannelChoice next = single.get(1);
        String added = channels.stream()
                .filter(c -> c.channel() == Channel.ALL)
                .findFirst()
                .map(sum -> " " + added(sum, best))
                .orElse("");
        return "For the line " + best.channel().word() + " is best: separation " + Words.number(best.separation(), 2)
                + " \u00b1 "
                + Words.number(best.plusMinus(), 2) + ", " + next.channel().word() + " "
                + Words.number(next.separation(), 2)
                + (best.surelyBetterThan(next) ? "." : ": not clearly better yet.")
                + added;
    }

    private static String added(ChannelChoice sum, ChannelChoice best) {
        String separation = "Red, green and blue added: separation " + Words.number(sum.separation(), 2);
        if (sum.surelyBetterThan(best)) {
            return separation + ", better than " + best.channel().word() + " alone.";
        }
        return best.surelyBetterThan(sum)
                ? separation + "; adding makes the noise count " + Words.number(sum.noiseAgainst(best), 2)
                        + " times as much."
                : separation + ", no clear difference.";
    }
}
