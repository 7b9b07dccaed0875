package fahrbahn.app.errand;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class GateTest {
    @Test
    void whatComesBeforeItIsOpenedIsDoneThenInOrderAndTheRestAtOnce() {
        List<Integer> done = new ArrayList<>();
        Gate gate = new Gate(Runnable::run);
        gate.execute(() -> done.add(1));
        gate.execute(() -> done.add(2));
        assertThat(done).isEmpty();
        gate.open();
        assertThat(done).containsExactly(1, 2);
        gate.execute(() -> done.add(3));
        assertThat(done).containsExactly(1, 2, 3);
    }
}
