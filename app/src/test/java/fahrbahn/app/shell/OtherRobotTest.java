package fahrbahn.app.shell;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.app.InShop;
import fahrbahn.app.club.RobotKind;
import fahrbahn.app.drive.run.Drive;
import fahrbahn.app.freshness.Freshness;
import fahrbahn.app.freshness.Station;
import fahrbahn.app.season.Sort;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.DemoCourses;
import fahrbahn.core.table.Draft;
import fahrbahn.core.trace.Trace;
import java.util.Locale;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** The coach walks on to another robot: what was driven or read of the one before is not kept as its. */
class OtherRobotTest extends InShop {
    @BeforeEach
    void drivenWithWren() {
        shop.club().addRobot(RobotKind.EDGE, "Dipper");
        shop.club().addRobot(RobotKind.EDGE, "Wren");
        shop.season().club().additions().addTable(Draft.of(DemoCourses.mission()));
        shop.gains().useAdvice();
        shop.drive().run();
        assertThat(shop.drive().canKeep()).isTrue();
    }

    private Setup setup() {
        return shop.season().setupOrGuess();
    }

    private Drive driven() {
        return shop.drive().driveProperty().get().orElseThrow();
    }

    /** As a robot writes it. */
    private String written() {
        Trace trace = driven().trace();
        StringBuilder log =
                new StringBuilder("tS," + setup().robot().sensors().get(0).name() + ",error,steering\n");
        for (int i = 0; i < trace.size(); i++) {
            log.append(String.format(
                    Locale.ROOT,
                    "%.4f,%.3f,%.4f,%.4f%n",
                    trace.tS(i),
                    trace.reading(i, 0),
                    trace.error(i),
                    trace.steering(i)));
        }
        return log.toString();
    }

    @Test
    void aRunOfTheTwinIsOfItsRobot() {
        shop.drive().runMany();
        shop.season().club().takeNext(Sort.ROBOT);
        assertThat(setup().robot().name()).isEqualTo("Dipper");
        assertThat(shop.drive().canKeep()).isFalse();
        assertThat(shop.drive().oddsProperty().get()).isEmpty();
        assertThat(shop.station(Station.DRIVE).freshnessProperty().get().mark()).isEqualTo(Freshness.Mark.MISSING);
        shop.drive().keep();
        assertThat(shop.season().runs()).isEmpty();
        shop.drive().run();
        shop.drive().keep();
        assertThat(shop.season().runs())
                .singleElement()
                .satisfies(
                        run -> assertThat(run.setting().setup().robot().name()).isEqualTo("Dipper"));
    }

    @Test
    void aLogIsOfItsRobot() {
        shop.drive().log().paste(written());
        assertThat(shop.drive().log().canKeep()).as("%s", told()).isTrue();
        shop.drive().log().record();
        assertThat(shop.drive().log().recordingProperty().get()).isTrue();
        shop.season().club().takeNext(Sort.ROBOT);
        assertThat(shop.drive().log().canKeep()).isFalse();
        assertThat(shop.drive().log().recordingProperty().get()).isFalse();
        assertThat(told()).contains("the recording was not kept");
        shop.drive().log().keep();
        assertThat(shop.season().facts()).isEmpty();
        shop.season().club().takeNext(Sort.ROBOT);
        shop.drive().run();
        shop.drive().log().paste(written());
        shop.drive().log().keep();
        assertThat(shop.season().facts()).isNotEmpty();
    }
}
