package fahrbahn.app.levels;

import fahrbahn.app.kit.SetupFields;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.law.UsualLaws;
import fahrbahn.core.setup.Options;
import fahrbahn.core.setup.Options.Limits;
import fahrbahn.core.setup.Options.LostLine;
import fahrbahn.core.setup.Setup;
import java.util.Optional;
import java.util.function.UnaryOperator;
import javafx.scene.Node;
import javafx.scene.layout.Region;

/** What goes before a law: a line that is lost, emergency sensors, limits and crossings. */
final class LawReflexes {
    private final SetupFields fields;

    LawReflexes(SetupFields fields) {
        this.fields = fields;
    }

    Node lost() {
        return SetupFields.group(
                "When no sensor sees the line",
                fields.choice(
                        "lostAction",
                        "it",
                        "Lost rule: go on with what the sensors say, straight on, back to the side where the line was, or by how it was lost.",
                        LostLine.Action.values(),
                        LawPageWords::lost,
                        s -> s.law().options().lost().action(),
                        (s, v) -> withLost(s, l -> new LostLine(v, l.seenShare(), l.steering(), l.gapError()))),
                fields.number(
                        "lostSeen",
                        "seen from, %",
                        "A sensor sees the line when at least this share of its spot lies on it.",
                        s -> 100 * s.law().options().lost().seenShare(),
                        (s, v) -> withLost(s, l -> new LostLine(l.action(), v / 100, l.steering(), l.gapError()))),
                fields.number(
                        "lostSteering",
                        "turns back by",
                        "Steering towards the side where the line was last seen, command units.",
                        s -> s.law().options().lost().steering(),
                        (s, v) -> withLost(s, l -> new LostLine(l.action(), l.seenShare(), v, l.gapError()))),
                fields.number(
                        "lostGap",
                        "a gap up to error",
                        "When the line was lost, an error up to this means a gap: straight on.",
                        s -> s.law().options().lost().gapError(),
                        (s, v) -> withLost(s, l -> new LostLine(l.action(), l.seenShare(), l.steering(), v))),
                fields.choice(
                        "emergency",
                        "emergency sensors",
                        "Whether the two outermost sensors steer back hard as soon as one of them alone meets the line.",
                        new Boolean[] {false, true},
                        yes -> yes ? "the outermost two" : "none",
                        s -> s.law().options().outer().isPresent(),
                        (s, v) -> LawPage.options(s, o -> withOuter(s, o, v))),
                fields.number(
                        "emergencySteering",
                        "they steer",
                        "Steering of an emergency sensor, command units.",
                        s -> s.law()
                                .options()
                                .outer()
                                .map(Options.Outer::steering)
                                .orElse(Double.NaN),
                        LawReflexes::withOuterSteering));
    }

    private static Setup withLost(Setup setup, UnaryOperator<LostLine> change) {
        return LawPage.options(setup, o -> o.withLost(change.apply(o.lost())));
    }

    private static Options withOuter(Setup setup, Options options, boolean on) {
        return options.withOuter(on ? Optional.of(UsualLaws.outer(setup)) : Optional.empty());
    }

    private static Setup withOuterSteering(Setup setup, double steering) {
        Options.Outer outer = setup.law()
                .options()
                .outer()
                .orElseThrow(() -> new BadValueException(
                        "emergency sensors",
                        "none",
                        "of emergency sensors that are there: choose them beside it first"));
        return LawPage.options(setup, o -> o.withOuter(new Options.Outer(outer.left(), outer.right(), steering)));
    }

    Region limits() {
        return SetupFields.group(
                "Limits",
                fields.number(
                        "mostSteering",
                        "steers at most",
                        "Largest steering to either side, command units; as large as it likes where nothing stands.",
                        s -> finite(s.law().options().limits().steering()),
                        (s, v) -> withLimits(s, l -> new Limits(v, l.slowDown(), l.blankS()))),
                fields.number(
                        "slowDown",
                        "slows by, %",
                        "Share of the base command taken away at the largest steering, in proportion below it.",
                        s -> 100 * s.law().options().limits().slowDown(),
                        (s, v) -> withLimits(s, l -> new Limits(l.steering(), v / 100, l.blankS()))),
                fields.number(
                        "blank",
                        "blanking, ms",
                        "Blanking: after all sensors saw the line at once it goes straight on for this time.",
                        s -> Math.round(1e6 * s.law().options().limits().blankS()) / 1e3,
                        (s, v) -> withLimits(s, l -> new Limits(l.steering(), l.slowDown(), v / 1000))));
    }

    private static double finite(double value) {
        return Double.isFinite(value) ? value : Double.NaN;
    }

    private static Setup withLimits(Setup setup, UnaryOperator<Limits> change) {
        return LawPage.options(setup, o -> o.withLimits(change.apply(o.limits())));
    }
}
