package fahrbahn.store.document;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import fahrbahn.core.belief.Wish;
import fahrbahn.core.tuning.race.Goal;
import fahrbahn.store.file.BadFileException;
import java.time.Instant;
import org.junit.jupiter.api.Test;

class WishJsonTest {
    @Test
    void comesBackAsItWas() throws Exception {
        for (Goal goal : Goal.values()) {
            Wish wish = new Wish(goal, 17, Instant.parse("2031-05-04T18:30:00Z"));
            assertThat(WishJson.parse(WishJson.write(wish))).isEqualTo(wish);
        }
    }

    @Test
    void nonsenseIsRefusedByName() {
        assertThatThrownBy(() -> WishJson.parse("{\"for\":\"fame\",\"trialsLeft\":3,\"at\":\"2031-05-04T18:30:00Z\"}"))
                .isInstanceOf(BadFileException.class)
                .hasMessageContaining("for");
        assertThatThrownBy(() -> WishJson.parse("{\"for\":\"lap\",\"trialsLeft\":-1,\"at\":\"2031-05-04T18:30:00Z\"}"))
                .isInstanceOf(BadFileException.class)
                .hasMessageContaining("trialsLeft");
        assertThatThrownBy(() -> WishJson.parse("{\"for\":\"lap\",\"trialsLeft\":3,\"at\":\"noon\"}"))
                .isInstanceOf(BadFileException.class);
    }
}
