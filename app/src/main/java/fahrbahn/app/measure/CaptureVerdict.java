package fahrbahn.app.measure;

import fahrbahn.app.season.Verdict;
import fahrbahn.core.quality.CaptureReport;
import fahrbahn.core.quality.Finding;
import fahrbahn.core.quality.SurfacePair;
import fahrbahn.core.quality.Survey;
import fahrbahn.core.readings.Capture;
import fahrbahn.words.FindingWords;
import fahrbahn.words.Words;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** The one sentence about dark and light: the worst that was found, else the weakest contrast. */
final class CaptureVerdict {
    /** Contrast this many times the noise is more than any law asks for. */
    private static final double PLENTY = 30;

    private static final String AGAIN = " Press L and D again.";

    private CaptureVerdict() {}

    /** @param counting the captures of dark and light that count */
    static Verdict of(Survey known, List<Capture> counting) {
        if (!known.judged(counting)) {
            return Verdict.open("Checking the captures.");
        }
        List<CaptureReport> judged = known.captures().stream()
                .filter(r -> counting.contains(r.capture()))
                .toList();
        if (known.pairs().isEmpty()) {
            return Verdict.stop("No sensor has both dark and light. Press L and D, or T.");
        }
        Optional<Finding> worst = Stream.concat(
                        known.between().stream(), judged.stream().flatMap(r -> r.findings().stream()))
                .max(Comparator.comparing(Finding::weight));
        if (worst.isPresent() && worst.get().weight() == Finding.Weight.STOP) {
            return Verdict.stop(FindingWords.of(worst.get()) + AGAIN);
        }
        SurfacePair weakest = known.pairs().values().stream()
                .min(Comparator.comparingDouble(p -> p.contrast() / p.noise()))
                .orElseThrow();
        String numbers = "weakest is " + weakest.sensor() + ", " + Words.number(weakest.contrast()) + " counts with "
                + Words.number(weakest.noise(), 2) + " noise.";
        if (worst.isPresent() && worst.get().weight() == Finding.Weight.CARE) {
            return Verdict.care(FindingWords.of(worst.get()) + AGAIN);
        }
        boolean plenty = weakest.contrast() > PLENTY * weakest.noise();
        return Verdict.good((plenty ? "Good contrast: " : "Enough contrast: ") + numbers + " N: Thresholds.");
    }
}
