package fahrbahn.app.measure;

import fahrbahn.app.kit.Nodes;
import fahrbahn.app.kit.Pages;
import fahrbahn.core.levels.Schools;
import fahrbahn.core.measuring.Measured;
import fahrbahn.core.measuring.SlideFit;
import fahrbahn.core.quality.CreaseCheck;
import fahrbahn.core.quality.Survey;
import fahrbahn.words.MisreadWords;
import fahrbahn.words.Words;
import java.util.List;
import java.util.Map;
import javafx.scene.control.Label;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;

/** Spots placed by hand against a sweep, with what each would do; and what a slide says. */
final class SchoolsPage {
    private final MeasureModel model;
    private final VBox schools = Nodes.column();
    private final VBox slides = Nodes.column();

    SchoolsPage(MeasureModel model) {
        this.model = model;
    }

    Pages.Page page() {
        schools.setId("schools");
        slides.setId("slides");
        model.survey().lastProperty().addListener(o -> refresh());
        refresh();
        VBox content = Nodes.column(
                Nodes.panel("Two methods: spots by hand, or a sweep", schools),
                Nodes.panel("The slide across a line", slides));
        return new Pages.Page(content, List.of());
    }

    private void refresh() {
        Survey survey = model.surveyShown();
        schools.getChildren().setAll(CapturedPage.wrapped(lead(survey)));
        if (!survey.schools().isEmpty()) {
            schools.getChildren().add(schools(survey.schools()));
        }
        survey.creases().values().forEach(c -> schools.getChildren().add(CapturedPage.wrapped(crease(c))));
        survey.problems().forEach(p -> schools.getChildren().add(CapturedPage.wrapped(p + ".")));
        slides.getChildren()
                .setAll(
                        survey.slides().isEmpty()
                                ? Nodes.label(
                                        "No slide yet. On page Capture press S, slide across one line, press S.",
                                        "caption")
                                : slides(survey.slides()));
    }

    /** Whether the odd readings are the crease, and what to do then. */
    private static String crease(CreaseCheck c) {
        String reads = c.sensor() + ": the crease reads " + Words.number(c.crease(), 3) + ". ";
        if (c.odd() == 0) {
            return reads + "No reading is odd.";
        }
        String odd = Words.count(c.ofCrease(), "odd reading", "odd readings") + " of " + c.odd() + " are like it";
        if (!c.explains()) {
            return reads + odd + ": the others may be glare or a hand. Capture those surfaces again.";
        }
        return reads + odd
                + ". Use fixed numbers from spots: smallest and largest would put the threshold "
                + Words.number(Math.abs(c.bareShift()), 2) + " off.";
    }

    private static String lead(Survey survey) {
        if (survey.creases().values().stream().anyMatch(CreaseCheck::explains)) {
            return "The odd readings are the crease: calibrate by spots.";
        }
        if (survey.schools().isEmpty()) {
            return "Capture dark and light by hand, then a sweep (W) over both, to compare the methods.";
        }
        long apart =
                survey.schools().values().stream().filter(Schools::disagree).count();
        return apart == 0
                ? "Both methods agree within 5 % of the contrast. Use the spots."
                : "On " + Words.count(apart, "sensor", "sensors")
                        + " the methods disagree: the sweep saw something else, or too little of one surface."
                        + " Sweep again, longer over each surface; if they still disagree, use the spots.";
    }

    private static GridPane schools(Map<String, Schools> all) {
        GridPane grid = new GridPane();
        grid.getStyleClass().add("table");
        String[] heads = {"sensor", "method", "threshold", "misreads", "on an edge it would sit"};
        for (int i = 0; i < heads.length; i++) {
            grid.add(Nodes.wrapped(heads[i], "caption"), i, 0);
        }
        int row = 1;
        for (Map.Entry<String, Schools> each : all.entrySet()) {
            Schools s = each.getValue();
            row = add(grid, row, each.getKey(), "spots by hand", s.spots(), s);
            row = add(grid, row, "", "sweep, two surfaces found", s.sweep(), s);
            row = add(grid, row, "", "sweep, smallest and largest", s.bare(), s);
        }
        return grid;
    }

    private static int add(GridPane grid, int row, String sensor, String school, double level, Schools s) {
        double shift = s.rideShiftMm(level);
        String ride = !s.rides(level)
                ? "not on the edge"
                : Math.abs(shift) < 0.05
                        ? "right on the edge"
                        : Words.number(Math.abs(shift), 2) + " mm towards "
                                + (shift
                                                        * (s.sensor()
                                                                        .levels()
                                                                        .light()
                                                                        .mean()
                                                                - s.sensor()
                                                                        .levels()
                                                                        .dark()
                                                                        .mean())
                                                > 0
                                        ? "light"
                                        : "dark");
        grid.addRow(
                row,
                Nodes.label(sensor, "strong"),
                Nodes.wrapped(school),
                Nodes.cell(Words.number(level, 4)),
                Nodes.wrapped(MisreadWords.of(s.misreads(level))),
                Nodes.wrapped(ride));
        return row + 1;
    }

    private static GridPane slides(Map<String, SlideFit> all) {
        GridPane grid = new GridPane();
        grid.getStyleClass().add("table");
        String[] heads = {"sensor", "background", "line", "spot, mm", "middle at, mm", "line's width, mm", "left out"};
        for (int i = 0; i < heads.length; i++) {
            grid.add(Nodes.wrapped(heads[i], "caption"), i, 0);
        }
        int row = 1;
        for (Map.Entry<String, SlideFit> each : all.entrySet()) {
            SlideFit fit = each.getValue();
            grid.addRow(
                    row++,
                    Nodes.label(each.getKey(), "strong"),
                    Nodes.cell(with(fit.ground())),
                    Nodes.cell(with(fit.line())),
                    Nodes.cell(with(fit.sigmaMm())),
                    Nodes.cell(with(fit.centreMm())),
                    new Label(fit.widthMm().standardError() == 0 ? "the ruler" : with(fit.widthMm())),
                    Nodes.cell(String.valueOf(fit.leftOut())));
        }
        return grid;
    }

    private static String with(Measured measured) {
        return Words.number(measured.value(), 4) + " \u00b1 " + Words.number(measured.plusMinus(), 2);
    }
}
