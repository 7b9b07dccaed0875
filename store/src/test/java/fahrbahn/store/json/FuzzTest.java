package fahrbahn.store.json;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.core.Repeated;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.readings.BadReadingsException;
import fahrbahn.core.readings.ReadingsFile;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.DemoCourses;
import fahrbahn.core.table.Draft;
import fahrbahn.core.trials.TrialsFile;
import fahrbahn.store.exchange.CourseSvg;
import fahrbahn.store.file.BadFileException;
import fahrbahn.store.picture.SvgPicture;
import java.io.StringReader;
import java.nio.charset.StandardCharsets;
import java.util.Random;
import java.util.logging.Level;
import java.util.logging.Logger;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;

/**
 * Files a stranger, a disk or a child has been at: thousands of mutations of good ones. Each is read, or refused with a message;
 * nothing else is thrown, and each has an end.
 */
@Timeout(600)
class FuzzTest extends Repeated {
    private static final String[] SPLINTERS = {
        "\"",
        "{",
        "}",
        "[",
        "]",
        ",",
        ":",
        "-",
        "0",
        "1e308",
        "-1e308",
        "NaN",
        "null",
        "true",
        "\n",
        "\r",
        "\t",
        ";",
        "#",
        "\u0000",
        "\ufeff",
        "1e-320",
        "9999999999999999999999",
        "\\u12",
        "straight",
        "0.0000001"
    };

    private interface Reader {
        void read(String text) throws Exception;
    }

    private static final String SETUP = """
            {"format": "fahrbahn-setup", "version": 1,
             "robot": {"name": "Wren",
               "drive": {"trackWidthMm": 118, "freeSpeedMmPerS": 480, "lagS": 0.04, "mixing": "difference", "fullCommand": 100,
                         "scrub": 1.1, "deadZoneCommand": 4},
               "loop": {"periodS": 0.012, "delayS": 0.005},
               "sensors": [{"name": "a", "forwardMm": 44, "leftMm": 12, "spotSigmaMm": 2.9, "dark": 15, "light": 88},
                           {"name": "b", "forwardMm": 44, "leftMm": 0, "spotSigmaMm": 2.9, "dark": 15, "light": 88},
                           {"name": "c", "forwardMm": 44, "leftMm": -12, "spotSigmaMm": 2.9, "dark": 15, "light": 88}]},
             "line": {"widthMm": 18, "polarity": "light-on-dark", "tightestRadiusMm": 140},
             "law": {"kind": "array-mean", "side": "left", "scale": "unit", "target": 0.5, "kp": 4, "baseCommand": 30,
                     "weights": [1, 0, -1], "steps": [{"aboveError": 1, "steering": 9}],
                     "lost": {"action": "by-loss", "gapError": 2}, "limits": {"steering": 50, "slowDown": 0.2}}}
            """;

    /** The library for drawings logs each flaw it meets: thousands here. Held, for a logger nobody holds forgets its level. */
    private static final Logger DRAWINGS = Logger.getLogger("com.github.weisj");

    @BeforeAll
    static void quiet() {
        DRAWINGS.setLevel(Level.OFF);
    }

    @Test
    void setups() throws Exception {
        Setup whole = SetupJson.parse(SETUP);
        assertThat(whole.robot().sensors()).hasSize(3);
        mutate(SETUP, SetupJson::parse);
    }

    @Test
    void courses() throws Exception {
        mutate(
                CourseJson.write(Draft.of(DemoCourses.mission())),
                text -> CourseJson.parseDraft(text).course());
    }

    @Test
    void drawingsOfCourses() throws Exception {
        mutate(CourseSvg.write(Draft.of(DemoCourses.mission()), 20, true), CourseSvg::parse);
    }

    /** Of a small drawing: it is painted each time. */
    @Test
    void picturesOfMats() throws Exception {
        String svg = """
                <svg xmlns="http://www.w3.org/2000/svg" width="60mm" height="40mm" viewBox="0 0 60 40">
                  <defs><g id="a"><path d="M5 5 L50 5 A10 10 0 0 1 50 25 z" stroke="#222" stroke-width="2" fill="none"/></g>
                  <linearGradient id="b"><stop offset="0" stop-color="red"/><stop offset="1" stop-color="#fff"/></linearGradient></defs>
                  <rect width="60" height="40" fill="url(#b)"/><use href="#a" transform="translate(1 2) rotate(3)"/>
                  <text x="4" y="30">mat</text><circle cx="9" cy="9" r="3" style="fill:blue;opacity:.5"/>
                </svg>
                """;
        mutate(svg, text -> SvgPicture.read(text.getBytes(StandardCharsets.UTF_8), 400), times(40, 1200));
    }

    @Test
    void readings() throws Exception {
        StringBuilder csv = new StringBuilder("tS,surface,left,right\n# a remark\n");
        for (int i = 0; i < 12; i++) {
            csv.append(i * 0.01)
                    .append(i % 2 == 0 ? ",dark," : ",light,")
                    .append(i)
                    .append(',')
                    .append(2 * i)
                    .append('\n');
        }
        mutate(csv.toString(), text -> ReadingsFile.read(new StringReader(text)));
    }

    @Test
    void runs() throws Exception {
        String csv = "setting;completed;timeS;alongMm;acrossMm\nA;true;20,5;1,5;-2\nB;false;;;\nA;yes;21;0;1\n";
        mutate(csv, text -> TrialsFile.read(new StringReader(text)));
    }

    private void mutate(String good, Reader reader) throws Exception {
        mutate(good, reader, times(200, 3000));
    }

    private static void mutate(String good, Reader reader, int mutations) throws Exception {
        reader.read(good);
        Random random = new Random(41);
        int refused = 0;
        for (int i = 0; i < mutations; i++) {
            String bad = mutation(good, random);
            try {
                reader.read(bad);
            } catch (BadFileException | BadValueException | BadReadingsException expected) {
                assertThat(expected.getMessage()).as(bad).isNotBlank();
                refused++;
            } catch (RuntimeException | Error broken) {
                throw new AssertionError("mutation " + i + ":\n" + bad, broken);
            }
        }
        assertThat(refused).as("mutations that break the file").isGreaterThan(mutations / 10);
    }

    /** One to three times: a piece cut out, doubled, or a splinter driven in. */
    private static String mutation(String good, Random random) {
        StringBuilder text = new StringBuilder(good);
        for (int times = 1 + random.nextInt(3); times > 0 && text.length() > 1; times--) {
            int at = random.nextInt(text.length());
            int end = Math.min(text.length(), at + 1 + random.nextInt(12));
            switch (random.nextInt(4)) {
                case 0 -> text.delete(at, end);
                case 1 -> text.insert(at, text.substring(at, end));
                case 2 -> text.replace(at, end, SPLINTERS[random.nextInt(SPLINTERS.length)]);
                default -> text.insert(at, SPLINTERS[random.nextInt(SPLINTERS.length)]);
            }
        }
        return text.toString();
    }
}
