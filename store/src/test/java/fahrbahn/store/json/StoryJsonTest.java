package fahrbahn.store.json;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import fahrbahn.core.Setups;
import fahrbahn.core.belief.Story;
import fahrbahn.core.belief.Trial;
import fahrbahn.core.table.DemoCourses;
import fahrbahn.store.file.BadFileException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A story of trials from its file: what was seen, and whether it finished. */
class StoryJsonTest {
    @TempDir
    private Path folder;

    private Story read(String trial) throws Exception {
        Files.writeString(folder.resolve("a.setup.json"), SetupJson.write(Setups.pair()));
        Path story = Files.writeString(
                folder.resolve("story.json"),
                "{\"format\":\"fahrbahn-story\",\"version\":1,\"setup\":\"a.setup.json\",\"course\":\"loop\","
                        + "\"for\":\"finish\",\"trialsLeft\":3,\"trials\":[{\"kp\":0.4,\"kd\":1,\"baseCommand\":40,"
                        + trial + "}]}");
        return StoryJson.read(story, name -> DemoCourses.workshopLoop());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "\"seen\":\"wiggles\" | NOT_SAID",
                "\"seen\":\"wiggles\",\"completed\":true | FINISHED",
                "\"seen\":\"wiggles\",\"completed\":false | LOST",
                "\"seen\":\"wiggles\",\"lapS\":12.5 | FINISHED",
                "\"seen\":\"smooth\" | FINISHED",
                "\"seen\":\"lost-bend\" | LOST"
            })
    void whatWasSeenAndWhetherItFinishedAreTwoThings(String trial, Trial.Finish finish) throws Exception {
        assertThat(read(trial).trials().get(0).finish()).isEqualTo(finish);
    }

    @Test
    void whatIsNoTruthIsRefusedByItsField() {
        assertThatThrownBy(() -> read("\"seen\":\"wiggles\",\"completed\":\"perhaps\""))
                .isInstanceOf(BadFileException.class)
                .hasMessageContaining("trials[0].completed");
    }
}
