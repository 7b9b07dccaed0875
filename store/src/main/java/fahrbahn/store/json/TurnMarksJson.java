package fahrbahn.store.json;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import fahrbahn.core.check.Check;
import fahrbahn.core.colour.ColourRule;
import fahrbahn.core.colour.ColourScale;
import fahrbahn.core.colour.ColourSpace;
import fahrbahn.core.setup.TurnMarks;
import java.util.List;
import java.util.Optional;

/** Turn marks in a setup file: {@code law.turnMarks}. */
public final class TurnMarksJson {
    private TurnMarksJson() {}

    static TurnMarks read(Fields json) {
        Fields turn = json.object("turn");
        return json.make(() -> new TurnMarks(
                looker(json.object("left")),
                looker(json.object("right")),
                colours(json.object("colours")),
                json.text("mark"),
                whole(json, "reads"),
                ExtentJson.read(json.object("lookBack")),
                ExtentJson.read(json.object("blank")),
                json.oneOf("place", TurnMarks.Place.values(), TurnMarks.Place::word),
                turn.make(() -> new TurnMarks.Manoeuvre(
                        ExtentJson.read(turn.object("ahead")),
                        turn.number("command"),
                        ExtentJson.read(turn.object("quarter"))))));
    }

    private static int whole(Fields json, String field) {
        double number = json.number(field);
        Check.require(number == Math.rint(number), field, number, "a whole number");
        return (int) number;
    }

    private static TurnMarks.Looker looker(Fields json) {
        return json.make(() -> new TurnMarks.Looker(
                json.text("sensor"), new ColourScale(json.numbersOrNothing("dark"), json.numbersOrNothing("light"))));
    }

    private static ColourRule colours(Fields json) {
        List<ColourRule.Known> known = json.objects("known").stream()
                .map(k -> k.make(() -> new ColourRule.Known(
                        k.text("surface"), k.numbersOrNothing("centre"), k.numbersOrNothing("reach"))))
                .toList();
        return json.make(() -> new ColourRule(
                json.oneOf("space", ColourSpace.values(), ColourSpace::word),
                json.numbersOrNothing("metric"),
                known,
                json.has("cut") ? Optional.of(cut(json.object("cut"))) : Optional.empty()));
    }

    /** Features are counted from 1 in a file. */
    private static ColourRule.Cut cut(Fields json) {
        return json.make(() -> {
            int feature = whole(json, "feature");
            Check.between("feature", feature, 1, ColourSpace.CHANNELS);
            return new ColourRule.Cut(feature - 1, json.numbersOrNothing("levels"));
        });
    }

    public static void fill(ObjectNode json, TurnMarks marks) {
        fill(json.putObject("left"), marks.left());
        fill(json.putObject("right"), marks.right());
        ObjectNode colours = json.putObject("colours");
        colours.put("space", marks.colours().space().word());
        numbers(colours, "metric", marks.colours().metric());
        marks.colours().cut().ifPresent(cut -> {
            ObjectNode one = colours.putObject("cut").put("feature", cut.feature() + 1);
            numbers(one, "levels", cut.levels());
        });
        ArrayNode known = colours.putArray("known");
        for (ColourRule.Known one : marks.colours().known()) {
            ObjectNode surface = known.addObject().put("surface", one.surface());
            numbers(surface, "centre", one.centre());
            numbers(surface, "reach", one.reach());
        }
        json.put("mark", marks.mark()).put("reads", marks.reads());
        ExtentJson.fill(json.putObject("lookBack"), marks.lookBack());
        ExtentJson.fill(json.putObject("blank"), marks.blank());
        json.put("place", marks.place().word());
        ObjectNode turn = json.putObject("turn").put("command", marks.turn().command());
        ExtentJson.fill(turn.putObject("ahead"), marks.turn().ahead());
        ExtentJson.fill(turn.putObject("quarter"), marks.turn().quarter());
    }

    private static void fill(ObjectNode json, TurnMarks.Looker looker) {
        json.put("sensor", looker.sensor());
        numbers(json, "dark", looker.scale().dark());
        numbers(json, "light", looker.scale().light());
    }

    private static void numbers(ObjectNode json, String name, List<Double> numbers) {
        if (!numbers.isEmpty()) {
            ArrayNode array = json.putArray(name);
            numbers.forEach(array::add);
        }
    }
}
