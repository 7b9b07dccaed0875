package fahrbahn.app.drive.run;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.app.club.RobotKind;
import fahrbahn.app.drive.RunCharts;
import fahrbahn.app.errand.Errands;
import fahrbahn.core.knowledge.Basis;
import fahrbahn.core.readings.Conditions;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.DemoCourses;
import fahrbahn.core.twin.Start;
import fahrbahn.core.twin.Track;
import fahrbahn.pen.Key;
import fahrbahn.pen.RecordingPen;
import fahrbahn.pen.Scale;
import fahrbahn.pen.Sheet;
import fahrbahn.pen.TracesChart;
import fahrbahn.pen.VectorSheet;
import java.awt.image.BufferedImage;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A run on its way to files, without a window. */
class DriveFilesTest {
    private static final Setup PAIR = RobotKind.PAIR.setup("Wren");

    @TempDir
    private Path folder;

    private final List<String> told = new ArrayList<>();
    private final DriveFiles files =
            new DriveFiles(new Errands(Runnable::run, Runnable::run, told::add).errand("The file"));

    private static Drive drive() {
        return Drive.of(
                Basis.of(Instant.EPOCH, Conditions.UNKNOWN),
                Track.of(DemoCourses.mission(), PAIR),
                0,
                Start.noisy(0, 3));
    }

    @Test
    void everyTickIsALineWithWhatTheRobotsOwnLogWouldHave() throws Exception {
        Drive drive = drive();
        Path csv = folder.resolve("t.csv");
        files.traces(csv, drive);
        List<String> lines = Files.readAllLines(csv);
        assertThat(lines.get(0)).startsWith("tS,left,right,error,steering,leftWheel,rightWheel,byKp");
        assertThat(lines).hasSize(drive.trace().size() + 1);
        String[] tenth = lines.get(11).split(",");
        assertThat(Double.parseDouble(tenth[0])).isEqualTo(drive.trace().tS(10));
        assertThat(Double.parseDouble(tenth[4])).isEqualTo(drive.trace().steering(10));
        assertThat(lines.get(11)).endsWith(",following");
        assertThat(told).isEmpty();
    }

    @Test
    void drawingsStandBelowEachOther() throws Exception {
        RunCharts charts = new RunCharts(drive());
        Path svg = folder.resolve("t.svg");
        files.drawing(svg, List.of(Sheet.of(charts.steering()), Sheet.of(charts.wheels())));
        assertThat(Files.readString(svg))
                .contains("by Kp", "left wheel", "Steering against time", "Wheels against time");
        files.drawing(folder.resolve("t.pdf"), List.of(Sheet.of(charts.steering())));
        assertThat(Files.size(folder.resolve("t.pdf"))).isGreaterThan(2000);
    }

    @Test
    void aPictureIsAPng() throws Exception {
        files.picture(folder.resolve("t.png"), new BufferedImage(30, 20, BufferedImage.TYPE_INT_ARGB));
        assertThat(ImageIO.read(folder.resolve("t.png").toFile()).getWidth()).isEqualTo(30);
    }

    @Test
    void whatCannotBeWrittenIsTold() {
        files.traces(folder.resolve("nowhere/t.csv"), drive());
        assertThat(told).hasSize(1);
    }

    /** Names of lines stand above the axes, where no line runs, with a piece of the line before each. */
    @Test
    void namesOfTracesStandAboveThem() {
        TracesChart chart = (TracesChart) new RunCharts(drive()).steering();
        RecordingPen pen = new RecordingPen();
        VectorSheet.bare(chart, pen, 700, 300);
        double top = pen.of("line", "ink-text").get(0).y()[0]; // of the frame
        List<RecordingPen.Mark> names = pen.of("text", "ink-edge");
        assertThat(names)
                .extracting(RecordingPen.Mark::words)
                .containsExactly("steering", "by Kp", "by Kd  (commands)");
        assertThat(names).allMatch(name -> name.y()[0] < top);
        for (int i = 1; i < names.size(); i++) {
            double end = names.get(i - 1).x()[0] + pen.width(names.get(i - 1).words());
            assertThat(names.get(i).x()[0]).as(names.get(i).words()).isGreaterThan(end);
        }
        assertThat(chart.keys()).extracting(Key::name).hasSize(3);
    }

    /** A trace goes through its values where they are: the steering's largest stands at its own time and height. */
    @Test
    void tracesStandWhereTheirValuesAre() {
        Drive drive = drive();
        TracesChart chart = (TracesChart) new RunCharts(drive).steering();
        Scale scale = Scale.of(chart, 700, 300);
        RecordingPen pen = new RecordingPen();
        chart.draw(pen, scale);
        int largest = 0;
        for (int i = 0; i < drive.trace().size(); i++) {
            largest = drive.trace().steering(i) > drive.trace().steering(largest) ? i : largest;
        }
        RecordingPen.Mark line = pen.of("line", "ink-edge").get(0);
        int top = 0;
        for (int i = 0; i < line.y().length; i++) {
            top = line.y()[i] < line.y()[top] ? i : top;
        }
        assertThat(line.y()[top]).isCloseTo(scale.py(drive.trace().steering(largest)), within(1e-9));
        assertThat(line.x()[top]).isCloseTo(scale.px(drive.trace().tS(largest)), within(1.0));
    }
}
