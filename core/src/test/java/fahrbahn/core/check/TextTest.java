package fahrbahn.core.check;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

/** What a file brings into a message. */
class TextTest {
    @Test
    void whatIsGivenIsShownShortAndAsCharactersThatDoNothing() {
        assertThat(Text.plain("left", 4)).isEqualTo("left");
        assertThat(Text.plain("a\nb\u001b[2J\u202ec", 40)).isEqualTo("a\\u000ab\\u001b[2J\\u202ec");
        assertThat(Text.plain("0123456789", 8)).isEqualTo("012345...89");
        BadValueException refused = new BadValueException("kp", "9".repeat(5000), "a number");
        assertThat(refused.getMessage()).startsWith("kp is 999").endsWith("it must be a number");
        assertThat(refused.getMessage()).hasSizeLessThan(300);
    }
}
