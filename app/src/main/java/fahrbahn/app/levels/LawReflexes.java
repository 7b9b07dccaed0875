package fahrbahn.app.levels;

import fahrbahn.app.kit.Nodes;
import fahrbahn.app.kit.field.SetupFields;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.law.UsualLaws;
import fahrbahn.core.setup.Options;
import fahrbahn.core.setup.Options.Limits;
import fahrbahn.core.setup.Options.LostLine;
import fahrbahn.core.setup.Options.Outer;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;
import java.util.function.UnaryOperator;
import javafx.scene.Node;
import javafx.scene.layout.Region;

/** What goes before a law: a line that is lost, emergency sensors, limits and crossings. */
final class LawReflexes {
    private final SetupFields fields;
    private List<Node> lost = List.of();
    private List<Node> emergency = List.of();

    LawReflexes(SetupFields fields) {
        this.fields = fields;
    }

    /** Only those fields are shown that have something to set. */
    void refresh(Options options) {
        LostLine.Action action = options.lost().action();
        Node turnsBack = lost.get(2);
        Node gap = lost.get(3);
        Nodes.showIf(turnsBack, action == LostLine.Action.LAST_SIDE || action == LostLine.Action.BY_LOSS);
        Nodes.showIf(gap, action == LostLine.Action.BY_LOSS);
        emergency
                .subList(1, emergency.size())
                .forEach(n -> Nodes.showIf(n, options.outer().isPresent()));
    }

    Node lost() {
        lost = lostRule();
        emergency = emergencySensors();
        List<Node> all = new ArrayList<>(lost);
        all.addAll(emergency);
        return SetupFields.group("When no sensor sees the line", all.toArray(Node[]::new));
    }

    private List<Node> lostRule() {
        return List.of(
                fields.choice(
                        "lostAction",
                        "it",
                        "When the line is lost: go on, straight on, back to the side where it was, or by how it was lost.",
                        LostLine.Action.values(),
                        LawPageWords::lost,
                        s -> s.law().options().lost().action(),
                        (s, v) -> withLost(s, l -> new LostLine(v, l.seenShare(), l.steering(), l.gapError()))),
                fields.number(
                        "lostSeen",
                        "seen from, %",
                        "A sensor sees the line when at least this share of its spot is on it.",
                        s -> 100 * s.law().options().lost().seenShare(),
                        (s, v) -> withLost(s, l -> new LostLine(l.action(), v / 100, l.steering(), l.gapError()))),
                fields.number(
                        "lostSteering",
                        "turns back by",
                        "Steering towards the side where the line was last seen, in motor units.",
                        s -> s.law().options().lost().steering(),
                        (s, v) -> withLost(s, l -> new LostLine(l.action(), l.seenShare(), v, l.gapError()))),
                fields.number(
                        "lostGap",
                        "a gap up to error",
                        "When the line was lost, an error up to this means a gap: straight on.",
                        s -> s.law().options().lost().gapError(),
                        (s, v) -> withLost(s, l -> new LostLine(l.action(), l.seenShare(), l.steering(), v))));
    }

    private List<Node> emergencySensors() {
        return List.of(
                fields.choice(
                        "emergency",
                        "emergency sensors",
                        "Whether two outer sensors steer back hard as soon as one of them sees the line.",
                        new Boolean[] {false, true},
                        yes -> yes ? "two" : "none",
                        s -> s.law().options().outer().isPresent(),
                        (s, v) -> LawPage.options(s, o -> withOuter(s, o, v))),
                which(
                        "emergencyLeft",
                        "on the left",
                        Outer::left,
                        (o, name) -> new Outer(name, o.right(), o.steering(), o.enterShare(), o.leaveShare())),
                which(
                        "emergencyRight",
                        "on the right",
                        Outer::right,
                        (o, name) -> new Outer(o.left(), name, o.steering(), o.enterShare(), o.leaveShare())),
                fields.number(
                        "emergencySteering",
                        "they steer",
                        "Steering of an emergency sensor, in motor units.",
                        s -> outer(s, Outer::steering),
                        (s, v) -> withOuter(s, o -> new Outer(o.left(), o.right(), v, o.enterShare(), o.leaveShare()))),
                fields.number(
                        "emergencyEnter",
                        "met from, %",
                        "An emergency sensor sees the line when this share of its spot is on it.",
                        s -> 100 * outer(s, Outer::enterShare),
                        (s, v) -> withOuter(
                                s,
                                o -> new Outer(
                                        o.left(),
                                        o.right(),
                                        o.steering(),
                                        v / 100,
                                        Math.min(o.leaveShare(), v / 100)))),
                fields.number(
                        "emergencyLeave",
                        "left below, %",
                        "It has left the line when less of its spot is on it; lower than the share above avoids flicker.",
                        s -> 100 * outer(s, Outer::leaveShare),
                        (s, v) -> withOuter(
                                s, o -> new Outer(o.left(), o.right(), o.steering(), o.enterShare(), v / 100))));
    }

    /** Any sensor of the robot. */
    private Node which(String id, String words, Function<Outer, String> get, BiFunction<Outer, String, Outer> with) {
        return fields.choiceOf(
                id,
                words,
                "The emergency sensor on this side; the others follow the line.",
                s -> s.robot().sensors().stream().map(Sensor::name).toList(),
                String[]::new,
                name -> name,
                s -> s.law().options().outer().map(get).orElse(null),
                (s, name) -> withOuter(s, o -> with.apply(o, name)));
    }

    private static Setup withLost(Setup setup, UnaryOperator<LostLine> change) {
        return LawPage.options(setup, o -> o.withLost(change.apply(o.lost())));
    }

    private static Options withOuter(Setup setup, Options options, boolean on) {
        return options.withOuter(on ? Optional.of(UsualLaws.outer(setup)) : Optional.empty());
    }

    private static double outer(Setup setup, ToDoubleFunction<Outer> figure) {
        return setup.law().options().outer().map(figure::applyAsDouble).orElse(Double.NaN);
    }

    private static Setup withOuter(Setup setup, UnaryOperator<Outer> change) {
        Outer outer = setup.law()
                .options()
                .outer()
                .orElseThrow(() -> new BadValueException(
                        "emergency sensors", "none", "of emergency sensors: choose them beside it first"));
        return LawPage.options(setup, o -> o.withOuter(change.apply(outer)));
    }

    Region limits() {
        return SetupFields.group(
                "Limits",
                fields.number(
                        "mostSteering",
                        "steers at most",
                        "Largest steering to either side, in motor units; empty: no limit.",
                        s -> finite(s.law().options().limits().steering()),
                        (s, v) -> withLimits(s, l -> l.withSteering(v))),
                fields.number(
                        "slowDown",
                        "slows by, %",
                        "Share of the base speed taken away at the largest steering, in proportion below it.",
                        s -> 100 * s.law().options().limits().slowDown(),
                        (s, v) -> withLimits(s, l -> l.withSlowDown(v / 100))),
                fields.number(
                        "blank",
                        "blanking, ms",
                        "After all sensors see the line at once it goes straight for this time.",
                        s -> Math.round(1e6 * s.law().options().limits().blankS()) / 1e3,
                        (s, v) -> withLimits(s, l -> l.withBlankS(v / 1000))),
                fields.choice(
                        "stopsOnAll",
                        "all on the line",
                        "When all sensors see the line at once: drive on (crossing), or stop for good (strip).",
                        new Boolean[] {false, true},
                        stops -> stops ? "stops" : "drives on",
                        s -> s.law().options().limits().stopsOnAll(),
                        (s, v) -> withLimits(s, l -> l.withStopsOnAll(v))));
    }

    private static double finite(double value) {
        return Double.isFinite(value) ? value : Double.NaN;
    }

    private static Setup withLimits(Setup setup, UnaryOperator<Limits> change) {
        return LawPage.options(setup, o -> o.withLimits(change.apply(o.limits())));
    }
}
