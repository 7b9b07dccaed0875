package fahrbahn.card;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.core.colour.ColourRule;
import fahrbahn.core.colour.ColourScale;
import fahrbahn.core.colour.ColourSpace;
import fahrbahn.core.program.Grain;
import fahrbahn.core.program.HandOver;
import fahrbahn.core.program.Taken;
import fahrbahn.core.setup.Drive;
import fahrbahn.core.setup.ErrorSignal;
import fahrbahn.core.setup.Extent;
import fahrbahn.core.setup.Law;
import fahrbahn.core.setup.Line;
import fahrbahn.core.setup.Loop;
import fahrbahn.core.setup.Mixing;
import fahrbahn.core.setup.Polarity;
import fahrbahn.core.setup.Robot;
import fahrbahn.core.setup.Scale;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.setup.Side;
import fahrbahn.core.setup.TurnMarks;
import fahrbahn.core.tuning.LanePicture;
import fahrbahn.pen.MeasuringPen;
import fahrbahn.pen.Paper;
import fahrbahn.pen.Pen;
import java.awt.image.BufferedImage;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The card: everything on the page, nothing on top of anything else, whatever names and however many numbers. */
class CardTest {
    private static final String LONG = "Wolkenschieber-Überlandexpress Nummer Siebenundzwanzig der Werkstattgruppe";

    /** Words on the page with the place they take. */
    private record Word(String words, double left, double top, double right, double bottom) {
        boolean meets(Word other) {
            return left < other.right && other.left < right && top < other.bottom && other.top < bottom;
        }
    }

    private static List<Word> words(PitCard card, Paper paper) {
        List<Word> all = new ArrayList<>();
        Pen measure = new MeasuringPen();
        new CardSheet(card, paper).draw(new Pen() {
            @Override
            public void line(Stroke stroke, double[] x, double[] y) {
                for (int i = 0; i < x.length; i++) {
                    assertThat(x[i]).as("a line").isBetween(0.0, paper.width());
                    assertThat(y[i]).as("a line").isBetween(0.0, paper.height());
                }
            }

            @Override
            public void area(String ink, double[] x, double[] y) {
                line(null, x, y);
            }

            @Override
            public void dot(String ink, double x, double y, double radius) {}

            @Override
            public double width(String words) {
                return measure.width(words);
            }

            @Override
            public void text(String ink, String words, double x, double y, Anchor anchor, double times) {
                double wide = width(words, times);
                double left = anchor == Anchor.LEFT ? x : anchor == Anchor.RIGHT ? x - wide : x - wide / 2;
                // A letter is 0.72 of its size high, and hangs 0.2 below its line.
                all.add(new Word(words, left, y - 0.7 * 12 * times, left + wide, y + 0.18 * 12 * times));
            }
        });
        return all;
    }

    private static Setup setup(String name, int sensors, ErrorSignal kind) {
        Drive drive = new Drive(124, 560, 0.04, Mixing.DIFFERENCE, 100);
        List<Sensor> row = IntStream.range(0, sensors)
                .mapToObj(i -> new Sensor(
                        sensors > 2
                                ? "Farbsensor ganz außen " + (i + 1)
                                : List.of("left", "right").get(i),
                        55,
                        8.0 * ((sensors - 1) / 2.0 - i),
                        3.4,
                        132.25,
                        711.5,
                        4,
                        1))
                .toList();
        Robot robot = new Robot(name, drive, new Loop(0.01, 0.006), row);
        Law law = new Law(kind, Side.RIGHT, Scale.PERCENT, 50, 0.237, 0.001, 0.854, 41.5);
        return new Setup(robot, new Line(18, Polarity.DARK_ON_LIGHT, 160), law);
    }

    private static PitCard card(Setup setup, Optional<HandOver> last, List<String> stale) {
        return CardWords.card(Taken.of(setup, Grain.TWO), LONG + ", Mission table 2, Hall", "3 Feb 2031", last, stale);
    }

    /** It looks for coloured marks with its outer sensors. @param colours it tells apart */
    private static Setup marked(Setup setup, int colours) {
        List<Sensor> row = setup.robot().sensors();
        List<ColourRule.Known> known = IntStream.range(0, colours)
                .mapToObj(i -> new ColourRule.Known(
                        i == 0 ? "green" : "Farbe " + i,
                        List.of(0.1 + i / 12.0, 0.51234, 0.3),
                        List.of(0.21, 0.22, 0.23)))
                .toList();
        ColourScale scale = new ColourScale(List.of(12.25, 14.0, 9.0), List.of(212.0, 230.5, 180.0));
        TurnMarks marks = new TurnMarks(
                new TurnMarks.Looker(row.get(0).name(), scale),
                new TurnMarks.Looker(row.get(row.size() - 1).name(), scale),
                new ColourRule(ColourSpace.CONE, List.of(), known),
                "green",
                2,
                new Extent(40, Extent.Unit.MM),
                new Extent(60, Extent.Unit.MM),
                TurnMarks.Place.BEFORE,
                new TurnMarks.Manoeuvre(new Extent(55, Extent.Unit.MM), 30, new Extent(400, Extent.Unit.MS)));
        return setup.withLaw(setup.law().withOptions(setup.law().options().withTurnMarks(Optional.of(marks))));
    }

    /** What a program does about marks stands on it, the colours it tells apart too; and what is new among it is marked. */
    @Test
    void whatItDoesAboutMarksIsOnIt() {
        Setup setup = marked(setup("Wren", 2, ErrorSignal.PAIR), 4);
        HandOver last = HandOver.of(Instant.EPOCH, Taken.of(setup, Grain.TWO));
        TurnMarks marks = setup.law().options().turnMarks().orElseThrow();
        Setup later = setup.withLaw(
                setup.law().withOptions(setup.law().options().withTurnMarks(Optional.of(marks.withReads(3)))));
        PitCard card = card(later, Optional.of(last), List.of());
        assertThat(card.numbers()).noneMatch(n -> n.name().equals("READS"));
        assertThat(card.marks().numbers())
                .contains(new PitCard.Number("READS", "3", "reads in a row that a mark needs", true))
                .contains(new PitCard.Number("L_RED_DARK", "12.25", "left: red on dark", false))
                .contains(new PitCard.Number("COLOUR_0_1", "0.512", "green: towards green", false))
                .contains(new PitCard.Number("QUARTER", "400", "ms that a quarter turn takes", false));
        assertThat(words(card, Paper.A4))
                .anyMatch(w -> w.words().equals("COLOUR_3_2"))
                .anyMatch(
                        w -> w.words()
                                .equals(
                                        "Coloured marks: type these too; 0 is green, 1 is Farbe 1, 2 is Farbe 2, 3 is Farbe 3"));
    }

    @ParameterizedTest
    @CsvSource({
        "1, EDGE, 0",
        "2, PAIR, 0",
        "5, ARRAY_MEAN, 0",
        "10, ARRAY_DIFFERENCE, 0",
        "2, PAIR, 4",
        "10, ARRAY_DIFFERENCE, 7"
    })
    void everythingIsOnThePageAndNothingOnTopOfAnything(int sensors, ErrorSignal kind, int colours) {
        List<String> stale = List.of(
                "Dark and light: the venue is " + LONG + " and was the workshop; it is 3 days old.",
                "Gains: the battery has 7.1 V and had 8.2; the wheels are hard and were soft.");
        for (Paper paper : Paper.values()) {
            for (String name : List.of("Wren", LONG, LONG.replace(" ", ""))) {
                Setup plain = setup(name, sensors, kind);
                PitCard card = card(colours > 0 ? marked(plain, colours) : plain, Optional.empty(), stale);
                List<Word> words = words(card, paper);
                for (int i = 0; i < words.size(); i++) {
                    Word word = words.get(i);
                    assertThat(word.left()).as(word.words()).isGreaterThanOrEqualTo(10);
                    assertThat(word.right()).as(word.words()).isLessThanOrEqualTo(paper.width() - 10);
                    assertThat(word.top()).as(word.words()).isGreaterThanOrEqualTo(10);
                    assertThat(word.bottom()).as(word.words()).isLessThanOrEqualTo(paper.height() - 10);
                    for (int k = i + 1; k < words.size(); k++) {
                        assertThat(word.meets(words.get(k)))
                                .as(word + " on " + words.get(k))
                                .isFalse();
                    }
                }
                card.numbers()
                        .forEach(number ->
                                assertThat(words).anyMatch(w -> w.words().equals(number.value())));
            }
        }
    }

    @Test
    void itSaysWhatToTypeAndWhatIsNew() {
        Setup before = setup("Wren", 2, ErrorSignal.PAIR);
        HandOver last = HandOver.of(Instant.EPOCH, Taken.of(before, Grain.TWO));
        Setup after = before.withLaw(before.law().withGains(0.31, 0.001, 0.854));
        PitCard card = card(after, Optional.of(last), List.of());
        assertThat(card.numbers()).contains(new PitCard.Number("KP", "0.31", "per loop", true));
        assertThat(card.numbers().stream().filter(PitCard.Number::changed)).hasSize(1);
        assertThat(card.signs())
                .containsExactly(
                        new PitCard.Line("left alone on the line", "turns left"),
                        new PitCard.Line("right alone on the line", "turns right"));
        assertThat(card.faults())
                .anyMatch(f -> f.what().equals("It wiggles") && f.then().startsWith("KP 0.25"));
        assertThat(words(card, Paper.A4)).anyMatch(w -> w.words().startsWith("All up to date"));
    }

    /** Gains of a program of whole numbers stand on it as hundredths; and no more Kp is asked for than the lane has room for. */
    @Test
    void itsNumbersAreThoseOfTheProgram() {
        Setup setup = setup("Wren", 2, ErrorSignal.PAIR);
        PitCard whole =
                CardWords.card(Taken.of(setup, Grain.HUNDREDTHS), "", "3 Feb 2031", Optional.empty(), List.of());
        assertThat(whole.numbers())
                .contains(new PitCard.Number("KP", "24", "per loop, in hundredths", false))
                .contains(new PitCard.Number("DARK_0", "132", "left on dark", false));
        double onset = LanePicture.of(setup).wiggleKp().orElseThrow();
        Setup high = setup.withLaw(setup.law().withGains(0.65 * onset, 0, 0.854 / 0.237 * 0.65 * onset));
        assertThat(card(high, Optional.empty(), List.of()).faults())
                .anyMatch(
                        f -> f.what().equals("It leaves the bends") && f.then().startsWith("no room for more KP"));
    }

    /** The words of a PDF can be copied, whatever letters a name has; the picture has ink on it, and its edge has none. */
    @Test
    void filesAreWhatTheirNamesSay(@TempDir Path folder) throws Exception {
        PitCard card = card(setup("Łoś żółty, Großstadt \u6f22", 2, ErrorSignal.PAIR), Optional.empty(), List.of());
        Path pdf = folder.resolve("card.pdf");
        CardFile.write(List.of(card, card), Paper.LETTER, pdf);
        try (var document = Loader.loadPDF(pdf.toFile())) {
            assertThat(document.getNumberOfPages()).isEqualTo(2);
            assertThat(document.getPage(0).getMediaBox().getWidth()).isEqualTo(612);
            assertThat(new PDFTextStripper().getText(document))
                    .contains("Łoś żółty, Großstadt ?", "0.24", "turns left", "132.25");
        }
        Path svg = folder.resolve("card.svg");
        CardFile.write(List.of(card), Paper.A4, svg);
        assertThat(Files.readString(svg))
                .startsWith("<svg")
                .contains("viewBox=\"0 0 595.00 842.00\"")
                .contains("turns left");
        BufferedImage image = CardFile.image(card, Paper.A4, 72);
        assertThat(image.getWidth()).isEqualTo(595);
        int dark = 0;
        for (int x = 0; x < image.getWidth(); x++) {
            assertThat(image.getRGB(x, 3) & 0xffffff).as("the edge").isEqualTo(0xffffff);
            for (int y = 0; y < image.getHeight(); y++) {
                dark += (image.getRGB(x, y) & 0xff) < 90 ? 1 : 0;
            }
        }
        assertThat(dark).as("dark pixels").isGreaterThan(5000);
    }
}
