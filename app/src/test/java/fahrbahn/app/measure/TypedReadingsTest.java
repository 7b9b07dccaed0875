package fahrbahn.app.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.app.InShop;
import fahrbahn.app.club.RobotKind;
import fahrbahn.app.freshness.Freshness;
import fahrbahn.app.season.Sort;
import fahrbahn.app.season.Verdict;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.quality.Finding;
import fahrbahn.core.readings.Capture;
import fahrbahn.core.readings.Conditions;
import fahrbahn.core.readings.Lamp;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Numbers read off a robot's display, without a link: from the first row to a level on the robot. */
class TypedReadingsTest extends InShop {
    private void type(String surface, String... rows) {
        shop.measure().capture(surface);
        for (String row : rows) {
            shop.measure().typist().type(row);
        }
        later(30);
    }

    private String asks() {
        return shop.measure().typist().typingProperty().get().orElseThrow().asks();
    }

    @Test
    void sensorAfterSensorIsAskedForAndTheLastRowMakesTheCapture() {
        shop.measure().capture(Capture.LIGHT);
        assertThat(asks()).isEqualTo("light, sensor left (1 of 2)");
        shop.measure().typist().type(" 88  89;84 ");
        assertThat(asks()).isEqualTo("light, sensor right (2 of 2)");
        assertThat(shop.season().captures()).isEmpty();
        shop.measure().typist().type("90,5 91 85");
        assertThat(shop.measure().typist().typingProperty().get()).isEmpty();
        Capture typed = shop.season().captures().get(0);
        assertThat(typed.typed()).isTrue();
        assertThat(typed.timed()).isFalse();
        assertThat(typed.values("left")).containsExactly(88, 89, 84);
        assertThat(typed.values("right")).containsExactly(90.5, 91, 85);
        shop.undo();
        assertThat(shop.season().captures()).isEmpty();
    }

    /** Left of one robot and right of another made one capture once: both call their sensors so. */
    @Test
    void halfOfOneRobotIsNotGoneOnWithOnAnother() {
        shop.club().addRobot(RobotKind.PAIR, "Dipper");
        shop.club().addRobot(RobotKind.PAIR, "Wren");
        shop.measure().capture(Capture.LIGHT);
        shop.season().club().takeNext(Sort.ROBOT);
        assertThat(told()).as("nothing had been typed").doesNotContain("typed of light");
        shop.measure().capture(Capture.LIGHT);
        shop.measure().typist().type("88 89 84");
        shop.season().club().takeNext(Sort.ROBOT);
        assertThat(shop.measure().typist().typingProperty().get()).isEmpty();
        assertThat(told()).startsWith("The typing of light was interrupted: another robot was selected.");
        shop.measure().capture(Capture.LIGHT);
        assertThat(asks()).isEqualTo("light, sensor left (1 of 2)");
        shop.measure().typist().type("88 89 84");
        shop.season().club().goTo("Corn hall");
        assertThat(told()).startsWith("The typing of light was interrupted: the venue changed.");
        assertThat(shop.season().captures()).isEmpty();
    }

    private String levels() {
        return shop.levels().verdictProperty().get().sentence();
    }

    @Test
    void levelsSayWhenTheyAreOlderThanTheLampOrTheHall() {
        type("light", "88 89 84 88", "90 91 85 90");
        type("dark", "20 21 22 20", "24 25 24 23");
        assertThat(levels()).startsWith("Threshold ");
        shop.season().club().goTo("Corn hall");
        type("light", "78 79 74 78", "80 81 75 80");
        type("dark", "10 11 12 10", "14 15 14 13");
        assertThat(levels()).startsWith("Threshold ");
        shop.season().club().goTo("Gym");
        assertThat(levels())
                .startsWith("These thresholds are older than the venue: ")
                .contains("Corn hall", "Capture light and dark again", "Until then: threshold left ");
        shop.season().club().goTo("Corn hall");
        assertThat(levels()).startsWith("Threshold ");
        shop.season().changeConditions(c -> new Conditions(c.venue(), Lamp.OFF, Double.NaN, Double.NaN, ""));
        assertThat(levels()).startsWith("These thresholds are older than the lamps: ");
    }

    @Test
    void surfacesTheOtherWayRoundAreTold() {
        type("light", "20 21 22 20", "24 25 24 23");
        type("dark", "88 89 84 88", "90 91 85 90");
        assertThat(levels()).startsWith("left reads ").contains("the opposite of the robot");
    }

    @Test
    void threeNumbersAReadingAreAColourSensorsChannels() {
        type("mark", "42/20/55 43/21/54 41/20/56", "40/22/53 41/21/55 42/20/54");
        Capture typed = shop.season().captures().get(0);
        assertThat(typed.sensors())
                .containsExactly(
                        "left",
                        "left.red",
                        "left.green",
                        "left.blue",
                        "right",
                        "right.red",
                        "right.green",
                        "right.blue");
        assertThat(typed.values("left.red")).containsExactly(42, 43, 41);
        assertThat(typed.values("right.blue")).containsExactly(53, 55, 54);
        assertThat(typed.values("left")).containsExactly(39, (43 + 21 + 54) / 3.0, 39);
        shop.measure().capture("mark");
        for (String wrong : List.of("42/20/55 43", "42/20 43/21", "42/20/x 1/2/3", "1/2/3/4 1/2/3/4", "/ /")) {
            assertThatThrownBy(() -> shop.measure().typist().type(wrong))
                    .as(wrong)
                    .isInstanceOf(BadValueException.class)
                    .hasMessageContaining("it must be");
        }
    }

    /** Dark, light, a mark and a strip typed in colours are enough for the schools and for the robot's turn marks. */
    @Test
    void typedMarksAreToldApart() {
        String dark = "5/6/4 6/6/5 5/5/4 6/5/4";
        String light = "80/79/70 81/80/71 82/79/70 80/81/72";
        String mark = "40/19/50 41/20/49 42/20/51 40/21/50";
        String shiny = "120/118/104 121/119/106 119/119/105 122/118/104";
        for (List<String> each : List.of(
                List.of("dark", dark), List.of("light", light), List.of("mark", mark), List.of("shiny", shiny))) {
            type(each.get(0), each.get(1), each.get(1));
        }
        var marks = new fahrbahn.core.marks.CapturedColours(
                fahrbahn.core.marks.MarkCaptures.of(List.copyOf(shop.season().captures()), "left"));
        assertThat(marks.known()).containsExactly("mark", "shiny");
        assertThat(marks.scale().scaled(new double[] {5.5, 5.5, 4.25})).containsExactly(new double[3], within(1e-9));
    }

    @ParameterizedTest
    @ValueSource(strings = {"88", "88 x", "NaN 1 2"})
    void aRowThatCannotBeIsRefusedWithWordsAndTheFirstIsKept(String second) {
        shop.measure().capture(Capture.LIGHT);
        shop.measure().typist().type("88 89 84");
        assertThatThrownBy(() -> shop.measure().typist().type(second))
                .isInstanceOf(BadValueException.class)
                .hasMessageContaining("it must be");
        assertThat(asks()).as("still there").contains("right");
        shop.measure().typist().type("90 91 85");
        assertThat(shop.season().captures()).hasSize(1);
    }

    @Test
    void oneSensorMayBeTypedAloneAndTheOthersKeepTheirOlderReadings() {
        for (String surface : List.of(Capture.LIGHT, Capture.DARK)) {
            shop.measure().capture(surface);
            shop.measure().typist().type(surface.equals(Capture.LIGHT) ? "88 89 84" : "21 20 24");
            shop.measure().typist().type(surface.equals(Capture.LIGHT) ? "90 91 86" : "18 19 17");
        }
        shop.measure().capture(Capture.LIGHT);
        shop.measure().typist().type("");
        shop.measure().typist().type("80 81 79 80 81");
        assertThat(shop.season().captures().get(2).sensors()).containsExactly("right");
        assertThat(shop.levels().sensors())
                .extracting(
                        s -> s.sensor() + " " + Math.round(s.levels().light().mean()))
                .containsExactly("left 87", "right 80");
        assertThat(shop.measure().freshnessProperty().get().mark()).isEqualTo(Freshness.Mark.FRESH);

        shop.measure().capture(Capture.LIGHT);
        shop.measure().typist().type("");
        shop.measure().typist().type(" ");
        assertThat(shop.season().captures()).as("nothing typed is no capture").hasSize(3);
        assertThat(shop.measure().typist().typingProperty().get()).isEmpty();
    }

    /** Three of the one, five of the other: each sensor has what was read of it, and one undo takes both back. */
    @Test
    void asManyAreTypedOfEachSensorAsWereRead() {
        shop.measure().capture(Capture.LIGHT);
        shop.measure().typist().type("88 87 88");
        shop.measure().typist().type("90 91 86 90 90");
        assertThat(shop.measure().latest(Capture.LIGHT)).isPresent();
        assertThat(shop.season().captures())
                .extracting(c -> c.sensors().get(0) + " " + c.readings().size())
                .containsExactly("left 3", "right 5");
        shop.undo();
        assertThat(shop.season().captures()).isEmpty();
    }

    @Test
    void fewReadingsLeaveALevelOpenAndLevelsSaysByHowMuch() {
        shop.measure().capture(Capture.LIGHT);
        shop.measure().typist().type("88 95 80");
        shop.measure().typist().type("90 91 86");
        shop.measure().capture(Capture.DARK);
        shop.measure().typist().type("21 20 24");
        shop.measure().typist().type("18 19 17");
        assertThat(shop.levels().verdictProperty().get().sentence()).contains("left is good to ±");
        shop.measure().capture(Capture.LIGHT);
        shop.measure().typist().type("88 87 88 88 87 88 88 87 88 88");
        shop.measure().typist().type("90 91 90 91 90 91 90 91 90 90");
        shop.measure().capture(Capture.DARK);
        shop.measure().typist().type("21 20 21 21 20 21 20 21 21 21");
        shop.measure().typist().type("18 19 18 18 19 18 18 19 18 18");
        assertThat(shop.levels().verdictProperty().get().sentence()).doesNotContain("is good to");
    }

    @Test
    void theKeyPressedAgainGoesOnWhereItWasAndAnotherBeginsAnew() {
        shop.measure().capture(Capture.LIGHT);
        shop.measure().typist().type("88 89 84");
        int asked = shop.measure().typist().askedProperty().get();
        shop.measure().capture(Capture.LIGHT);
        assertThat(asks()).contains("right");
        assertThat(shop.measure().typist().askedProperty().get()).isGreaterThan(asked);
        shop.measure().capture(Capture.DARK);
        assertThat(asks()).isEqualTo("dark, sensor left (1 of 2)");
        shop.measure().typist().stop();
        assertThat(shop.measure().typist().typingProperty().get()).isEmpty();
        assertThat(shop.season().captures()).isEmpty();
    }

    @Test
    void threeReadingsOfEachGiveALevelAndSayHowManyMoreWouldSettleIt() {
        type(Capture.LIGHT, "88 89 84", "90 91 86");
        type(Capture.DARK, "21 20 24", "18 19 17");
        assertThat(shop.measure().freshnessProperty().get().mark()).isEqualTo(Freshness.Mark.FRESH);
        assertThat(shop.levels().sensors()).hasSize(2);
        assertThat(shop.levels().sensors().get(0).levels().bestLevel()).isBetween(40.0, 70.0);
        assertThat(shop.levels().verdictProperty().get().tone()).isNotEqualTo(Verdict.Tone.OPEN);
        assertThat(shop.measure().surveyShown().captures())
                .allSatisfy(report -> assertThat(report.findings())
                        .noneMatch(Finding.TooFew.class::isInstance)
                        .anySatisfy(f -> assertThat(f)
                                .isInstanceOfSatisfying(
                                        Finding.Unsettled.class,
                                        u -> assertThat(u.more()).isBetween(1, 40))));
        shop.levels().useOnRobot();
        assertThat(shop.season().setupOrGuess().robot().sensors().get(0).light())
                .isBetween(84.0, 89.0);
        assertThat(shop.levels().freshnessProperty().get().mark()).isEqualTo(Freshness.Mark.FRESH);
    }

    @Test
    void tenThatAgreeAreSettled() {
        type(Capture.LIGHT, "88 88 89 88 88 89 88 88 88 89", "90 90 91 90 90 90 91 90 90 90");
        type(Capture.DARK, "21 21 20 21 21 21 21 20 21 21", "18 18 18 19 18 18 18 18 19 18");
        assertThat(shop.measure().surveyShown().captures())
                .allSatisfy(report -> assertThat(report.findings()).isEmpty());
        assertThat(shop.measure().verdictProperty().get().tone()).isEqualTo(Verdict.Tone.GOOD);
    }

    @Test
    void whatIsMissingIsAskedForByOneKey() {
        shop.measure().typist().next();
        assertThat(asks()).startsWith("light");
        shop.measure().typist().type("88 89 84");
        shop.measure().typist().type("90 91 85");
        shop.measure().typist().next();
        assertThat(asks()).startsWith("dark");
    }

    @Test
    void readingsThatNameNoSurfaceAreAskedForAndTheSurfacesKeyAnswers() {
        shop.measure().paste("tS,left,right\n0.00,512,498\n0.01,514,497\n0.02,511,499\n"); // as the logger prints them
        assertThat(shop.measure().asking().questionProperty().get().words())
                .isEqualTo("pasted: 3 readings name no surface. Which surface is it?");
        assertThat(shop.season().captures()).as("nothing half").isEmpty();
        shop.measure().capture(Capture.LIGHT);
        assertThat(shop.measure().asking().questionProperty().get().words()).isEmpty();
        assertThat(shop.season().captures()).singleElement().satisfies(c -> {
            assertThat(c.surface()).isEqualTo(Capture.LIGHT);
            assertThat(c.values("right")).containsExactly(498, 497, 499);
        });
        assertThat(shop.measure().typist().typingProperty().get())
                .as("it was the answer")
                .isEmpty();
    }

    @Test
    void aTableCutOutOfASpreadsheetIsUnderstoodWithoutNamesAndWithCommas() {
        shop.measure().paste("88,5\t90\n89\t91,5\n84\t86\n");
        shop.measure().toggle(Capture.SWEEP);
        assertThat(shop.season().captures()).singleElement().satisfies(c -> {
            assertThat(c.surface()).isEqualTo(Capture.SWEEP);
            assertThat(c.sensors()).containsExactly("left", "right");
            assertThat(c.values("left")).containsExactly(88.5, 89, 84);
        });
    }

    @Test
    void whatNobodyNamesIsNotKept() {
        shop.measure().paste("left,right,surface\n1,2,\n3,4,\n5,6,dark\n7,8,dark\n");
        assertThat(shop.measure().asking().questionProperty().get().words()).contains("2 readings name no surface");
        shop.measure().asking().forget();
        assertThat(shop.season().captures()).isEmpty();
        shop.measure().paste("left,right,surface\n1,2,\n3,4,\n5,6,dark\n7,8,dark\n");
        shop.measure().capture("grey card");
        assertThat(shop.season().captures())
                .extracting(Capture::surface)
                .containsExactlyInAnyOrder("dark", "grey card");
        shop.undo();
        assertThat(shop.season().captures()).as("one step").isEmpty();
    }
}
