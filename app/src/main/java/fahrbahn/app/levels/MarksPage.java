package fahrbahn.app.levels;

import fahrbahn.app.kit.Follow;
import fahrbahn.app.kit.Nodes;
import fahrbahn.app.kit.Pages;
import fahrbahn.app.kit.SideBySide;
import fahrbahn.app.kit.field.ChoiceField;
import fahrbahn.app.kit.field.NumberField;
import fahrbahn.app.state.Value;
import fahrbahn.core.marks.Confusions;
import fahrbahn.core.marks.MarkComparison;
import fahrbahn.core.marks.MarkSchool;
import fahrbahn.words.Words;
import java.util.List;
import java.util.Map;
import javafx.scene.control.Label;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** The schools for coloured marks beside each other, the one to take with its constants, and how long a mark must be. */
final class MarksPage {
    private static final double LEAST_EM = 60;

    private final MarksModel model;
    private final VBox body = Nodes.column();
    private final NumberField reads;

    MarksPage(MarksModel model) {
        this.model = model;
        this.reads = new NumberField(
                "confirmingReads",
                "reads in a row",
                "Readings in a row that must show a mark before it counts.",
                model::ask);
    }

    Pages.Page page() {
        body.getChildren().setAll(Nodes.label(MarkWords.NOTHING, "caption"));
        Follow.of(model.picture(), this::refresh, body);
        return new Pages.Page(body, List.of(), nowNs -> model.picture().show());
    }

    private void refresh() {
        Value<MarksModel.Picture> value = model.picture().value();
        value.ready().ifPresent(this::show);
        if (!value.refusal().isEmpty()) {
            body.getChildren().setAll(Nodes.wrapped(value.refusal(), "bench-result"));
        }
    }

    private void show(MarksModel.Picture picture) {
        if (picture.comparison().isEmpty()) {
            body.getChildren().setAll(Nodes.wrapped(MarkWords.NOTHING, "bench-result"));
            return;
        }
        reads.show(model.reads());
        MarkComparison comparison = picture.comparison().get();
        Label verdict = Nodes.wrapped(MarkWords.recommended(picture.sensor(), comparison), "bench-result");
        verdict.setId("marksVerdict");
        Label timing = Nodes.wrapped(MarkWords.timing(picture.timing(), picture.markMm()), "reason");
        timing.setId("marksTiming");
        Label channel = Nodes.wrapped(MarkWords.channel(picture.channels()), "reason");
        channel.setId("marksChannel");
        VBox named = Nodes.column();
        MarkWords.named(comparison).forEach(words -> named.getChildren().add(Nodes.wrapped(words, "reason")));
        named.setId("marksNamed");
        body.getChildren()
                .setAll(
                        Nodes.panel("Sensor " + picture.sensor(), head(picture, verdict), named),
                        new SideBySide(
                                Nodes.panel("Methods, tested on captures they have not seen", schools(comparison)),
                                Nodes.panel(
                                        "Each surface, and what it was read as", Nodes.grow(confusions(comparison))),
                                0.6,
                                LEAST_EM),
                        new SideBySide(
                                Nodes.panel(
                                        "Constants of " + MarkWords.of(comparison.recommended()),
                                        constants(comparison)),
                                Nodes.panel("Time to see a mark", reads, timing, channel),
                                0.6,
                                LEAST_EM));
    }

    private Region head(MarksModel.Picture picture, Label verdict) {
        if (picture.sensors().size() < 2) {
            return verdict;
        }
        ChoiceField<String> sensor = new ChoiceField<>(
                "markSensor",
                "sensor",
                "Colour sensor whose captures are compared.",
                picture.sensors().toArray(String[]::new),
                s -> s,
                model::choose);
        sensor.show(picture.sensor());
        return Nodes.row(sensor, Nodes.grow(verdict));
    }

    private static GridPane schools(MarkComparison comparison) {
        GridPane grid = table("method", "marks missed or mixed up", "all misreads", "leaving single readings out");
        int row = 1;
        for (MarkSchool school : MarkSchool.values()) {
            Confusions leads = comparison.of(school);
            String mark = school == comparison.recommended() ? "\u25b6 " : "";
            grid.addRow(
                    row++,
                    Nodes.cell(mark + MarkWords.of(school)),
                    Nodes.cell(leads.harmful() + " of " + leads.of()),
                    Nodes.cell(String.valueOf(leads.misreads())),
                    Nodes.cell(String.valueOf(comparison.byReading(school).misreads())));
        }
        return grid;
    }

    private static ConfusionPicture confusions(MarkComparison comparison) {
        ConfusionPicture.Shown shown =
                new ConfusionPicture.Shown(comparison.of(comparison.recommended()), comparison.seen());
        return new ConfusionPicture(() -> shown);
    }

    private static GridPane constants(MarkComparison comparison) {
        GridPane grid = table("name", "number");
        int row = 1;
        for (Map.Entry<String, Double> each :
                comparison.reader(comparison.recommended()).constants().entrySet()) {
            grid.addRow(row++, Nodes.cell(each.getKey()), Nodes.cell(Words.number(each.getValue(), 4)));
        }
        return grid;
    }

    private static GridPane table(String... heads) {
        GridPane grid = new GridPane();
        grid.getStyleClass().add("schools");
        for (int i = 0; i < heads.length; i++) {
            grid.add(Nodes.cell(heads[i], "caption"), i, 0);
        }
        return grid;
    }
}
