package fahrbahn.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Colours as the style sheet has them: words can be read, and what differs in meaning differs to every eye. */
class StyleTest {
    /** For words of usual size: WCAG 2.1, success criterion 1.4.3. */
    private static final double LEAST_CONTRAST = 4.5;

    /** In CIELAB: what is seen to differ at a glance, about ten times what can just be told apart. */
    private static final double LEAST_APART = 20;

    private static final List<String> WORDS = List.of("-words", "-quiet", "-amber", "-brick");
    private static final List<String> GROUNDS = List.of("-ground", "-panel", "-raised");

    /** Simulations for full dichromats in linear RGB: Vienot, Brettel and Mollon, Color Res. Appl. 24 (1999), 243; tritan after Brettel. */
    private static final Map<String, double[][]> EYES = Map.of(
            "usual", new double[][] {{1, 0, 0}, {0, 1, 0}, {0, 0, 1}},
            "protan", new double[][] {{0.1124, 0.8876, 0}, {0.1124, 0.8876, 0}, {0.0040, -0.0040, 1}},
            "deutan", new double[][] {{0.2927, 0.7073, 0}, {0.2927, 0.7073, 0}, {-0.0223, 0.0223, 1}},
            "tritan", new double[][] {{1, 0.1446, -0.1446}, {0, 0.8592, 0.1408}, {0, 0.8592, 0.1408}});

    private static Map<String, String> tokens(String look) throws IOException {
        Map<String, String> tokens = new HashMap<>();
        try (InputStream css = FahrbahnApp.class.getResourceAsStream("fahrbahn.css")) {
            String text = new String(css.readAllBytes(), StandardCharsets.UTF_8);
            for (String block : List.of(".main-window", ".main-window:" + look)) {
                Matcher rule = Pattern.compile("(?m)^" + Pattern.quote(block) + " \\{([^}]*)\\}")
                        .matcher(text);
                assertThat(rule.find()).as(block).isTrue();
                Matcher token = Pattern.compile("(-[a-z0-9-]+):\\s*([^;]+);").matcher(rule.group(1));
                while (token.find()) {
                    tokens.put(token.group(1), token.group(2).strip());
                }
            }
        }
        return tokens;
    }

    /** Linear red, green and blue. */
    private static double[] colour(Map<String, String> tokens, String token) {
        String value = token;
        while (value.startsWith("-")) {
            value = tokens.get(value);
        }
        double[] linear = new double[3];
        for (int i = 0; i < 3; i++) {
            double c = Integer.parseInt(value.substring(1 + 2 * i, 3 + 2 * i), 16) / 255.0;
            linear[i] = c <= 0.04045 ? c / 12.92 : Math.pow((c + 0.055) / 1.055, 2.4);
        }
        return linear;
    }

    private static double luminance(double[] c) {
        return 0.2126 * c[0] + 0.7152 * c[1] + 0.0722 * c[2];
    }

    private static double contrast(double[] a, double[] b) {
        double la = luminance(a);
        double lb = luminance(b);
        return (Math.max(la, lb) + 0.05) / (Math.min(la, lb) + 0.05);
    }

    private static double[] lab(double[] rgb, double[][] eye) {
        double[] seen = new double[3];
        for (int i = 0; i < 3; i++) {
            for (int k = 0; k < 3; k++) {
                seen[i] += eye[i][k] * rgb[k];
            }
            seen[i] = Math.max(0, Math.min(1, seen[i]));
        }
        double x = f((0.4124 * seen[0] + 0.3576 * seen[1] + 0.1805 * seen[2]) / 0.9505);
        double y = f(0.2126 * seen[0] + 0.7152 * seen[1] + 0.0722 * seen[2]);
        double z = f((0.0193 * seen[0] + 0.1192 * seen[1] + 0.9505 * seen[2]) / 1.089);
        return new double[] {116 * y - 16, 500 * (x - y), 200 * (y - z)};
    }

    private static double f(double t) {
        return t > 0.008856 ? Math.cbrt(t) : 7.787 * t + 16.0 / 116;
    }

    @ParameterizedTest
    @ValueSource(strings = {"large", "day"})
    void wordsCanBeReadOnEveryGround(String look) throws IOException {
        Map<String, String> tokens = tokens(look);
        for (String words : WORDS) {
            for (String ground : GROUNDS) {
                assertThat(contrast(colour(tokens, words), colour(tokens, ground)))
                        .as("%s on %s, %s", words, ground, look)
                        .isGreaterThanOrEqualTo(LEAST_CONTRAST);
            }
        }
        assertThat(contrast(colour(tokens, "-ground"), colour(tokens, "-mark")))
                .as("keys on their caps")
                .isGreaterThanOrEqualTo(LEAST_CONTRAST);
    }

    /** Left and right, good and not: to eyes of all four kinds. They differ in shape and letter besides. */
    @ParameterizedTest
    @ValueSource(strings = {"large", "day"})
    void whatDiffersInMeaningDiffersToEveryEye(String look) throws IOException {
        Map<String, String> tokens = tokens(look);
        for (List<String> pair : List.of(
                List.of("-sky", "-rose"),
                List.of("-leaf", "-brick"),
                List.of("-leaf", "-amber"),
                List.of("-sky", "-brick"))) {
            EYES.forEach((kind, eye) -> {
                double[] a = lab(colour(tokens, pair.get(0)), eye);
                double[] b = lab(colour(tokens, pair.get(1)), eye);
                double apart =
                        Math.sqrt(Math.pow(a[0] - b[0], 2) + Math.pow(a[1] - b[1], 2) + Math.pow(a[2] - b[2], 2));
                assertThat(apart)
                        .as("%s and %s to %s eyes, %s", pair.get(0), pair.get(1), kind, look)
                        .isGreaterThan(LEAST_APART);
            });
        }
    }

    /** The yardsticks themselves: black on white is 21 to 1, and red and green are one to eyes without one of them. */
    @Test
    void theYardsticksMeasure() {
        assertThat(contrast(new double[] {0, 0, 0}, new double[] {1, 1, 1})).isEqualTo(21);
        double[] white = lab(new double[] {1, 1, 1}, EYES.get("deutan"));
        assertThat(white[0]).isBetween(99.9, 100.1);
        double[] red = lab(new double[] {0.6, 0, 0}, EYES.get("protan"));
        double[] green = lab(new double[] {0, 0.6 * 0.1124 / 0.8876, 0}, EYES.get("protan"));
        assertThat(Math.abs(red[1] - green[1]))
                .as("a red and a green that protans confuse")
                .isLessThan(3);
    }
}
