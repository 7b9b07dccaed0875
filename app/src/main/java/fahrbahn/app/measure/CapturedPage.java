package fahrbahn.app.measure;

import fahrbahn.app.kit.Nodes;
import fahrbahn.app.kit.Pages;
import fahrbahn.core.quality.Agreement;
import fahrbahn.core.quality.CaptureReport;
import fahrbahn.core.quality.SurfacePair;
import fahrbahn.core.quality.Survey;
import fahrbahn.core.readings.Capture;
import fahrbahn.words.FindingWords;
import fahrbahn.words.Words;
import java.util.List;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** Every capture with its numbers and what is odd about it; the sensors against each other. */
public final class CapturedPage {
    private static final int MOST_SHOWN = 40;

    private final MeasureModel model;
    private final VBox pairs = Nodes.column();
    private final VBox list = Nodes.column();

    CapturedPage(MeasureModel model) {
        this.model = model;
    }

    Pages.Page page() {
        model.survey().lastProperty().addListener(o -> refresh());
        refresh();
        VBox content = Nodes.column(
                Nodes.panel("Dark against light", pairs), Nodes.grow(Nodes.panel("Captures, newest first", list)));
        return new Pages.Page(content, List.of());
    }

    private void refresh() {
        Survey survey = model.surveyShown();
        pairs.getChildren().setAll(pairs(survey));
        survey.between().forEach(f -> pairs.getChildren().add(CapturePage.line(f)));
        for (Agreement agreement : survey.agreements()) {
            pairs.getChildren().add(wrapped(FindingWords.of(agreement)));
        }
        list.getChildren().clear();
        List<CaptureReport> reports = survey.captures();
        if (reports.isEmpty()) {
            list.getChildren().add(Nodes.label("Nothing yet.", "caption"));
        }
        for (int i = reports.size() - 1; i >= Math.max(0, reports.size() - MOST_SHOWN); i--) {
            list.getChildren().add(entry(reports.get(i)));
        }
        if (reports.size() > MOST_SHOWN) {
            list.getChildren().add(Nodes.label((reports.size() - MOST_SHOWN) + " older ones are kept.", "caption"));
        }
    }

    public static Label wrapped(String words) {
        Label label = Nodes.label(words, "reason");
        label.setWrapText(true);
        label.setMinHeight(Region.USE_PREF_SIZE);
        return label;
    }

    private static Region pairs(Survey survey) {
        if (survey.pairs().isEmpty()) {
            return Nodes.label("Capture dark and light with all sensors.", "caption");
        }
        GridPane grid = new GridPane();
        grid.getStyleClass().add("table");
        String[] heads = {"sensor", "dark", "light", "contrast", "noise", "steps of the sensor between"};
        for (int i = 0; i < heads.length; i++) {
            grid.add(Nodes.wrapped(heads[i], "caption"), i, 0);
        }
        int row = 1;
        for (SurfacePair pair : survey.pairs().values()) {
            grid.addRow(
                    row++,
                    Nodes.label(pair.sensor(), "strong"),
                    Nodes.cell(Words.number(pair.dark().mean(), 4)),
                    Nodes.cell(Words.number(pair.light().mean(), 4)),
                    Nodes.cell(Words.number(pair.contrast(), 3)),
                    Nodes.cell(Words.number(pair.noise(), 2)),
                    Nodes.cell(pair.step() > 0 ? Words.number(pair.steps(), 3) : "not known"));
        }
        return grid;
    }

    private VBox entry(CaptureReport report) {
        Capture capture = report.capture();
        Button away = new Button("Remove");
        away.getStyleClass().add("small");
        away.setOnAction(e -> model.remove(capture));
        String numbers = CaptureWords.numbers(report);
        Label noted = Nodes.wrapped(
                capture.readings().size() + " readings, "
                        + CaptureWords.noted(capture, model.circumstances()::venueName),
                "caption");
        away.setMinWidth(Region.USE_PREF_SIZE);
        VBox entry =
                Nodes.column(Nodes.row(Nodes.cell(CaptureWords.title(capture), "strong"), Nodes.grow(noted), away));
        if (!numbers.isEmpty()) {
            entry.getChildren().add(wrapped(numbers));
        }
        report.findings().forEach(finding -> entry.getChildren().add(CapturePage.line(finding)));
        entry.getStyleClass().add("entry");
        return entry;
    }
}
