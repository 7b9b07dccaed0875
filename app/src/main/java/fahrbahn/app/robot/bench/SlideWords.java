package fahrbahn.app.robot.bench;

import fahrbahn.core.knowledge.Constant;
import fahrbahn.core.measuring.Measured;
import fahrbahn.core.measuring.SlideFit;
import fahrbahn.words.Words;
import java.util.Map;
import java.util.stream.Collectors;

/** What a slide comes to, in words. */
final class SlideWords {
    private static final double NEARLY_RING = 0.35;

    private SlideWords() {}

    /** @param slides at least one, by sensor */
    static BenchCard.Result result(Map<String, SlideFit> slides) {
        double mean = slides.values().stream()
                .mapToDouble(f -> f.sigmaMm().value())
                .average()
                .orElseThrow();
        double error = slides.values().stream()
                        .mapToDouble(f -> f.sigmaMm().standardError())
                        .average()
                        .orElseThrow()
                / Math.sqrt(slides.size());
        String words = slides.entrySet().stream()
                .map(e -> e.getKey() + ": spot "
                        + Words.number(e.getValue().sigmaMm().value()) + " \u00b1 "
                        + Words.number(e.getValue().sigmaMm().plusMinus(), 2) + " mm, line "
                        + Words.number(e.getValue().widthMm().value()) + " mm wide, background "
                        + Words.number(e.getValue().ground().value(), 4) + ", line "
                        + Words.number(e.getValue().line().value(), 4) + shape(e.getValue()))
                .collect(Collectors.joining(". ", "", "."));
        return new BenchCard.Result(Map.of(Constant.SPOT, new Measured(mean, error, slides.size())), words, Double.NaN);
    }

    /** What its edges show beyond a Gaussian spot that reads in proportion. */
    private static String shape(SlideFit fit) {
        String spot = fit.flatness() == 0
                ? ""
                : fit.flatness() < NEARLY_RING ? ", its spot flat like a disc" : ", its spot like a ring";
        String power = fit.exponent() == 1
                ? ""
                : ", reading by the power " + Words.number(fit.exponent(), 2) + " of the line it sees";
        return spot + power;
    }
}
