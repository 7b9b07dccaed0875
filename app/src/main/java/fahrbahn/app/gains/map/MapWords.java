package fahrbahn.app.gains.map;

import fahrbahn.core.maps.MapPicture;
import fahrbahn.core.statistics.Completion;
import fahrbahn.words.ChanceWords;
import fahrbahn.words.Words;

/** The map in sentences. */
final class MapWords {
    static final String NO_TABLE = "The selected table is not ready: see Table (2).";

    private MapWords() {}

    /** The point in hand, or the gains as set, with what came of its runs. */
    static String point(MapChart chart) {
        MapPicture map = chart.picture().map();
        boolean chosen = chart.inHand().column() >= 0;
        MapModel.Point at = chosen
                ? chart.inHand()
                : MapModel.cell(map, chart.set().kp(), chart.set().kd());
        String gains = "Kp " + Words.number(map.x().value(at.column()), 3) + ", Kd "
                + Words.number(map.y().value(at.row()), 3);
        int runs = map.runsPerCell();
        int finished = (int) Math.round(map.completedShare(at.column(), at.row()) * runs);
        String figures = finished == 0
                ? "."
                : ", " + Words.number(map.rmsMm(at.column(), at.row()), 2) + " mm RMS, lap "
                        + Words.number(map.timeS(at.column(), at.row()), 3) + " s, "
                        + Words.number(map.reversalsPerM(at.column(), at.row()), 2) + " line crossings a metre.";
        return (chosen ? "Selected: " : "As set, about ") + gains + ": "
                + ChanceWords.of(Completion.of(finished, runs), chart.picture().table()) + figures;
    }

    static String legend(MapChart chart) {
        String what = switch (chart.layer()) {
            case CHANCE -> "Lighter: more runs finish. Empty: none does.";
            case RMS ->
                "Lighter: closer to the line, " + Words.number(chart.ends().low(), 2) + " to "
                        + Words.number(chart.ends().high(), 2) + " mm.";
            case LAP ->
                "Lighter: quicker, " + Words.number(chart.ends().low(), 3) + " to "
                        + Words.number(chart.ends().high(), 3) + " s.";
            case WIGGLE ->
                "Lighter: calmer, " + Words.number(chart.ends().low(), 2) + " to "
                        + Words.number(chart.ends().high(), 2) + " line crossings a metre.";
        };
        return what
                + (chart.picture().stable().isPresent() ? " Border: calculated wiggle limit." : "")
                + (chart.picture().map().stride() > 1 ? " Still coarse." : "");
    }

    static String says(MapChart chart) {
        return point(chart) + " " + legend(chart);
    }
}
