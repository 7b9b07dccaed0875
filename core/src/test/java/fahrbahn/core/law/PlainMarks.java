package fahrbahn.core.law;

import fahrbahn.core.colour.ColourRule;
import fahrbahn.core.colour.ColourSpace;
import fahrbahn.core.setup.Extent;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.setup.TurnMarks;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** Turn marks in words, from the description alone: the part of {@link PlainLaw} that goes before everything else. */
final class PlainMarks {
    private final Setup setup;
    private final TurnMarks marks;
    private final Map<String, Integer> inARow = new HashMap<>();
    private final Map<String, Double> ago = new HashMap<>();
    private String doing = "following";
    private double done;
    private double sinceCrossing;
    private double aheadDone;
    private String way;

    PlainMarks(Setup setup) {
        this.setup = setup;
        marks = setup.law().options().turnMarks().orElseThrow();
        forget();
    }

    private void forget() {
        for (String side : List.of("left", "right")) {
            inARow.put(side, 0);
            ago.put(side, null);
        }
    }

    private double passed(Extent extent, double seconds) {
        return switch (extent.unit().word()) {
            case "loops" -> 1;
            case "ms" -> seconds * 1000;
            default -> seconds * setup.speedMmPerS();
        };
    }

    /** What it does this tick: "law", "straight", "left" or "right". */
    String tick(Map<String, Double> readings, double seconds) {
        boolean crossing = true;
        for (String side : List.of("left", "right")) {
            double[] rgb = scaled(readings, side.equals("left") ? marks.left() : marks.right());
            boolean mark = taken(rgb).equals(marks.mark());
            inARow.put(side, mark ? inARow.get(side) + 1 : 0);
            if (inARow.get(side) >= marks.reads()) {
                ago.put(side, 0.0);
            } else if (ago.get(side) != null) {
                ago.put(side, ago.get(side) + passed(marks.lookBack(), seconds));
            }
            boolean dark = setup.line().polarity().word().equals("dark-on-light");
            for (double channel : rgb) {
                crossing &= !mark && (dark ? 1 - channel : channel) >= 0.5;
            }
        }
        if (doing.equals("following") && crossing) {
            aheadDone = 0;
            if (marks.place().word().equals("before")) {
                decide(true);
            } else {
                forget();
                doing = "looking";
                sinceCrossing = 0;
            }
            return "straight";
        }
        switch (doing) {
            case "looking":
                sinceCrossing += passed(marks.lookBack(), seconds);
                aheadDone += passed(marks.turn().ahead(), seconds);
                if (sinceCrossing >= marks.lookBack().amount()) {
                    decide(false);
                }
                return "straight";
            case "ahead":
                aheadDone += passed(marks.turn().ahead(), seconds);
                if (aheadDone < marks.turn().ahead().amount()) {
                    return "straight";
                }
                doing = "turning";
                done = 0;
                return way.equals("right") ? "right" : "left";
            case "turning":
                done += passed(marks.turn().quarter(), seconds);
                if (done < marks.turn().quarter().amount() * (way.equals("round") ? 2 : 1)) {
                    return way.equals("right") ? "right" : "left";
                }
                doing = "blind";
                done = 0;
                forget();
                return "law";
            case "blind":
            case "crossing":
                done += passed(marks.blank(), seconds);
                boolean over = done >= marks.blank().amount();
                String now = doing;
                if (over) {
                    doing = "following";
                    forget();
                }
                return now.equals("blind") || over ? "law" : "straight";
            default:
                return "law";
        }
    }

    private void decide(boolean within) {
        boolean left = ago.get("left") != null
                && (!within || ago.get("left") <= marks.lookBack().amount());
        boolean right = ago.get("right") != null
                && (!within || ago.get("right") <= marks.lookBack().amount());
        way = left && right ? "round" : left ? "left" : right ? "right" : "on";
        doing = way.equals("on") ? "crossing" : "ahead";
        done = 0;
        forget();
    }

    private static double[] scaled(Map<String, Double> readings, TurnMarks.Looker looker) {
        double[] rgb = new double[3];
        for (int i = 0; i < 3; i++) {
            String channel = List.of("red", "green", "blue").get(i);
            double dark = looker.scale().dark().get(i);
            double light = looker.scale().light().get(i);
            rgb[i] = (readings.get(looker.sensor() + "." + channel) - dark) / (light - dark);
        }
        return rgb;
    }

    private String taken(double[] rgb) {
        double[] point = point(rgb);
        if (marks.colours().cut().isPresent()) {
            return between(point[marks.colours().cut().get().feature()]);
        }
        String best = "none";
        double least = Double.POSITIVE_INFINITY;
        for (ColourRule.Known known : marks.colours().known()) {
            double far = marks.colours().metric().isEmpty() ? 0 : weighed(point, known);
            for (int i = 0; i < 3 && marks.colours().metric().isEmpty(); i++) {
                double off = point[i] - known.centre().get(i);
                if (known.reach().isEmpty()) {
                    far += off * off;
                } else {
                    far = Math.max(far, Math.abs(off) / known.reach().get(i));
                }
            }
            if (far < least && (known.reach().isEmpty() || far <= 1)) {
                least = far;
                best = known.surface();
            }
        }
        return best;
    }

    /** Of the surfaces in the order of their values, the one after the last level that is not above this. */
    private String between(double value) {
        List<Double> levels = marks.colours().cut().orElseThrow().levels();
        long passed = levels.stream().filter(level -> level <= value).count();
        return marks.colours().known().get((int) passed).surface();
    }

    /** The matrix is symmetric; its lower triangle is written row by row. */
    private double weighed(double[] point, ColourRule.Known known) {
        List<Double> m = marks.colours().metric();
        double[][] matrix = {
            {m.get(0), m.get(1), m.get(3)},
            {m.get(1), m.get(2), m.get(4)},
            {m.get(3), m.get(4), m.get(5)}
        };
        double far = 0;
        for (int i = 0; i < 3; i++) {
            for (int k = 0; k < 3; k++) {
                far += (point[i] - known.centre().get(i))
                        * matrix[i][k]
                        * (point[k] - known.centre().get(k));
            }
        }
        return far;
    }

    private double[] point(double[] rgb) {
        if (marks.colours().space() == ColourSpace.SCALED) {
            return rgb;
        }
        if (marks.colours().space() == ColourSpace.SUM) {
            return new double[] {(rgb[0] + rgb[1] + rgb[2]) / 3, 0, 0};
        }
        double r = Math.max(0, rgb[0]);
        double g = Math.max(0, rgb[1]);
        double b = Math.max(0, rgb[2]);
        if (marks.colours().space() == ColourSpace.SHARES) {
            double sum = r + g + b;
            return sum > 0.15 ? new double[] {r / sum, g / sum, b / sum} : new double[] {1 / 3.0, 1 / 3.0, 1 / 3.0};
        }
        double top = Math.max(r, Math.max(g, b));
        double range = top - Math.min(r, Math.min(g, b));
        double sixth =
                range == 0 ? 0 : top == r ? (g - b) / range : top == g ? 2 + (b - r) / range : 4 + (r - g) / range;
        double size = marks.colours().space() == ColourSpace.CONE ? range : top == 0 ? 0 : range / top;
        return new double[] {size * Math.cos(sixth * Math.PI / 3), size * Math.sin(sixth * Math.PI / 3), top};
    }
}
