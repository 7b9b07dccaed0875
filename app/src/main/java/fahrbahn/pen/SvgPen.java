package fahrbahn.pen;

import fahrbahn.core.check.PlainText;
import java.util.Locale;

/** Writes an SVG drawing. */
public final class SvgPen implements Pen {
    private static final double FONT_SIZE = 12;
    private final StringBuilder body = new StringBuilder();
    private final double width;
    private final double height;

    public SvgPen(double width, double height) {
        this.width = width;
        this.height = height;
    }

    @Override
    public void line(Stroke stroke, double[] x, double[] y) {
        StringBuilder dashes = new StringBuilder();
        for (double dash : stroke.dashes()) {
            dashes.append(dashes.isEmpty() ? "" : " ").append(number(dash));
        }
        body.append("<polyline fill=\"none\" stroke=\"")
                .append(colour(stroke.ink()))
                .append("\" stroke-width=\"")
                .append(number(stroke.width()))
                .append(dashes.isEmpty() ? "" : "\" stroke-dasharray=\"" + dashes)
                .append("\" points=\"")
                .append(points(x, y))
                .append("\"/>\n");
    }

    @Override
    public void area(String ink, double[] x, double[] y) {
        body.append("<polygon fill=\"")
                .append(colour(ink))
                .append("\" points=\"")
                .append(points(x, y))
                .append("\"/>\n");
    }

    @Override
    public void dot(String ink, double x, double y, double radius) {
        body.append("<circle fill=\"%s\" cx=\"%s\" cy=\"%s\" r=\"%s\"/>\n"
                .formatted(colour(ink), number(x), number(y), number(radius)));
    }

    @Override
    public double width(String words) {
        return PaperFont.width(words, FONT_SIZE);
    }

    @Override
    public void text(String ink, String words, double x, double y, Anchor anchor, double times) {
        String place = switch (anchor) {
            case LEFT -> "start";
            case MIDDLE -> "middle";
            case RIGHT -> "end";
        };
        String plain =
                PlainText.of(words).replace("&", "&amp;").replace("<", "&lt;").replace(">", "&gt;");
        String size = times == 1 ? "" : " font-size=\"" + number(times * FONT_SIZE) + "\"";
        body.append("<text fill=\"%s\" x=\"%s\" y=\"%s\" text-anchor=\"%s\"%s>%s</text>\n"
                .formatted(colour(ink), number(x), number(y), place, size, plain));
    }

    /** The drawing so far, whole. */
    public String svg() {
        return "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 %s %s\" font-family=\"Liberation Sans, Arial, Helvetica, sans-serif\" font-size=\"12\">\n"
                        .formatted(number(width), number(height))
                + body + "</svg>\n";
    }

    private static String points(double[] x, double[] y) {
        StringBuilder points = new StringBuilder();
        for (int i = 0; i < x.length; i++) {
            points.append(i == 0 ? "" : " ").append(number(x[i])).append(',').append(number(y[i]));
        }
        return points.toString();
    }

    private static String colour(String ink) {
        return String.format(Locale.ROOT, "#%06x", PrintInks.rgb(ink));
    }

    private static String number(double value) {
        return String.format(Locale.ROOT, "%.2f", value);
    }
}
