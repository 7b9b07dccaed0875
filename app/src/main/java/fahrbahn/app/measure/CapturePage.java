package fahrbahn.app.measure;

import fahrbahn.app.kit.Action;
import fahrbahn.app.kit.FileAsk;
import fahrbahn.app.kit.Nodes;
import fahrbahn.app.kit.Pages;
import fahrbahn.app.kit.field.Fields;
import fahrbahn.app.measure.live.LiveTraceView;
import fahrbahn.core.quality.CaptureReport;
import fahrbahn.core.quality.Finding;
import fahrbahn.core.readings.Capture;
import fahrbahn.core.readings.ColourColumns;
import fahrbahn.words.FindingWords;
import java.util.ArrayList;
import java.util.List;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.control.TextField;
import javafx.scene.input.Clipboard;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser.ExtensionFilter;

/** Live values, captures by key, and at once what is wrong with the newest. */
final class CapturePage {
    private static final int MOST_FINDINGS = 4;

    private final MeasureModel model;
    private final LiveTraceView trace;
    private final VBox newest = Nodes.column();
    private final Label doing = Nodes.label("", "strong");

    CapturePage(MeasureModel model) {
        this.model = model;
        this.trace = new LiveTraceView(model.live());
    }

    Pages.Page page() {
        List<Action> actions = new ArrayList<>(List.of(
                new Action("captureLight", "Light", KeyCode.L, () -> model.capture(Capture.LIGHT)),
                new Action("captureDark", "Dark", KeyCode.D, () -> model.capture(Capture.DARK)),
                new Action("captureEdge", "Edge", KeyCode.E, () -> model.capture(Capture.EDGE)),
                new Action("captureSweep", "Sweep", KeyCode.W, () -> model.toggle(Capture.SWEEP)),
                new Action("captureSlide", "Slide", KeyCode.S, () -> model.toggle(Capture.SLIDE)),
                new Action("captureAir", "In the air", KeyCode.A, () -> model.capture(Capture.AIR))));
        // Surfaces are captured from any page of the station.
        actions.subList(0, 4).forEach(Action::alwaysThere);
        FlowPane keys = Nodes.flow();
        actions.forEach(action -> keys.getChildren().add(action.button()));
        Action importFile = new Action("importFile", "Import a file", KeyCode.I, this::choose);
        Action type = new Action("typeReadings", "Type", KeyCode.T, model.typist()::next);
        type.alwaysThere();
        Action paste = new Action("pasteReadings", "Paste", KeyCode.V, this::paste);
        TextField name = new TextField();
        name.setId("surfaceName");
        name.setAccessibleText("Name of another surface");
        name.setPromptText("another surface");
        Fields.describe(
                name, "another surface", "Name of another surface, like silver or a mark's colour; G captures it.");
        name.setPrefColumnCount(9);
        name.setOnAction(e -> model.capture(name.getText()));
        Action named = new Action("captureNamed", "Named", KeyCode.G, () -> model.capture(name.getText()));
        actions.addAll(List.of(importFile, paste, named, type));
        ProgressBar progress = new ProgressBar();
        progress.progressProperty().bind(model.progressProperty());
        progress.visibleProperty().bind(model.capturingProperty().isNotEmpty());
        doing.setId("capturing");
        model.capturingProperty().addListener(o -> sayDoing());
        newest.setId("newestFindings");
        model.survey().lastProperty().addListener(o -> refresh());
        refresh();
        VBox content = Nodes.column(
                keys,
                Nodes.row(
                        name,
                        named.button(),
                        progress,
                        doing,
                        Nodes.spring(),
                        type.button(),
                        importFile.button(),
                        paste.button()),
                Nodes.label(
                        "Motors off, wheels up or still. For a sweep or a slide press its key again at the" + " end.",
                        "caution"),
                Nodes.grow(Nodes.panel("The last seconds", Nodes.grow(trace))),
                Nodes.panel("The newest capture", newest),
                new HereAndNow(model).build());
        return new Pages.Page(content, actions, trace::refresh);
    }

    private void sayDoing() {
        String surface = model.capturingProperty().get();
        doing.setText(
                surface.isEmpty()
                        ? ""
                        : surface.equals(Capture.SWEEP)
                                ? "Move it over dark and light, then press W."
                                : surface.equals(Capture.SLIDE)
                                        ? "Slide it across the line, then press S."
                                        : "Capturing " + surface + ": hold still.");
    }

    private void choose() {
        FileAsk.open(newest, model::importFile, new ExtensionFilter("Readings (CSV)", "*.csv", "*.txt"));
    }

    private void paste() {
        String text = Clipboard.getSystemClipboard().getString();
        if (text == null || text.isBlank()) {
            model.tell("There is no text on the clipboard. Copy rows of readings, header line first, then paste.");
        } else {
            model.paste(text);
        }
    }

    private void refresh() {
        newest.getChildren().clear();
        List<CaptureReport> reports = model.surveyShown().captures();
        if (reports.isEmpty()) {
            newest.getChildren().add(Nodes.label("Nothing yet.", "caption"));
            return;
        }
        CaptureReport report = reports.get(reports.size() - 1);
        Capture capture = report.capture();
        newest.getChildren()
                .add(new Label(
                        CaptureWords.title(capture) + ": " + capture.readings().size() + " readings of "
                                + String.join(", ", ColourColumns.withoutChannels(capture.sensors())) + "."));
        List<Finding> findings = new ArrayList<>(report.findings());
        if (capture.surface().equals(Capture.DARK) || capture.surface().equals(Capture.LIGHT)) {
            model.surveyShown().between().stream()
                    .filter(f -> f.weight() == Finding.Weight.STOP)
                    .forEach(findings::add);
        }
        if (findings.isEmpty()) {
            newest.getChildren().add(Nodes.label("Nothing odd about it.", "caption"));
        }
        findings.stream()
                .limit(MOST_FINDINGS)
                .forEach(finding -> newest.getChildren().add(line(finding)));
        if (findings.size() > MOST_FINDINGS) {
            newest.getChildren()
                    .add(Nodes.label((findings.size() - MOST_FINDINGS) + " more on page Captured.", "caption"));
        }
    }

    /** A finding with its weight by shape and word. */
    static Label line(Finding finding) {
        String mark = switch (finding.weight()) {
            case NOTE -> "\u2022 ";
            case CARE -> "\u25b2 Warning: ";
            case STOP -> "\u25a0 Problem: ";
        };
        Label label = Nodes.label(mark + FindingWords.of(finding), "finding");
        label.setWrapText(true);
        label.setMinHeight(Region.USE_PREF_SIZE);
        return label;
    }
}
