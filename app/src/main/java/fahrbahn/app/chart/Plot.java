package fahrbahn.app.chart;

import java.util.function.Consumer;
import javafx.collections.FXCollections;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.chart.NumberAxis;
import javafx.scene.chart.XYChart;
import javafx.scene.paint.Paint;

/** Axes and grid of a chart whose content is painted. Subclasses set the range and paint in data coordinates. */
public abstract class Plot extends XYChart<Number, Number> {
    private static final double TICKS = 6;

    private final Canvas canvas = new Canvas();

    protected Plot(String xLabel, String yLabel) {
        super(axis(xLabel), axis(yLabel));
        setData(FXCollections.observableArrayList()); // a chart without data is not laid out
        setAnimated(false);
        setLegendVisible(false);
        setHorizontalZeroLineVisible(false);
        setVerticalZeroLineVisible(false);
        getStyleClass().add("plot");
        getPlotChildren().add(canvas);
        setMinSize(120, 90);
    }

    private static NumberAxis axis(String label) {
        NumberAxis axis = new NumberAxis();
        axis.setLabel(label);
        axis.setAutoRanging(false);
        axis.setAnimated(false);
        axis.setMinorTickVisible(false);
        return axis;
    }

    protected final Ink ink(String styleClass) {
        Ink ink = new Ink(styleClass);
        ink.fillProperty().addListener(o -> requestChartLayout());
        getPlotChildren().add(ink);
        return ink;
    }

    protected final void range(double lowX, double highX, double lowY, double highY) {
        range((NumberAxis) getXAxis(), lowX, highX);
        range((NumberAxis) getYAxis(), lowY, highY);
        requestChartLayout();
    }

    private static void range(NumberAxis axis, double low, double high) {
        double span = high > low ? high - low : 1;
        double raw = span / TICKS;
        double power = Math.pow(10, Math.floor(Math.log10(raw)));
        double unit = power * (raw / power < 1.5 ? 1 : raw / power < 3.5 ? 2 : raw / power < 7.5 ? 5 : 10);
        // Whole ticks at both ends: an axis that ends on 83.2 reads badly.
        axis.setLowerBound(unit * Math.floor(low / unit + 1e-9));
        axis.setUpperBound(unit * Math.ceil((low + span) / unit - 1e-9));
        axis.setTickUnit(unit);
    }

    protected final double px(double x) {
        return getXAxis().getDisplayPosition(x);
    }

    protected final double py(double y) {
        return getYAxis().getDisplayPosition(y);
    }

    protected final double plotWidth() {
        return canvas.getWidth();
    }

    protected final double plotHeight() {
        return canvas.getHeight();
    }

    /** Paints everything; the canvas is empty before. */
    protected abstract void paint(GraphicsContext g);

    protected final void line(
            GraphicsContext g, Paint colour, double width, double[] dashes, Consumer<GraphicsContext> path) {
        g.setStroke(colour);
        g.setLineWidth(width);
        g.setLineDashes(dashes);
        g.beginPath();
        path.accept(g);
        g.stroke();
        g.setLineDashes();
    }

    @Override
    protected void layoutPlotChildren() {
        canvas.setWidth(Math.max(1, getXAxis().getWidth()));
        canvas.setHeight(Math.max(1, getYAxis().getHeight()));
        GraphicsContext g = canvas.getGraphicsContext2D();
        g.clearRect(0, 0, canvas.getWidth(), canvas.getHeight());
        g.setFont(TextFont.of(this));
        paint(g);
    }

    @Override
    protected void dataItemAdded(Series<Number, Number> series, int index, Data<Number, Number> item) {}

    @Override
    protected void dataItemRemoved(Data<Number, Number> item, Series<Number, Number> series) {}

    @Override
    protected void dataItemChanged(Data<Number, Number> item) {}

    @Override
    protected void seriesAdded(Series<Number, Number> series, int index) {}

    @Override
    protected void seriesRemoved(Series<Number, Number> series) {}
}
