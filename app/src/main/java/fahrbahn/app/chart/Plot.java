package fahrbahn.app.chart;

import fahrbahn.pen.Chart;
import fahrbahn.pen.Key;
import fahrbahn.pen.Pen;
import fahrbahn.pen.Scale;
import java.util.function.BiConsumer;
import java.util.function.DoubleConsumer;
import javafx.collections.FXCollections;
import javafx.css.PseudoClass;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.chart.NumberAxis;
import javafx.scene.chart.XYChart;
import javafx.scene.shape.Line;
import javafx.scene.text.Font;
import javafx.util.StringConverter;

/** A chart on the screen: axes and grid round a canvas that a pen paints. */
public final class Plot extends XYChart<Number, Number> {
    private static final PseudoClass BARE = PseudoClass.getPseudoClass("bare");
    private static final PseudoClass KEYED = PseudoClass.getPseudoClass("keyed");
    private static final double STACKED_AXIS_PX = 52;
    private static final double KEYS_EM = 1.4;
    private static final double KEYS_DESCENT_EM = 0.4;

    private final Canvas canvas = new Canvas();
    private final Canvas keys = new Canvas();
    private final Inks inks;
    private final String promise;
    private boolean stacked;
    private final Line upright = new Line();
    private Chart shown;
    private double cursor = Double.NaN;

    /** @param promise what will be there, as long as there is nothing to show */
    public Plot(String xLabel, String yLabel, String promise) {
        super(axis(xLabel), axis(yLabel));
        this.promise = promise;
        pseudoClassStateChanged(BARE, true);
        setAccessibleText(promise);
        setData(FXCollections.observableArrayList()); // a chart without data is not laid out
        setAnimated(false);
        setLegendVisible(false);
        setHorizontalZeroLineVisible(false);
        setVerticalZeroLineVisible(false);
        getStyleClass().add("plot");
        upright.getStyleClass().add("plot-cursor");
        upright.setManaged(false);
        upright.setVisible(false);
        upright.setMouseTransparent(true);
        keys.setManaged(false);
        keys.setMouseTransparent(true);
        getChartChildren().add(keys);
        getPlotChildren().addAll(canvas, upright);
        inks = new Inks(getPlotChildren(), this::requestChartLayout);
        setMinSize(120, 90);
    }

    /** There is room for it once. */
    private static final class UnitAtTheEnd extends StringConverter<Number> {
        private final NumberAxis axis;
        private final StringConverter<Number> plain;
        private final StringConverter<Number> withUnit;

        UnitAtTheEnd(NumberAxis axis, String unit) {
            this.axis = axis;
            plain = new NumberAxis.DefaultFormatter(axis);
            withUnit = new NumberAxis.DefaultFormatter(axis, null, unit);
        }

        @Override
        public String toString(Number tick) {
            boolean last = tick.doubleValue() > axis.getUpperBound() - axis.getTickUnit() / 2;
            return (last ? withUnit : plain).toString(tick);
        }

        @Override
        public Number fromString(String words) {
            return plain.fromString(words);
        }
    }

    private static NumberAxis axis(String label) {
        NumberAxis axis = new NumberAxis();
        axis.setLabel(label);
        axis.setAutoRanging(false);
        axis.setAnimated(false);
        axis.setMinorTickVisible(false);
        return axis;
    }

    /**
     * One of several below each other over the same time: no words along its axes, which are as wide in all of them.
     *
     * @param times whether times stand below it, their unit with the last
     */
    public Plot stacked(boolean times) {
        stacked = true;
        String label = getXAxis().getLabel();
        if (label.contains(",")) {
            NumberAxis axis = (NumberAxis) getXAxis();
            axis.setTickLabelFormatter(new UnitAtTheEnd(axis, label.substring(label.indexOf(',') + 1)));
        }
        getXAxis().setLabel("");
        getYAxis().setLabel("");
        getXAxis().setTickLabelsVisible(times);
        getXAxis().setTickMarkVisible(times);
        getYAxis().setPrefWidth(STACKED_AXIS_PX);
        return this;
    }

    public void show(Chart chart) {
        shown = chart;
        pseudoClassStateChanged(BARE, false);
        pseudoClassStateChanged(KEYED, !chart.keys().isEmpty());
        setAccessibleText(chart.title() + ". " + chart.says());
        set((NumberAxis) getXAxis(), stacked ? "" : chart.xLabel(), chart.x());
        set((NumberAxis) getYAxis(), stacked ? "" : chart.yLabel(), chart.y());
        requestChartLayout();
    }

    /** There is nothing to show any more. */
    public void clear() {
        shown = null;
        cursor = Double.NaN;
        pseudoClassStateChanged(BARE, true);
        pseudoClassStateChanged(KEYED, false);
        setAccessibleText(promise);
        requestChartLayout();
    }

    private static void set(NumberAxis axis, String label, Chart.Range range) {
        Chart.Range whole = Scale.whole(range);
        axis.setLabel(label);
        axis.setLowerBound(whole.low());
        axis.setUpperBound(whole.high());
        axis.setTickUnit(Scale.tick(range));
    }

    /** Lets the mouse pull something along the x axis. @param pulled takes each value on the way @param done takes the last one */
    public void pulled(DoubleConsumer pulled, DoubleConsumer done) {
        canvas.setOnMousePressed(e -> pulled.accept(valueAt(e.getX())));
        canvas.setOnMouseDragged(e -> pulled.accept(valueAt(e.getX())));
        canvas.setOnMouseReleased(e -> done.accept(valueAt(e.getX())));
    }

    /** @param clicked takes both values where the mouse is pressed */
    public void clicked(BiConsumer<Double, Double> clicked) {
        canvas.setOnMousePressed(e -> clicked.accept(
                valueAt(e.getX()),
                getYAxis()
                        .getValueForDisplay(Math.max(0, Math.min(canvas.getHeight(), e.getY())))
                        .doubleValue()));
    }

    private double valueAt(double x) {
        double within = Math.max(0, Math.min(canvas.getWidth(), x));
        return getXAxis().getValueForDisplay(within).doubleValue();
    }

    /** An upright line at a value of the x axis; NaN for none. Moves on its own: nothing is painted for it. */
    public void cursor(double x) {
        cursor = x;
        moveCursor();
    }

    private void moveCursor() {
        boolean there = !Double.isNaN(cursor) && shown != null;
        upright.setVisible(there);
        if (there) {
            double x = getXAxis().getDisplayPosition(cursor);
            upright.setStartX(x);
            upright.setEndX(x);
            upright.setEndY(canvas.getHeight());
        }
    }

    @Override
    protected void layoutPlotChildren() {
        canvas.setWidth(Math.max(1, getXAxis().getWidth()));
        canvas.setHeight(Math.max(1, getYAxis().getHeight()));
        GraphicsContext g = canvas.getGraphicsContext2D();
        g.clearRect(0, 0, canvas.getWidth(), canvas.getHeight());
        g.setFont(TextFont.of(this));
        if (shown == null) {
            new CanvasPen(g, inks::paint).text("ink-text", promise, 8, canvas.getHeight() / 2);
            keys.setWidth(0);
        } else {
            Pen pen = new CanvasPen(g, inks::paint);
            Scale scale = Scale.of(shown, canvas.getWidth(), canvas.getHeight());
            shown.draw(pen, scale);
            drawKeys();
        }
        moveCursor();
    }

    /** In the room that the style leaves for them above the axes. */
    private void drawKeys() {
        Font font = TextFont.of(this);
        keys.setWidth(canvas.getWidth());
        keys.setHeight(KEYS_EM * font.getSize());
        keys.relocate(getXAxis().getLayoutX(), getYAxis().getLayoutY() - keys.getHeight());
        GraphicsContext g = keys.getGraphicsContext2D();
        g.clearRect(0, 0, keys.getWidth(), keys.getHeight());
        g.setFont(font);
        Key.row(shown.keys(), new CanvasPen(g, inks::paint), 0, keys.getHeight() - KEYS_DESCENT_EM * font.getSize());
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
