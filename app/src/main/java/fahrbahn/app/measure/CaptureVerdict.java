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

    private static final String AGAIN = " L and D capture again.";

    private CaptureVerdict() {}

    /** @param counting the captures of dark and light that count */
    static Verdict of(Survey known, List<Capture> counting) {
        if (!known.judged(counting)) {
            return Verdict.open("Judging the captures.");
        }
        List<CaptureReport> judged = known.captures().stream()
                .filter(r -> counting.contains(r.capture()))
                .toList();
        if (known.pairs().isEmpty()) {
            return Verdict.stop(
                    "No sensor has both dark and light. Capture both with all sensors (L, D), or type what is missing (T).");
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
        String numbers = "Sensor " + weakest.sensor() + " has the least contrast for its noise: "
                + Words.number(weakest.contrast()) + " against " + Words.number(weakest.noise(), 2) + ".";
        if (worst.isPresent() && worst.get().weight() == Finding.Weight.CARE) {
            return Verdict.care(FindingWords.of(worst.get()) + " " + numbers + AGAIN);
        }
        boolean plenty = weakest.contrast() > PLENTY * weakest.noise();
        return Verdict.good(numbers + (plenty ? " Plenty." : " Enough.") + " N goes on to Levels.");
    }
}
