package fahrbahn.core.hall;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import fahrbahn.core.check.BadValueException;
import fahrbahn.core.hall.Checklist.Item;
import java.util.List;
import org.junit.jupiter.api.Test;

class ChecklistTest {
    private static final Checklist LIST = Checklist.of(List.of("spare battery", "table's tape", "charger"));

    @Test
    void whatWasForgottenStandsFirst() {
        Checklist once = LIST.forgot(2);
        assertThat(once.items()).extracting(Item::words).containsExactly("charger", "spare battery", "table's tape");
        Checklist again = once.forgot(2).forgot(0);
        assertThat(again.items()).extracting(Item::words).startsWith("charger", "table's tape");
        assertThat(again.items().get(0).forgotten()).isEqualTo(2);
    }

    @Test
    void itIsTickedAndBeginsAnew() {
        Checklist ticked = LIST.tick(1);
        assertThat(ticked.left()).isEqualTo(2);
        assertThat(ticked.tick(1)).isEqualTo(LIST);
        assertThat(ticked.forgot(0).anew().left()).isEqualTo(3);
        assertThat(ticked.forgot(0).anew().items().get(0).forgotten())
                .as("remembered")
                .isEqualTo(1);
    }

    @Test
    void itIsEdited() {
        Checklist longer = LIST.add(" pencil ");
        assertThat(longer.items()).hasSize(4).last().extracting(Item::words).isEqualTo("pencil");
        assertThat(longer.remove(0).items())
                .extracting(Item::words)
                .containsExactly("table's tape", "charger", "pencil");
        assertThatThrownBy(() -> LIST.add("  ")).isInstanceOf(BadValueException.class);
    }
}
