package fahrbahn.app.shell;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class KeySheetTest {
    @Test
    void everyKeyStandsOnThePaper(@TempDir Path folder) throws Exception {
        List<Map.Entry<String, String>> many = IntStream.range(0, 24)
                .mapToObj(i -> Map.entry("K" + i, "does what number " + i + " does"))
                .toList();
        String longWords =
                "a sentence so long that it has to go on below itself, for no paper is as wide as a window of two"
                        + " thousand pixels, whatever its printer says";
        Path file = folder.resolve("keys.pdf");
        KeySheet.write(
                List.of(
                        new KeySheet.Group("Keys at Table", many),
                        new KeySheet.Group("Keys everywhere", List.of(Map.entry("Esc", longWords)))),
                file);
        try (var document = Loader.loadPDF(file.toFile())) {
            String text = new PDFTextStripper().getText(document).replaceAll("\\s+", " ");
            assertThat(text)
                    .contains("Keys at Table", "K0", "K23 does what number 23 does", "Keys everywhere", longWords);
        }
        assertThat(Files.list(folder)).hasSize(1);
    }
}
