package fahrbahn.app.runs;

import fahrbahn.app.words.Words;
import fahrbahn.core.trials.Completion;
import fahrbahn.core.trials.Sample;
import fahrbahn.core.trials.StopPlace;
import java.util.ArrayList;
import java.util.List;

/** Where runs stopped, in words. */
final class StopsWords {
    /** Odder than this by chance in one of twenty. */
    private static final double ODD = 0.05;

    private StopsWords() {}

    static String verdict(Stops stops) {
        int n = stops.along().n();
        if (n == 0) {
            return "No stop places yet. Put a mark where it should stop, and type after each run how far beyond it stopped.";
        }
        String sentence = Words.count(n, "run stops", "runs stop") + " "
                + beyond(stops.along().mean(), "its place") + " in the mean";
        if (n < 2) {
            return sentence + ". A scatter needs two.";
        }
        Completion hits = stops.inWindow();
        return sentence + ", scattering " + mm(stops.along().sd()) + " along" + across(stops) + ". Within "
                + Words.number(stops.windowMm(), 3) + " mm of the mark stop " + hits.completed() + " of " + hits.runs()
                + ": a chance of " + Words.percent(hits.low()) + " to " + Words.percent(hits.high()) + " (95 % sure).";
    }

    private static String across(Stops stops) {
        return stops.across().n() < 2 ? "" : " and " + mm(stops.across().sd()) + " across";
    }

    private static String beyond(double mm, String what) {
        return mm(Math.abs(mm)) + (mm < 0 ? " before " : " beyond ") + what;
    }

    private static String mm(double value) {
        return Words.number(value, 2) + " mm";
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
            said.add("The first run stops " + beyond(first.awayMm(), "the rest")
                    + ", odder than chance (" + Words.percent(first.p())
                    + "): drive one that does not count, then set it down against a jig.");
        } else if (!Double.isNaN(first.p())) {
            said.add("The first run is like the rest.");
        }
        StopPlace.Trend trend = place.overRuns();
        if (trend.p() < ODD) {
            said.add("Each run stops " + mm(Math.abs(trend.slope())) + (trend.slope() < 0 ? " sooner" : " further")
                    + " than the one before (" + Words.number(trend.low(), 2) + " to " + Words.number(trend.high(), 2)
                    + "): a battery that drains does that; swap it, or stop by wheel turns or a mark.");
        } else if (!Double.isNaN(trend.p())) {
            said.add("No drift over the runs is shown.");
        }
        if (Math.abs(along.mean()) > along.sd() / 2) {
            said.add("Set it to stop " + mm(Math.abs(along.mean())) + (along.mean() > 0 ? " sooner" : " later")
                    + ": the mean is set by one number, the scatter is not. Drive's Stopping says what scatters it.");
        }
        return said;
    }
}
