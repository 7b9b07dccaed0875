package fahrbahn.app.gains.response;

import fahrbahn.app.chart.Plot;
import fahrbahn.app.kit.Follow;
import fahrbahn.app.kit.Nodes;
import fahrbahn.app.kit.Pages;
import fahrbahn.app.state.Value;
import fahrbahn.core.trace.Trace;
import fahrbahn.core.tuning.PointResponse;
import fahrbahn.pen.TraceChart;
import java.util.List;
import javafx.scene.control.Label;

/** A step beside the path and the tightest bend, as the point in hand answers them. */
public final class ResponsePage {
    private static final String OFF = "mm off";

    private static final double LEAST_HEIGHT = 260;

    /** Of the step's answer: what comes after it has settled is a straight line. */
    private static final double SHOWN_TIMES_SETTLED = 3;

    private static final double LEAST_SHOWN_S = 0.8;

    private final ResponseModel model;
    private final Label words = Nodes.wrapped(ResponseWords.ASKED, "bench-result");
    private final Plot step = new Plot("time, s", OFF, "Placed beside the line on a straight");
    private final Plot bend = new Plot("time, s", OFF, "Through the tightest bend");

    public ResponsePage(ResponseModel model) {
        this.model = model;
        words.setId("responseWords");
        step.setMinHeight(LEAST_HEIGHT);
        bend.setMinHeight(LEAST_HEIGHT);
    }

    public Pages.Page page() {
        Follow.of(model.answer(), this::refresh, step, bend);
        return new Pages.Page(
                Nodes.column(
                        Nodes.panel("Selected point, simulated without noise", words),
                        Nodes.grow(Nodes.row(
                                Nodes.grow(Nodes.panel("Placed beside the line on a straight", Nodes.grow(step))),
                                Nodes.grow(Nodes.panel("Tightest bend to the left", Nodes.grow(bend)))))),
                List.of(),
                nowNs -> model.answer().show());
    }

    private void refresh() {
        Value<ResponseModel.Answer> answer = model.answer().value();
        words.setText(answer.ready().map(ResponseWords::of).orElseGet(() -> answer.absence(ResponseWords.ASKED)));
        answer.ready().ifPresent(a -> {
            double periodS = a.setup().robot().loop().periodS();
            PointResponse response = a.response();
            step.show(chart("Distance from the line after a step", response.step(), shown(response, periodS), periodS));
            bend.show(chart(
                    "Distance from the line in the tightest bend",
                    response.bend(),
                    response.bend().size(),
                    periodS));
        });
    }

    private static int shown(PointResponse response, double periodS) {
        double settles = response.settlesS();
        int whole = response.step().size();
        return Double.isNaN(settles)
                ? whole
                : Math.min(whole, (int) (Math.max(LEAST_SHOWN_S, SHOWN_TIMES_SETTLED * settles) / periodS));
    }

    private static TraceChart chart(String what, Trace trace, int size, double periodS) {
        return new TraceChart(what, OFF, "ink-left", size, periodS, trace::offsetMm);
    }
}
