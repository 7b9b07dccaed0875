package fahrbahn.store.document;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;

class EntriesJsonTest {
    @Test
    void whatWasNotMeasuredComesBackAsThat() throws Exception {
        List<List<Double>> rows = List.of(List.of(60.0, 1000.0, 4.2, Double.NaN), List.of(60.0, 1000.0, 4.1, -3.0));
        assertThat(EntriesJson.write(rows)).contains("[60.0,1000.0,4.2,null]");
        assertThat(EntriesJson.parse(EntriesJson.write(rows))).isEqualTo(rows);
    }
}
