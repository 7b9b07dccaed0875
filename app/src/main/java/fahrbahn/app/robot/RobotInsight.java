package fahrbahn.app.robot;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.knowledge.Clearance;
import fahrbahn.core.loop.LoopModel;
import fahrbahn.core.response.CurveFeatures;
import fahrbahn.core.response.ErrorCurve;
import fahrbahn.core.response.Spacing;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.BumpClearance;
import fahrbahn.words.Refusals;
import fahrbahn.words.Words;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * What the layout of a robot means, worked out for its picture.
 *
 * @param setup it is about
 * @param curve of the law's error; empty when it has none
 * @param spacing of the sensors
 * @param leastLeadPerSpeedS least lead over speed: lag, delay and half a loop, s
 * @param leadMm of the law as a whole
 * @param steepestRampRad that every sensor clears
 * @param highestBumpMm that every sensor clears
 * @param firstToScrape name of the sensor that decides both
 * @param problem why there is no curve, in words
 */
public record RobotInsight(
        Setup setup,
        Optional<Curve> curve,
        Optional<Spacing> spacing,
        double leastLeadPerSpeedS,
        double leadMm,
        double steepestRampRad,
        double highestBumpMm,
        String firstToScrape,
        String problem) {
    private static final int POINTS = 361;

    /** @param errors at offsets evenly spread from {@code -reachMm} to {@code reachMm} */
    record Curve(double[] errors, double reachMm, CurveFeatures features) {}

    static RobotInsight of(Setup setup) {
        Sensor first = setup.robot().sensors().stream()
                .max(Comparator.comparingDouble(Sensor::forwardMm))
                .orElseThrow();
        double ramp = Clearance.steepestRampRad(setup.robot().chassis(), first);
        double bump = setup.robot().sensors().stream()
                .mapToDouble(Sensor::forwardMm)
                .distinct()
                .map(forward -> BumpClearance.highestMm(setup.robot().chassis(), forward))
                .min()
                .orElseThrow();
        try {
            ErrorCurve curve = ErrorCurve.of(setup);
            LoopModel model = LoopModel.of(setup, curve);
            double reach = reachMm(setup);
            double[] errors = new double[POINTS];
            for (int i = 0; i < POINTS; i++) {
                errors[i] = curve.errorAt(-reach + 2 * reach * i / (POINTS - 1));
            }
            return new RobotInsight(
                    setup,
                    Optional.of(new Curve(errors, reach, CurveFeatures.of(curve))),
                    Optional.of(Spacing.of(setup)),
                    model.leastLeadMm() / model.speedMmPerS(),
                    model.leadMm(),
                    ramp,
                    bump,
                    first.name(),
                    "");
        } catch (BadValueException none) {
            return new RobotInsight(
                    setup,
                    Optional.empty(),
                    Optional.empty(),
                    Double.NaN,
                    setup.leadMm(),
                    ramp,
                    bump,
                    first.name(),
                    Refusals.sentence(none));
        }
    }

    private static double reachMm(Setup setup) {
        List<Sensor> sensors = setup.lawSensors();
        double span = sensors.get(0).leftMm() - sensors.get(sensors.size() - 1).leftMm();
        double spot = sensors.stream().mapToDouble(Sensor::spotSigmaMm).max().orElseThrow();
        return Math.ceil((setup.line().widthMm() / 2 + span / 2 + 4 * spot) / 5) * 5;
    }

    /** Speed from which on any gain wiggles, mm/s. */
    public double speedLimitMmPerS() {
        return leadMm > 0 ? leadMm / leastLeadPerSpeedS : 0;
    }

    /** The curve in one sentence. */
    public String curveWords() {
        if (curve.isEmpty()) {
            return problem;
        }
        CurveFeatures f = curve.get().features();
        String straight =
                "Error is linear over " + Words.millimetres(f.straight().widthMm()) + " (within 5 %), ripple "
                        + Words.number(f.ripplePercent(), 2) + " %.";
        String blind = f.hasBlindBand()
                ? " Dead band of " + Words.millimetres(f.blind().widthMm()) + " in the middle."
                : "";
        return straight + blind + " It reverses "
                + Words.millimetres(Math.min(
                        f.rideOffsetMm() - f.guided().lowMm(), f.guided().highMm() - f.rideOffsetMm()))
                + " off the line; the line is not seen beyond "
                + Words.millimetres(f.reach().highMm() - f.rideOffsetMm()) + ".";
    }

    /** Spacing against line and marks. */
    public String spacingWords() {
        if (spacing.isEmpty()) {
            return "";
        }
        Spacing s = spacing.get();
        String marks = " Turn marks are " + Words.number(s.markInnerMm()) + " to " + Words.millimetres(s.markOuterMm())
                + " out: "
                + (s.seeingMarks().isEmpty()
                        ? "no sensor is there."
                        : String.join(", ", s.seeingMarks())
                                + (s.seeingMarks().size() == 1 ? " is there." : " are there."));
        double width = setup.line().widthMm();
        if (setup.law().signal().tracksEdge()) {
            double spot = setup.lawSensors().get(0).spotSigmaMm();
            return "A spot " + Words.millimetres(4 * spot) + " across, on the edge of a "
                    + Words.millimetres(width) + " line."
                    + (width < 4 * spot ? " The line is narrower than the spot." : "")
                    + marks;
        }
        if (setup.law().signal().straddles()) {
            return Words.millimetres(s.spanMm()) + " apart on a " + Words.millimetres(width) + " line: "
                    + (s.slopeShare() > 0.995
                            ? "strongest signal."
                            : Words.percent(s.slopeShare()) + " of the signal at one line width.")
                    + (s.blindHalfMm() > 0
                            ? " Blind " + Words.millimetres(s.blindHalfMm())
                                    + " to each side: no steering there, but straight over gaps."
                            : "")
                    + marks;
        }
        return Words.millimetres(s.pitchMm()) + " between sensors, " + Words.number(width / s.pitchMm(), 2)
                + " to a line width." + marks;
    }

    /** Lead against lag at the speed as set. */
    public String leadWords() {
        if (Double.isNaN(leastLeadPerSpeedS)) {
            return "";
        }
        double speed = setup.speedMmPerS();
        return "In the " + Words.number(1000 * leastLeadPerSpeedS) + " ms from reading to turning it rolls "
                + Words.millimetres(leastLeadPerSpeedS * speed) + "; its sensors are " + Words.millimetres(leadMm)
                + " ahead. Above " + Words.number(speedLimitMmPerS()) + " mm/s it wiggles with any Kp.";
    }

    /** Ramps and bumps. */
    public String clearanceWords() {
        String ramp = steepestRampRad >= Math.PI / 2
                ? "Clears any ramp"
                : "Clears ramps up to " + Words.number(Math.toDegrees(steepestRampRad), 2) + " degrees";
        return ramp + " and bumps up to " + Words.millimetres(Math.floor(10 * highestBumpMm) / 10) + "; "
                + firstToScrape + " touches first.";
    }
}
