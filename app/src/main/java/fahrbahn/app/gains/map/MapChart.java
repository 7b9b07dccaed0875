package fahrbahn.app.gains.map;

import fahrbahn.core.maps.Axis;
import fahrbahn.core.maps.MapPicture;
import fahrbahn.core.setup.Law;
import fahrbahn.pen.Chart;
import fahrbahn.pen.Labels;
import fahrbahn.pen.Pen;
import fahrbahn.pen.Pen.Stroke;
import fahrbahn.pen.Scale;

/**
 * A map of Kp and Kd: lighter is better, cells in which no run finishes are left out; the border of stability by loop theory runs over it.
 *
 * @param set gains as set
 */
record MapChart(MapModel.Picture picture, MapModel.Layer layer, MapModel.Point inHand, Law set) implements Chart {
    private static final int INKS = 8;
    private static final Stroke BORDER = new Stroke("ink-middle", 2.5);
    private static final Stroke IN_HAND = new Stroke("ink-advice", 3);
    private static final double DOT_PX = 6;

    private MapPicture map() {
        return picture.map();
    }

    @Override
    public String xLabel() {
        return "Kp, per loop";
    }

    @Override
    public String yLabel() {
        return "Kd, per loop";
    }

    @Override
    public String title() {
        return "The map of " + picture.table() + ": " + layer.word();
    }

    @Override
    public String says() {
        return MapWords.says(this);
    }

    @Override
    public Range x() {
        return range(map().x());
    }

    @Override
    public Range y() {
        return range(map().y());
    }

    private static Range range(Axis axis) {
        double half = half(axis);
        return new Range(Math.max(0, axis.low() - half), axis.high() + half);
    }

    private static double half(Axis axis) {
        return (axis.high() - axis.low()) / (axis.cells() - 1) / 2;
    }

    /** Ends of what is shown, the better one last. */
    Range ends() {
        double low = Double.POSITIVE_INFINITY;
        double high = Double.NEGATIVE_INFINITY;
        for (int row = 0; row < map().y().cells(); row++) {
            for (int column = 0; column < map().x().cells(); column++) {
                double value = layer.of(map(), column, row);
                if (!Double.isNaN(value)) {
                    low = Math.min(low, value);
                    high = Math.max(high, value);
                }
            }
        }
        return new Range(low, high);
    }

    @Override
    public void draw(Pen pen, Scale scale) {
        Range ends = ends();
        double halfX = half(map().x());
        double halfY = half(map().y());
        for (int row = 0; row < map().y().cells(); row++) {
            for (int column = 0; column < map().x().cells(); column++) {
                double value = layer.of(map(), column, row);
                if (Double.isNaN(value) || layer == MapModel.Layer.CHANCE && value == 0) {
                    continue;
                }
                double left = scale.px(map().x().value(column) - halfX);
                double right = scale.px(map().x().value(column) + halfX);
                double top = scale.py(map().y().value(row) + halfY);
                double bottom = scale.py(Math.max(0, map().y().value(row) - halfY));
                // Half a pixel wider, so that no seam shows between two.
                pen.box("ink-map-" + ink(value, ends), left, top, right - left + 0.5, bottom - top + 0.5);
            }
        }
        picture.stable().ifPresent(stable -> border(pen, scale, halfX, halfY));
        Labels labels = new Labels(pen, scale.width(), scale.height());
        double x = scale.px(set.kp());
        double y = scale.py(set.kd());
        pen.dot("ink-map-rim", x, y, DOT_PX + 2);
        pen.dot("ink-robot", x, y, DOT_PX);
        labels.free(x, y, DOT_PX);
        if (inHand.column() >= 0) {
            double left = scale.px(map().x().value(inHand.column()) - halfX);
            double top = scale.py(map().y().value(inHand.row()) + halfY);
            double width = scale.px(map().x().value(inHand.column()) + halfX) - left;
            double height = scale.py(map().y().value(inHand.row()) - halfY) - top;
            pen.frame(IN_HAND, left, top, width, height);
            labels.free(left + width / 2, top + height / 2, Math.max(width, height));
        }
        labels.put(inkOn(MapModel.cell(map(), set.kp(), set.kd()), ends), "set", x + DOT_PX, y);
    }

    /** Words on light cells are dark. */
    private String inkOn(MapModel.Point cell, Range ends) {
        double value = layer.of(map(), cell.column(), cell.row());
        return !Double.isNaN(value) && ink(value, ends) >= INKS / 2 ? "ink-map-rim" : "ink-text";
    }

    private int ink(double value, Range ends) {
        if (layer == MapModel.Layer.CHANCE) {
            return (int) Math.min(INKS - 1, Math.floor(value * (INKS - 0.001)));
        }
        double span = ends.high() - ends.low();
        double better = span == 0 ? 1 : (ends.high() - value) / span; // less is better
        return (int) Math.min(INKS - 1, Math.floor(better * better * INKS));
    }

    /** Between neighbours of which one is stable. */
    private void border(Pen pen, Scale scale, double halfX, double halfY) {
        for (int row = 0; row < map().y().cells(); row++) {
            for (int column = 0; column < map().x().cells(); column++) {
                boolean here = picture.stable(column, row);
                double right = scale.px(map().x().value(column) + halfX);
                double top = scale.py(map().y().value(row) + halfY);
                if (column < map().x().cells() - 1 && here != picture.stable(column + 1, row)) {
                    pen.line(BORDER, right, top, right, scale.py(map().y().value(row) - halfY));
                }
                if (row < map().y().cells() - 1 && here != picture.stable(column, row + 1)) {
                    pen.line(BORDER, scale.px(map().x().value(column) - halfX), top, right, top);
                }
            }
        }
    }
}
