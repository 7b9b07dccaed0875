package fahrbahn.store.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.core.Repeated;
import fahrbahn.core.job.Job;
import fahrbahn.core.mat.LineFollower;
import fahrbahn.core.mat.Mat;
import fahrbahn.core.mat.Traced;
import fahrbahn.core.table.Course;
import fahrbahn.core.table.DemoCourses;
import fahrbahn.core.table.Draft;
import fahrbahn.store.exchange.CourseSvg;
import fahrbahn.store.file.BadFileException;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.BufferedOutputStream;
import java.io.ByteArrayOutputStream;
import java.io.DataOutputStream;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.zip.CRC32;
import java.util.zip.Deflater;
import java.util.zip.DeflaterOutputStream;
import javax.imageio.ImageIO;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class PictureFileTest extends Repeated {
    @TempDir
    private Path folder;

    private static BufferedImage drawn() {
        BufferedImage image = new BufferedImage(600, 400, BufferedImage.TYPE_INT_RGB);
        Graphics2D g = image.createGraphics();
        g.setColor(Color.WHITE);
        g.fillRect(0, 0, 600, 400);
        g.setColor(Color.BLACK);
        g.fillRect(50, 190, 500, 20);
        g.dispose();
        return image;
    }

    @ParameterizedTest
    @ValueSource(strings = {"png", "jpg"})
    void aPhotographHasPixelsAndNoSize(String format) throws Exception {
        Path file = folder.resolve("mat." + format);
        ImageIO.write(drawn(), format, file.toFile());
        PictureFile read = PictureDecoder.read(file);
        assertThat(read.widthMm()).isEmpty();
        assertThat(read.picture().columns()).isEqualTo(600);
        assertThat(read.picture().scaledFrom()).isZero();
        Mat mat = new Mat("m", read.picture(), 1200, 0x000000, 0xffffff);
        assertThat(mat.pixelMm()).isEqualTo(2);
        assertThat(mat.raster().at(600, 400)).isCloseTo(1, within(0.1)); // JPEG rings a little
        assertThat(mat.raster().at(600, 100)).isCloseTo(0, within(0.1));
        Traced line = LineFollower.from(mat.raster(), 600, 400, Job.UNWATCHED);
        assertThat(line.widthMm()).isCloseTo(40, within(2.0));
        assertThat(line.lengthMm()).isCloseTo(1000, within(40.0));
        assertThat(line.tightestRadiusMm()).isInfinite();
    }

    @Test
    void aPageHasItsSize() throws Exception {
        Path file = folder.resolve("mat.pdf");
        float points = (float) (500 / 25.4 * 72);
        try (PDDocument document = new PDDocument()) {
            PDPage page = new PDPage(new PDRectangle(points, points / 2));
            document.addPage(page);
            try (PDPageContentStream content = new PDPageContentStream(document, page)) {
                content.setNonStrokingColor(Color.BLACK);
                content.addRect(0, points / 4 - 30, points, 60);
                content.fill();
            }
            document.save(file.toFile());
        }
        PictureFile read = PictureDecoder.read(file);
        assertThat(read.widthMm().orElseThrow()).isCloseTo(500, within(0.01));
        Mat mat = new Mat("m", read.picture(), 500, 0x000000, 0xffffff);
        assertThat(mat.heightMm()).isCloseTo(250, within(1.0));
        assertThat(mat.raster().at(250, 125)).isCloseTo(1, within(1e-6));
        assertThat(mat.raster().at(250, 20)).isCloseTo(0, within(1e-6));
    }

    @Test
    void aCourseSavedAsSvgOpensAsACourseAndAsAMat() throws Exception {
        Course course = DemoCourses.workshopLoop();
        Path file = folder.resolve("loop.svg");
        Files.writeString(file, CourseSvg.write(Draft.of(course), 20, true));
        assertThat(CourseSvg.read(file).parts()).hasSameSizeAs(course.parts());
        assertThat(CourseSvg.read(file).course().path().lengthMm())
                .isCloseTo(course.path().lengthMm(), within(1e-6));
        PictureFile picture = PictureDecoder.read(file);
        assertThat(picture.widthMm().orElseThrow()).isCloseTo(2400, within(1e-6));
        Mat mat = new Mat("loop", picture.picture(), 2400, 0x1d2023, 0xe4e1d8);
        Traced traced = LineFollower.from(mat.raster(), 900, 200, Job.UNWATCHED);
        assertThat(traced.closed()).isTrue();
        assertThat(traced.tightestRadiusMm()).isCloseTo(150, within(0.05 * 150));
        assertThat(traced.lengthMm())
                .isCloseTo(course.path().lengthMm(), within(0.01 * course.path().lengthMm()));
        Path plain = Files.writeString(
                folder.resolve("plain.svg"), "<svg xmlns='http://www.w3.org/2000/svg' width='9' height='9'/>");
        assertThatThrownBy(() -> CourseSvg.read(plain)).hasMessageContaining("Import it as a picture of a mat");
    }

    /** A row at a time, so that the test itself needs no memory for it: grey, 8 bit. */
    private static void writeHugePng(Path file, int columns, int rows, int written) throws Exception {
        try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(file))) {
            out.write(new byte[] {(byte) 0x89, 'P', 'N', 'G', 13, 10, 26, 10});
            ByteArrayOutputStream header = new ByteArrayOutputStream();
            DataOutputStream data = new DataOutputStream(header);
            data.writeInt(columns);
            data.writeInt(rows);
            data.write(new byte[] {8, 0, 0, 0, 0});
            chunk(out, "IHDR", header.toByteArray());
            ByteArrayOutputStream packed = new ByteArrayOutputStream();
            try (DeflaterOutputStream deflater = new DeflaterOutputStream(packed, new Deflater(1))) {
                byte[] row = new byte[columns + 1];
                for (int i = 0; i < written; i++) {
                    deflater.write(row);
                }
            }
            chunk(out, "IDAT", packed.toByteArray());
            chunk(out, "IEND", new byte[0]);
        }
    }

    private static void chunk(OutputStream out, String name, byte[] body) throws Exception {
        DataOutputStream data = new DataOutputStream(out);
        data.writeInt(body.length);
        byte[] type = name.getBytes(java.nio.charset.StandardCharsets.US_ASCII);
        CRC32 sum = new CRC32();
        sum.update(type);
        sum.update(body);
        data.write(type);
        data.write(body);
        data.writeInt((int) sum.getValue());
        data.flush();
    }

    @Test
    void manyMegapixelsAreScaledAndTooManyAreRefused() throws Exception {
        Path large = folder.resolve("large.png");
        int columns = times(6_000, 12_000);
        writeHugePng(large, columns, columns * 3 / 4, columns * 3 / 4);
        PictureFile read = PictureDecoder.read(large);
        assertThat((long) read.picture().columns() * read.picture().rows()).isLessThanOrEqualTo(12_000_000L);
        assertThat(read.picture().columns()).isEqualTo(times(3000, 4000));
        assertThat(read.picture().scaledFrom()).isEqualTo(columns);
        Path absurd = folder.resolve("absurd.png");
        writeHugePng(absurd, 30_000, 20_000, 1); // its head says so: the rest is not looked at
        assertThatThrownBy(() -> PictureDecoder.read(absurd))
                .isInstanceOf(BadFileException.class)
                .hasMessageContaining("600 million pixels")
                .hasMessageContaining("Save it smaller");
    }

    @Test
    void whatIsNoPictureIsRefusedInWords() throws Exception {
        for (String name : new String[] {"a.png", "a.jpg", "a.svg", "a.pdf"}) {
            Path file = Files.writeString(folder.resolve(name), "not a picture at all");
            assertThatThrownBy(() -> PictureDecoder.read(file))
                    .as(name)
                    .isInstanceOf(BadFileException.class)
                    .hasMessageContaining(name);
        }
        assertThatThrownBy(() -> PictureDecoder.read(folder.resolve("none.png")))
                .hasMessageContaining("no such file");
        byte[] torn = Files.readAllBytes(torn());
        Path half = Files.write(folder.resolve("half.png"), java.util.Arrays.copyOf(torn, torn.length / 2));
        assertThatThrownBy(() -> PictureDecoder.read(half)).isInstanceOf(BadFileException.class);
    }

    private Path torn() throws Exception {
        Path file = folder.resolve("whole.png");
        ImageIO.write(drawn(), "png", file.toFile());
        return file;
    }
}
