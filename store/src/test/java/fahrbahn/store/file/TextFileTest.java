package fahrbahn.store.file;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import fahrbahn.store.exchange.CourseSvg;
import fahrbahn.store.exchange.ReadingsCsv;
import fahrbahn.store.json.Fields;
import fahrbahn.store.json.SetupJson;
import java.io.RandomAccessFile;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class TextFileTest {
    @TempDir
    private Path folder;

    /** A file that takes no room on the disk. */
    private Path ofLength(long bytes) throws Exception {
        Path file = folder.resolve("large");
        try (RandomAccessFile sparse = new RandomAccessFile(file.toFile(), "rw")) {
            sparse.setLength(bytes);
        }
        return file;
    }

    @Test
    void whatIsTooLongIsRefusedBeforeItIsRead() throws Exception {
        assertThatThrownBy(() -> SetupJson.read(ofLength(TextFile.MOST_DOCUMENT_BYTES + 1)))
                .isInstanceOf(BadFileException.class)
                .hasMessageContaining("20 MB long; a setup has at most 20 MB");
        assertThatThrownBy(() -> ReadingsCsv.read(ofLength(TextFile.MOST_TABLE_BYTES + (1 << 20))))
                .isInstanceOf(BadFileException.class)
                .hasMessageContaining("201 MB long; a table of readings has at most 200 MB");
        assertThatThrownBy(() -> CourseSvg.read(ofLength(1L << 40))).hasMessageContaining("SVG drawing");
    }

    @Test
    void aByteOrderMarkIsFine() throws Exception {
        Path file = Files.writeString(folder.resolve("a"), "\uFEFF{\"a\": 1}");
        assertThat(TextFile.read(file, "document")).isEqualTo("{\"a\": 1}");
        Path readings = Files.writeString(folder.resolve("b.csv"), "\uFEFFleft,right\n1,2\n");
        assertThat(ReadingsCsv.read(readings).sensors()).containsExactly("left", "right");
    }

    @Test
    void whatIsNoFileIsToldSo() {
        assertThatThrownBy(() -> TextFile.read(folder, "setup"))
                .hasMessageContaining("not a file; a setup was expected");
        assertThatThrownBy(() -> TextFile.read(folder.resolve("none"), "setup")).hasMessageContaining("no such file");
    }

    @Test
    void whatNestsWithoutEndIsRefused() {
        String deep = "{\"a\":".repeat(100_000) + "1" + "}".repeat(100_000);
        assertThatThrownBy(() -> Fields.parse(deep)).isInstanceOf(BadFileException.class);
    }
}
