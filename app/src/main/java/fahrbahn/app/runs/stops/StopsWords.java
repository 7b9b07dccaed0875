package fahrbahn.app.runs.stops;

import fahrbahn.core.statistics.Completion;
import fahrbahn.core.statistics.Sample;
import fahrbahn.core.stopping.LogScatter;
import fahrbahn.core.stopping.Rule;
import fahrbahn.core.trials.Run;
import fahrbahn.core.trials.StopPlace;
import fahrbahn.words.StoppingWords;
import fahrbahn.words.Words;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/** Where runs stopped, in words. */
final class StopsWords {
    /** Odder than this by chance in one of twenty. */
    private static final double ODD = 0.05;

    /** A cause with less of the scatter is not worth a sentence. */
    private static final double TOLD = 0.05;

    /** Runs of one sitting lie no further apart. */
    private static final Duration SITTING = Duration.ofHours(3);

    private StopsWords() {}

    static String verdict(Stops stops) {
        int n = stops.along().n();
        if (n == 0) {
            return "No stop places yet. After each run type how far beyond its mark it stopped.";
        }
        String sentence = Words.count(n, "run stops", "runs stop") + " "
                + beyond(stops.along().mean(), "its place") + " on average";
        if (n < 2) {
            return sentence + ". Two runs show a scatter.";
        }
        Completion hits = stops.inWindow();
        return sentence + ", scattering " + StoppingWords.mm(stops.along().sd()) + " along" + across(stops)
                + ". Within " + Words.number(stops.windowMm(), 3) + " mm of the mark stop " + hits.completed() + " of "
                + hits.runs() + ": a chance of " + Words.percent(hits.low()) + " to " + Words.percent(hits.high())
                + " (likely range).";
    }

    private static String across(Stops stops) {
        return stops.across().n() < 2
                ? ""
                : " and " + StoppingWords.mm(stops.across().sd()) + " across";
    }

    private static String beyond(double mm, String what) {
        return StoppingWords.mm(Math.abs(mm)) + (mm < 0 ? " before " : " beyond ") + what;
    }

    /** What is odd about them, and what to do. */
    static List<String> further(Stops stops) {
        List<String> said = new ArrayList<>();
        Sample along = stops.along();
        if (along.n() < 2) {
            return said;
        }
        StopPlace place = new StopPlace(along);
        StopPlace.Apart first = place.firstRun();
        if (first.p() < ODD) {
            said.add("The first run stops " + beyond(first.awayMm(), "the rest") + ", a clear difference ("
                    + Words.percent(first.p())
                    + "): drive a warm-up run, then place it against a jig.");
        } else if (!Double.isNaN(first.p())) {
            said.add("The first run is like the rest.");
        }
        said.addAll(drift(stops, place));
        if (Math.abs(along.mean()) > along.sd() / 2) {
            said.add("Set it to stop " + StoppingWords.mm(Math.abs(along.mean()))
                    + (along.mean() > 0 ? " sooner" : " later")
                    + ": that corrects the average, not the scatter.");
        }
        return said;
    }

    /** With the order of the runs, with the volts, and within the newest day. */
    private static List<String> drift(Stops stops, StopPlace place) {
        List<String> said = new ArrayList<>();
        StopPlace.Trend byOrder = place.overRuns();
        if (byOrder.p() < ODD) {
            said.add("Each run stops " + trend(byOrder, 1) + " than the one before (" + range(byOrder, 1)
                    + "): probably the battery. Swap it, or stop by wheel turns or a mark.");
        } else if (!Double.isNaN(byOrder.p())) {
            said.add("No drift over the runs.");
        }
        double[] volts = stops.runs().stream().mapToDouble(Run::volts).toArray();
        if (Arrays.stream(volts).allMatch(Double::isFinite)) {
            StopPlace.Trend byVolts = place.over(volts);
            if (byVolts.p() < ODD) {
                said.add("0.1 V less stops it " + trend(byVolts, -0.1) + " (" + range(byVolts, 0.1)
                        + "): charge before each round, or stop by a mark.");
            } else if (!Double.isNaN(byVolts.p())) {
                said.add("No link to battery voltage.");
            }
        }
        List<Run> today = sitting(stops.runs());
        if (today.size() < stops.runs().size()) {
            StopPlace.Trend within = withinDay(today);
            if (within.p() < ODD) {
                said.add("In the latest sitting it stops " + trend(within, 1) + " with each quarter of an hour ("
                        + range(within, 1) + "): clean wheels and mat between rounds.");
            }
        }
        return said;
    }

    private static List<Run> sitting(List<Run> runs) {
        int from = runs.size() - 1;
        while (from > 0
                && Duration.between(runs.get(from - 1).at(), runs.get(from).at())
                                .compareTo(SITTING)
                        < 0) {
            from--;
        }
        return runs.subList(from, runs.size());
    }

    private static StopPlace.Trend withinDay(List<Run> runs) {
        Instant begin = runs.get(0).at();
        double[] along =
                runs.stream().mapToDouble(r -> r.outcome().stop().alongMm()).toArray();
        double[] quarters = runs.stream()
                .mapToDouble(r -> Duration.between(begin, r.at()).toSeconds() / 900.0)
                .toArray();
        return new StopPlace(new Sample(along)).over(quarters);
    }

    private static String trend(StopPlace.Trend trend, double times) {
        double mm = trend.slope() * times;
        return StoppingWords.mm(Math.abs(mm)) + (mm < 0 ? " sooner" : " further");
    }

    private static String range(StopPlace.Trend trend, double times) {
        double a = Math.abs(trend.low() * times);
        double b = Math.abs(trend.high() * times);
        return Words.number(Math.min(a, b), 2) + " to " + Words.number(Math.max(a, b), 2) + ", 95 % sure";
    }

    /** What the scatter comes from, what would be left without, and what to do. */
    static List<String> better(LogScatter scatter, Rule rule) {
        return scatter.sources().stream()
                .filter(source -> source.share() >= TOLD)
                .map(source -> better(source, scatter.scatterMm(), rule))
                .toList();
    }

    private static String better(LogScatter.Source source, double nowMm, Rule rule) {
        String without = " makes " + Words.percent(source.share()) + ": without it, " + StoppingWords.mm(nowMm)
                + " would be " + StoppingWords.mm(source.withoutMm()) + ". ";
        return switch (source.kind()) {
            case FIRST_RUN -> "The first run" + without + "Drive a warm-up run first.";
            case VOLTS -> "Battery voltage" + without + "Charge before each run, or stop by a mark.";
            case DRIFT -> "The drift" + without + "Swap the battery sooner, clean wheels and mat.";
            case TWIN ->
                "Simulated: " + StoppingWords.cause(source.cause().orElseThrow()) + without
                        + StoppingWords.cure(source.cause().orElseThrow(), rule);
            case UNKNOWN ->
                "Something not simulated" + without
                        + "Look for play in wheels and axle, a mark that moves, how it is placed.";
        };
    }
}
