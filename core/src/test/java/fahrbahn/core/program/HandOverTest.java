package fahrbahn.core.program;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.core.Setups;
import fahrbahn.core.program.TypedBack.Handed;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** What is on the robot is what was typed, and no more. */
class HandOverTest {
    private static final Instant NOW = Instant.parse("2026-05-04T09:00:00Z");

    private static Taken taken(double kp) {
        return Taken.of(Setups.pair().withLaw(Setups.pair().law().withGains(kp, 0, 0.9)), Grain.HUNDREDTHS);
    }

    private static List<String> toType(HandOver last, Taken now) {
        return last.since(now).stream().map(HandOver.Change::name).toList();
    }

    @Test
    void someOfNothingIsThoseAlone() {
        HandOver some = HandOver.ofSome(NOW, Optional.empty(), taken(0.3), Set.of("KP"));
        assertThat(some.constants()).extracting(Handed::name).containsExactly("KP");
        assertThat(toType(some, taken(0.3))).contains("KD").doesNotContain("KP");
    }

    @Test
    void theOthersStayAsTheyWere() {
        HandOver all = HandOver.of(NOW, taken(0.3));
        HandOver some = HandOver.ofSome(NOW, Optional.of(all), taken(0.5), Set.of("KD"));
        assertThat(toType(some, taken(0.5))).as("it still has the old one").containsExactly("KP");
        assertThat(toType(HandOver.ofSome(NOW, Optional.of(all), taken(0.5), Set.of("KP")), taken(0.5)))
                .isEmpty();
    }

    /** In hundredths 0.3 is 30: what was typed in other numbers is not on a robot whose program takes these. */
    @Test
    void otherNumbersAreTypedAgain() {
        HandOver all = HandOver.of(NOW, Taken.of(Setups.pair(), Grain.ANY));
        HandOver some = HandOver.ofSome(NOW, Optional.of(all), taken(0.3), Set.of("KP"));
        assertThat(some.constants()).extracting(Handed::name).containsExactly("KP");
    }
}
