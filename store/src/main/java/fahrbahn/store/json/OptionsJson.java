package fahrbahn.store.json;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import fahrbahn.core.setup.Options;
import fahrbahn.core.setup.Options.Limits;
import fahrbahn.core.setup.Options.LostLine;
import fahrbahn.core.setup.Options.Outer;
import fahrbahn.core.setup.Options.Pattern;
import fahrbahn.core.setup.Options.Step;
import java.util.List;
import java.util.Optional;

/** The part of a law in a setup file that goes beyond an error and three gains. Every field has a default; a plain law has none. */
final class OptionsJson {
    private OptionsJson() {}

    static Options read(Fields law) {
        List<Step> steps = law.objectsOrNothing("steps").stream()
                .map(s -> s.make(() -> new Step(s.number("aboveError"), s.number("steering"))))
                .toList();
        List<Pattern> patterns = law.objectsOrNothing("patterns").stream()
                .map(p -> p.make(() -> new Pattern(p.text("bits"), p.number("steering"))))
                .toList();
        Fields lost = law.objectOrNothing("lost");
        LostLine lostLine = lost.make(() -> new LostLine(
                lost.oneOf("action", LostLine.Action.values(), LostLine.Action::word, LostLine.Action.NONE),
                lost.number("seenShare", LostLine.IGNORED.seenShare()),
                lost.number("steering", 0),
                lost.number("gapError", 0)));
        Fields limits = law.objectOrNothing("limits");
        Limits newLimits = limits.make(() -> new Limits(
                limits.number("steering", Double.POSITIVE_INFINITY),
                limits.number("slowDown", 0),
                limits.number("blankS", 0),
                limits.truth("stopsOnAll", false)));
        return new Options(
                law.numbersOrNothing("weights"),
                steps,
                law.number("hysteresis", 0),
                patterns,
                law.numbersOrNothing("thresholds"),
                lostLine,
                outer(law, lostLine.seenShare()),
                newLimits,
                law.has("turnMarks") ? Optional.of(TurnMarksJson.read(law.object("turnMarks"))) : Optional.empty(),
                law.has("obstacle") ? Optional.of(ObstacleJson.read(law.object("obstacle"))) : Optional.empty());
    }

    /** Emergency sensors meet the line as the others see it, unless it is said otherwise. */
    private static Optional<Outer> outer(Fields law, double seenShare) {
        if (!law.has("outer")) {
            return Optional.empty();
        }
        Fields outer = law.object("outer");
        return Optional.of(outer.make(() -> {
            double enter = outer.number("enterShare", seenShare);
            return new Outer(
                    outer.text("left"),
                    outer.text("right"),
                    outer.number("steering"),
                    enter,
                    outer.number("leaveShare", enter));
        }));
    }

    /** Writes what differs from the plain law, and takes away what an earlier law had and this one has not. */
    static void fill(ObjectNode law, Options options) {
        law.remove(List.of(
                "weights",
                "steps",
                "hysteresis",
                "patterns",
                "thresholds",
                "lost",
                "outer",
                "limits",
                "turnMarks",
                "obstacle"));
        if (!options.weights().isEmpty()) {
            ArrayNode weights = law.putArray("weights");
            options.weights().forEach(weights::add);
        }
        if (!options.steps().isEmpty()) {
            ArrayNode steps = law.putArray("steps");
            options.steps()
                    .forEach(s ->
                            steps.addObject().put("aboveError", s.aboveError()).put("steering", s.steering()));
            law.put("hysteresis", options.hysteresis());
        }
        if (!options.patterns().isEmpty()) {
            ArrayNode patterns = law.putArray("patterns");
            options.patterns()
                    .forEach(p -> patterns.addObject().put("bits", p.bits()).put("steering", p.steering()));
        }
        if (!options.thresholds().isEmpty()) {
            ArrayNode thresholds = law.putArray("thresholds");
            options.thresholds().forEach(thresholds::add);
        }
        LostLine lost = options.lost();
        if (!lost.equals(LostLine.IGNORED)) {
            law.putObject("lost")
                    .put("action", lost.action().word())
                    .put("seenShare", lost.seenShare())
                    .put("steering", lost.steering())
                    .put("gapError", lost.gapError());
        }
        options.outer()
                .ifPresent(outer -> law.putObject("outer")
                        .put("left", outer.left())
                        .put("right", outer.right())
                        .put("steering", outer.steering())
                        .put("enterShare", outer.enterShare())
                        .put("leaveShare", outer.leaveShare()));
        fillLimits(law, options.limits());
        options.turnMarks().ifPresent(marks -> TurnMarksJson.fill(law.putObject("turnMarks"), marks));
        options.obstacle().ifPresent(move -> ObstacleJson.fill(law.putObject("obstacle"), move));
    }

    private static void fillLimits(ObjectNode law, Limits limits) {
        if (limits.equals(Limits.NONE)) {
            return;
        }
        ObjectNode json = law.putObject("limits");
        if (Double.isFinite(limits.steering())) { // JSON has no infinity; without the field there is no limit
            json.put("steering", limits.steering());
        }
        json.put("slowDown", limits.slowDown()).put("blankS", limits.blankS());
        if (limits.stopsOnAll()) {
            json.put("stopsOnAll", true);
        }
    }
}
