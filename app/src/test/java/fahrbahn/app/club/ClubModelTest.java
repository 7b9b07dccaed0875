package fahrbahn.app.club;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.app.InShop;
import fahrbahn.app.Shop;
import fahrbahn.app.runs.QuickLog;
import fahrbahn.app.season.Entry;
import fahrbahn.app.season.Sort;
import fahrbahn.core.knowledge.Constant;
import fahrbahn.core.knowledge.Fact;
import fahrbahn.core.knowledge.Knowledge;
import fahrbahn.core.mat.PackedPicture;
import fahrbahn.core.mat.Picture;
import fahrbahn.core.measuring.Measured;
import fahrbahn.store.picture.PicturePack;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** The club without a window: setups in and out, copies with and without measurements, robots that keep to themselves. */
class ClubModelTest extends InShop {
    private static final String SETUP = """
            {"format": "fahrbahn-setup", "version": 1, "crew": ["the younger ones"],
             "robot": {"name": "Wren", "paint": "green",
               "drive": {"trackWidthMm": 118, "freeSpeedMmPerS": 480, "lagS": 0.04, "mixing": "difference", "fullCommand": 100},
               "loop": {"periodS": 0.012, "delayS": 0.005},
               "sensors": [{"name": "eye", "forwardMm": 44, "leftMm": 0, "spotSigmaMm": 2.9, "dark": 15, "light": 88,
                 "noise": 0.6, "step": 1}]},
             "line": {"widthMm": 19, "polarity": "dark-on-light", "tightestRadiusMm": 120},
             "law": {"kind": "edge", "side": "left", "scale": "percent", "target": 50, "kp": 0.5, "ki": 0, "kd": 1,
               "baseCommand": 35}}
            """;

    private ClubModel club;

    @BeforeEach
    void open() throws Exception {
        club = shop.club();
    }

    @Test
    void aSetupComesInAndGoesOutWithFieldsThatNobodyKnows() throws Exception {
        Path in = Files.writeString(folder.resolve("wren.json"), SETUP);
        club.importSetup(in);
        assertThat(club.inHand(Sort.ROBOT).name()).isEqualTo("Wren");
        assertThat(shop.robot().constants().get().orElseThrow())
                .as("what a file says is no guess")
                .noneMatch(k -> k.origin() == Knowledge.Origin.GUESS && k.constant() == Constant.FREE_SPEED);
        shop.gains().choice().choose(0.75, 0, 1.5);
        Path out = folder.resolve("out.setup.json");
        club.exportSetup(out);
        assertThat(Files.readString(out)).contains("the younger ones", "\"paint\"", "0.75");
        assertThat(shop.notices().shownProperty().get()).isEqualTo("Saved as out.setup.json.");
        club.importSetup(Files.writeString(folder.resolve("bad.json"), SETUP.replace("118", "-3")));
        assertThat(shop.notices().shownProperty().get()).contains("bad.json", "trackWidthMm is -3");
        assertThat(shop.season().club().entries(Sort.ROBOT)).hasSize(1);
    }

    @Test
    void whatIsNotedOfARobotATableAndATeamIsCounted() {
        club.addRobot(RobotKind.PAIR, "Wren");
        club.add(Sort.TEAM, "Skylarks");
        club.add(Sort.VENUE, "Barn");
        club.pointAt(Sort.ROBOT);
        club.nextTeam();
        shop.runs().log().log(true, new QuickLog.Typed("9.5", "", "", "", "", ""));
        shop.runs().log().log(false, new QuickLog.Typed("", "", "", "", "", ""));
        shop.runs().log().log(true, new QuickLog.Typed("9.7", "", "", "", "", ""));
        club.addRobot(RobotKind.EDGE, "Robin");
        for (Sort sort : Sort.values()) {
            Entry entry = club.entriesProperty().get().stream()
                    .filter(e -> e.sort() == sort)
                    .findFirst()
                    .orElseThrow();
            ClubInsight about = club.about(entry);
            assertThat(about.runs()).as(sort + " of " + entry.name()).isEqualTo(3);
            assertThat(about.completed()).isEqualTo(2);
            assertThat(about.last()).isPresent();
            assertThat(about.robots()).startsWith("Wren"); // a new robot joins the team of the one in hand
        }
        assertThat(club.about(club.inHand(Sort.ROBOT)).runs())
                .as("Robin has none")
                .isZero();
    }

    @Test
    void aCopyBringsItsMeasurementsOrNone() {
        club.addRobot(RobotKind.PAIR, "Wren");
        shop.season()
                .changes()
                .measured(
                        List.of(new Fact(
                                Constant.LAG,
                                new Measured(0.06, 0.001, 4),
                                List.of(),
                                shop.season().basisNow())),
                        s -> s);
        shop.season().addCaptures(List.of(Shop.capture("dark", Shop.MORNING, 200, 200, shop)));
        club.copy(true);
        assertThat(club.inHand(Sort.ROBOT).name()).isEqualTo("Wren 2");
        assertThat(shop.season().facts()).containsKey(Constant.LAG);
        assertThat(shop.season().captures()).hasSize(1);
        club.copy(false);
        assertThat(club.inHand(Sort.ROBOT).name()).isEqualTo("Wren 2 2");
        assertThat(shop.season().facts()).isEmpty();
        assertThat(shop.season().captures()).isEmpty();
        assertThat(shop.robot().constants().get().orElseThrow())
                .as("measured on another robot is a guess on this one")
                .allMatch(k -> k.origin() == Knowledge.Origin.GUESS);
    }

    @Test
    void robotsKeepToThemselves() {
        club.addRobot(RobotKind.PAIR, "Wren");
        club.addRobot(RobotKind.ROW, "Plover");
        shop.gains().choice().choose(0.9, 0, 2);
        shop.runs().log().log(true, new QuickLog.Typed("12", "", "", "", "", ""));
        club.takeNext(Sort.ROBOT);
        assertThat(club.inHand(Sort.ROBOT).name()).isEqualTo("Wren");
        assertThat(shop.season().setupOrGuess().law().kp()).isNotEqualTo(0.9);
        assertThat(shop.season().runs()).isEmpty();
        int steps = shop.season().ledger().undoable().size();
        club.takeNext(Sort.ROBOT);
        assertThat(shop.season().ledger().undoable())
                .as("looking at another is no step")
                .hasSize(steps);
        assertThat(shop.season().runs()).hasSize(1);
        club.retire();
        assertThat(shop.notices().shownProperty().get()).contains("is selected");
    }

    @Test
    void aPictureIsKeptWithinItsBound() throws Exception {
        Random random = new Random(5);
        int[] noise = random.ints(2600 * 1600, 0, 0x1000000).toArray();
        PicturePack pack = PicturePack.of(new Picture(2600, 1600, noise, 0));
        assertThat(pack.packed().size()).isLessThanOrEqualTo(PackedPicture.MOST_BYTES);
        assertThat(pack.picture().scaledFrom()).isEqualTo(2600);
        assertThat(PicturePack.unpack(pack.packed()).columns())
                .isEqualTo(pack.picture().columns());
    }
}
