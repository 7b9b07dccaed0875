package fahrbahn.pen;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.app.club.RobotKind;
import fahrbahn.card.LaneChart;
import fahrbahn.core.loop.Lane;
import fahrbahn.core.loop.LoopModel;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.tuning.LanePicture;
import fahrbahn.store.file.BadFileException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import javax.xml.parsers.DocumentBuilderFactory;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Charts drawn without a window: where marks lie, and the same on paper. */
class ChartTest {
    private static final Setup PAIR = RobotKind.PAIR.setup("Wren");

    @TempDir
    private Path folder;

    @ParameterizedTest
    @CsvSource({"0, 83.2, 10", "-9.78, 9.78, 2", "0, 0.61, 0.1", "3, 3, 0.2", "-35, 1000, 200"})
    void axesEndOnWholeTicks(double low, double high, double tick) {
        Chart.Range range = new Chart.Range(low, high);
        assertThat(Scale.tick(range)).isCloseTo(tick, within(1e-12));
        Chart.Range whole = Scale.whole(range);
        assertThat(whole.low()).isLessThanOrEqualTo(low);
        assertThat(whole.high()).isGreaterThanOrEqualTo(high).isLessThan(high + 1.001 * tick + (high > low ? 0 : 1));
        assertThat(Math.IEEEremainder(whole.low() / tick, 1)).isCloseTo(0, within(1e-6));
        List<Double> ticks = Scale.ticks(range);
        assertThat(ticks.get(0)).isEqualTo(whole.low());
        assertThat(ticks.get(ticks.size() - 1)).isCloseTo(whole.high(), within(1e-9));
    }

    @Test
    void theLaneStandsWhereItsNumbersAre() {
        LanePicture picture = LanePicture.of(PAIR);
        LaneChart chart = new LaneChart(picture);
        Scale scale = Scale.of(chart, 700, 400);
        RecordingPen pen = new RecordingPen();
        chart.draw(pen, scale);
        RecordingPen.Mark set = pen.of("dot", "ink-robot").get(0);
        assertThat(set.x()[0]).isCloseTo(scale.px(PAIR.speedMmPerS()), within(1e-9));
        assertThat(set.y()[0]).isCloseTo(scale.py(PAIR.law().kp()), within(1e-9));
        assertThat(pen.of("line", "ink-edge"))
                .as("both borders, and those of a low battery and a full one")
                .hasSize(6);
        double[] floor = pen.of("line", "ink-edge").get(1).y();
        Lane.Slice first = picture.lane().slices().stream()
                .filter(Lane.Slice::open)
                .findFirst()
                .orElseThrow();
        assertThat(floor[0]).isCloseTo(scale.py(first.bendKp()), within(1e-9));
        assertThat(pen.words()).contains("set", "wiggles", "leaves the bends");
    }

    /** Sensors so near to the axle that Kp alone wiggles, and Kd looks ahead by almost enough. */
    private static Setup near() {
        Setup near = PAIR.withRobot(PAIR.robot()
                .withSensors(PAIR.robot().sensors().stream()
                        .map(s -> s.withPlace(5, s.leftMm()))
                        .toList()));
        LoopModel model = LoopModel.of(near);
        double lackingS = (model.leastLeadMm() - 5) / model.speedMmPerS();
        double kp = 3 * PAIR.law().kp();
        return near.withLaw(
                near.law().withGains(kp, 0, 0.98 * lackingS / model.loop().periodS() * kp));
    }

    @Test
    void aWindowAboveGainsThatWiggleIsDrawnWithItsLowerBorder() {
        LanePicture picture = LanePicture.of(near());
        List<Lane.Slice> windows = picture.lane().slices().stream()
                .filter(s -> s.open() && s.calmFromKp() > s.bendKp())
                .toList();
        assertThat(windows).isNotEmpty();
        LaneChart chart = new LaneChart(picture);
        Scale scale = Scale.of(chart, 700, 400);
        RecordingPen pen = new RecordingPen();
        chart.draw(pen, scale);
        double[] border = pen.of("line", "ink-middle").get(1).y();
        assertThat(border).as("from the slice before on").hasSize(windows.size() + 1);
        assertThat(border[1]).isCloseTo(scale.py(windows.get(0).calmFromKp()), within(1e-9));
        assertThat(pen.words()).contains("less wiggles too");
        assertThat(chart.says()).contains("and below");
    }

    @Test
    void aLongTraceCostsAPointTwiceAColumn() {
        TraceChart trace = new TraceChart("steering", "commands", "ink-right", 100_000, 0.01, i -> Math.sin(i / 100.0));
        RecordingPen pen = new RecordingPen();
        Scale scale = Scale.of(trace, 500, 100);
        trace.draw(pen, scale);
        double[] y = pen.of("line", "ink-right").get(0).y();
        assertThat(y).hasSizeLessThanOrEqualTo(1000);
        assertThat(Arrays.stream(y).min().orElseThrow())
                .as("the peaks are not lost")
                .isCloseTo(scale.py(1), within(0.1));
    }

    @Test
    void thePrintedLaneIsTheOneOnTheScreen() throws Exception {
        LaneChart chart = new LaneChart(LanePicture.of(PAIR));
        Path svg = folder.resolve("lane.svg");
        ChartFile.write(chart, svg);
        var drawing = DocumentBuilderFactory.newInstance().newDocumentBuilder().parse(svg.toFile());
        assertThat(drawing.getElementsByTagName("polygon").getLength()).isEqualTo(1);
        assertThat(drawing.getElementsByTagName("circle").getLength()).isEqualTo(1);
        assertThat(Files.readString(svg))
                .contains("speed, mm/s")
                .doesNotContain("NaN")
                .doesNotContain("Infinity");

        Path pdf = folder.resolve("lane.pdf");
        ChartFile.write(chart, pdf);
        try (var document = Loader.loadPDF(pdf.toFile())) {
            String text = new PDFTextStripper().getText(document);
            assertThat(text).contains("speed, mm/s", "wiggles", "set");
        }
        assertThatThrownBy(() -> ChartFile.write(chart, folder.resolve("nowhere/lane.pdf")))
                .isInstanceOf(BadFileException.class)
                .hasMessageContaining("Choose another folder");
        assertThat(Files.list(folder)).as("nothing half written is left").hasSize(2);
    }
}
