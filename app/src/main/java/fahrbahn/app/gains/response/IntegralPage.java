package fahrbahn.app.gains.response;

import fahrbahn.app.kit.Follow;
import fahrbahn.app.kit.Nodes;
import fahrbahn.app.kit.Pages;
import fahrbahn.app.kit.field.NumberField;
import fahrbahn.app.kit.field.Questions;
import fahrbahn.app.state.Value;
import fahrbahn.core.tuning.IntegralTrade;
import fahrbahn.words.Words;
import java.util.List;
import javafx.scene.control.Label;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;

/** What an integral gain would buy this robot, and what it would cost. */
public final class IntegralPage {
    private static final List<String> HEADS =
            List.of("Ki, per loop", "per second", "in the bend, mm", "uneven wheels, mm", "after it, mm", "wiggles at");

    private final ResponseModel model;
    private final Label words = Nodes.wrapped(ResponseWords.ASKED, "bench-result");
    private final VBox trade = Nodes.column();
    private final NumberField ki;

    public IntegralPage(ResponseModel model) {
        this.model = model;
        words.setId("integralWords");
        ki = new NumberField("ki", "Ki, per loop", "Integral gain per loop: on the sum of the errors", model::chooseKi)
                .asks(Questions.gain("Ki", () -> new double[] {model.ki()}));
    }

    public Pages.Page page() {
        Follow.of(model.answer(), this::refresh, trade);
        refreshKi();
        return new Pages.Page(
                Nodes.column(
                        Nodes.panel("What Ki improves, and what it costs", words, Nodes.flow(ki)),
                        Nodes.panel(
                                "Tightest bend and two metres of straight, simulated without noise",
                                trade,
                                Nodes.wrapped(ResponseWords.INTEGRAL, "caption"))),
                List.of(),
                nowNs -> model.answer().show());
    }

    /** The gain as set, whatever the map's point. */
    public void refreshKi() {
        ki.show(model.ki());
    }

    private void refresh() {
        Value<ResponseModel.Answer> answer = model.answer().value();
        words.setText(answer.ready().map(ResponseWords::integral).orElseGet(() -> answer.absence(ResponseWords.ASKED)));
        answer.ready()
                .ifPresent(a -> trade.getChildren()
                        .setAll(table(a.integral(), a.setup().robot().loop().periodS())));
    }

    private static GridPane table(List<IntegralTrade.Row> rows, double periodS) {
        GridPane grid = new GridPane();
        grid.getStyleClass().add("schools");
        for (int i = 0; i < HEADS.size(); i++) {
            grid.add(Nodes.cell(HEADS.get(i), "caption"), i, 0);
        }
        for (IntegralTrade.Row row : rows) {
            grid.addRow(
                    grid.getRowCount(),
                    Nodes.cell(Words.number(row.ki())),
                    Nodes.cell(Words.number(row.ki() / periodS)),
                    Nodes.cell(ResponseWords.mm(row.bendMm())),
                    Nodes.cell(ResponseWords.mm(row.unevenMm())),
                    Nodes.cell(ResponseWords.mm(row.swingMm())),
                    Nodes.cell(row.margin() == 0 ? "once" : Words.number(row.margin()) + " times"));
        }
        return grid;
    }
}
