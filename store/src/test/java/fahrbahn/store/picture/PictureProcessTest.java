package fahrbahn.store.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import fahrbahn.core.job.CancelledException;
import fahrbahn.core.job.Job;
import fahrbahn.core.mat.Picture;
import fahrbahn.store.file.BadFileException;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Random;
import java.util.stream.Stream;
import java.util.zip.GZIPOutputStream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.api.io.TempDir;

/** Pictures read by a process of their own: the same as read at once, and always with an end. */
@Timeout(600)
class PictureProcessTest {
    @TempDir
    private Path folder;

    private static Stream<ProcessHandle> readers() {
        return ProcessHandle.current()
                .children()
                .filter(ProcessHandle::isAlive)
                .filter(p -> p.info().commandLine().orElse("").contains(PictureProcess.class.getName()));
    }

    private Path picture(int columns, int rows) throws Exception {
        BufferedImage image = new BufferedImage(columns, rows, BufferedImage.TYPE_INT_RGB);
        Random random = new Random(1);
        for (int i = 0; i < 2000; i++) {
            image.setRGB(random.nextInt(columns), random.nextInt(rows), random.nextInt(0x1000000));
        }
        Path file = folder.resolve("a mat;50% #1?.png");
        ImageIO.write(image, "png", file.toFile());
        return file;
    }

    private static void assertSame(PictureFile a, PictureFile b) {
        assertThat(a.widthMm()).isEqualTo(b.widthMm());
        Picture left = a.picture();
        Picture right = b.picture();
        assertThat(left.columns()).isEqualTo(right.columns());
        assertThat(left.scaledFrom()).isEqualTo(right.scaledFrom());
        for (int row = 0; row < left.rows(); row++) {
            for (int column = 0; column < left.columns(); column++) {
                assertThat(left.at(column, row)).isEqualTo(right.at(column, row));
            }
        }
    }

    @Test
    void itIsThePictureThatIsReadAtOnce() throws Exception {
        Path file = picture(300, 200);
        assertSame(PictureFile.read(file, Job.UNWATCHED), PictureDecoder.read(file));
        assertThatThrownBy(() -> PictureFile.read(Files.writeString(folder.resolve("x.png"), "none"), Job.UNWATCHED))
                .isInstanceOf(BadFileException.class)
                .hasMessageStartingWith(folder.resolve("x.png").toString())
                .hasMessageContaining("a PNG, JPEG, SVG or PDF was expected");
        untilNobodyReads();
    }

    @Test
    void aPackedDrawingIsTheDrawingAndABombIsNone() throws Exception {
        byte[] drawing =
                "<svg xmlns='http://www.w3.org/2000/svg' width='100mm' height='50mm'><rect width='9' height='9'/></svg>"
                        .getBytes(StandardCharsets.UTF_8);
        Path plain = Files.write(folder.resolve("a.svg"), drawing);
        Path packed = Files.write(folder.resolve("a.svgz"), gzip(drawing));
        assertSame(PictureFile.read(packed, Job.UNWATCHED), PictureDecoder.read(plain));
        byte[] spaces = " ".repeat((64 << 20) + 1).getBytes(StandardCharsets.UTF_8);
        Path bomb = Files.write(folder.resolve("bomb.svg"), gzip(spaces));
        assertThatThrownBy(() -> PictureFile.read(bomb, Job.UNWATCHED))
                .hasMessageContaining("unpacked, more than 64 MB");
    }

    private static byte[] gzip(byte[] plain) throws Exception {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (GZIPOutputStream out = new GZIPOutputStream(bytes)) {
            out.write(plain);
        }
        return bytes.toByteArray();
    }

    /** A page whose contents draw one form a thousand times, which draws another a thousand times, and so on: small, and endless. */
    private Path endlessPdf() throws Exception {
        StringBuilder pdf = new StringBuilder(
                "%PDF-1.4\n1 0 obj<</Type/Catalog/Pages 2 0 R>>endobj\n"
                        + "2 0 obj<</Type/Pages/Kids[3 0 R]/Count 1>>endobj\n"
                        + "3 0 obj<</Type/Page/Parent 2 0 R/MediaBox[0 0 200 200]/Contents 4 0 R/Resources<</XObject<</F 5 0 R>>>>>>endobj\n");
        String draw = "/F Do ".repeat(40);
        pdf.append("4 0 obj<</Length ")
                .append(draw.length())
                .append(">>stream\n")
                .append(draw)
                .append("\nendstream endobj\n");
        for (int form = 5; form < 12; form++) {
            String body = form < 11 ? draw : "0 0 9 9 re f ".repeat(40);
            pdf.append(form)
                    .append(" 0 obj<</Type/XObject/Subtype/Form/BBox[0 0 200 200]/Resources<</XObject<</F ")
                    .append(form + 1)
                    .append(" 0 R>>>>/Length ")
                    .append(body.length())
                    .append(">>stream\n")
                    .append(body)
                    .append("\nendstream endobj\n");
        }
        pdf.append("trailer<</Root 1 0 R/Size 12>>\n%%EOF\n");
        return Files.writeString(folder.resolve("endless.pdf"), pdf);
    }

    @Test
    void whatHasNoEndIsEndedAtItsDeadline() throws Exception {
        Path endless = endlessPdf();
        assertThatThrownBy(() -> PictureFile.read(endless, Job.UNWATCHED, Duration.ofSeconds(1)))
                .isInstanceOf(BadFileException.class)
                .hasMessageContaining("not read within 1 s");
        untilNobodyReads();
    }

    @Test
    void whoeverStopsItWaitsForNothing() throws Exception {
        Path endless = endlessPdf();
        Job stoppedOnceItReads = new Job() {
            @Override
            public boolean cancelled() {
                return readers().findAny().isPresent();
            }
        };
        assertThatThrownBy(() -> PictureFile.read(endless, stoppedOnceItReads)).isInstanceOf(CancelledException.class);
        untilNobodyReads();
    }

    private static void untilNobodyReads() {
        while (readers().findAny().isPresent()) { // for ever, if it is not ended: the watchdog's
            Thread.onSpinWait();
        }
    }
}
