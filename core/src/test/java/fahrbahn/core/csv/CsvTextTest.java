package fahrbahn.core.csv;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.StringReader;
import java.util.ArrayList;
import java.util.List;
import org.apache.commons.csv.CSVRecord;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** No cell of words is a formula, and all are read back as they were. */
class CsvTextTest {
    @ParameterizedTest
    @ValueSource(
            strings = {
                "=1+1",
                "+cmd",
                "-cmd|' /C calc'!A0",
                "@SUM(A1)",
                "\t=x",
                "\r=x",
                "=",
                "+",
                "-",
                "'=x",
                "''@x",
                "'+a"
            })
    void aFormulaBecomesWords(String words) {
        String cell = CsvText.written(words);
        assertThat(cell).startsWith("'");
        assertThat(CsvText.read(cell)).isEqualTo(words);
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "-3.5", "+2", "-.5", "Larks", "'tis", "a=b", "''", "left-right"})
    void allElseStaysAsItIs(String words) {
        assertThat(CsvText.written(words)).isEqualTo(words);
        assertThat(CsvText.read(words)).isEqualTo(words);
    }

    @Test
    void tablesAreReadWithoutTheApostrophe() throws Exception {
        List<List<String>> read = new ArrayList<>();
        try (CsvRows rows = CsvRows.open(new StringReader("name,value\n'=x,-3\n"))) {
            for (CSVRecord row : rows.parser()) {
                read.add(CsvRows.fields(row));
            }
        }
        assertThat(read).containsExactly(List.of("name", "value"), List.of("=x", "-3"));
    }
}
