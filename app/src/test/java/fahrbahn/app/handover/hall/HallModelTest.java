package fahrbahn.app.handover.hall;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.app.InShop;
import fahrbahn.app.Shop;
import fahrbahn.app.club.RobotKind;
import fahrbahn.app.season.Sort;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.hall.HallStep;
import fahrbahn.core.program.HandOver.Change;
import fahrbahn.core.program.ProgramConstant;
import fahrbahn.core.quality.Finding;
import fahrbahn.core.readings.Capture;
import fahrbahn.core.setup.TurnMarks;
import fahrbahn.core.trials.PartOf;
import fahrbahn.core.trials.Run;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** The minutes in a new hall, step by step. */
class HallModelTest extends InShop {
    @BeforeEach
    void open() throws Exception {
        shop.season().club().additions().addRobot(RobotKind.PAIR.setup("Wren"));
    }

    private void capture() {
        later(5);
        shop.season()
                .addCaptures(List.of(
                        Shop.capture(Capture.DARK, clock.now, 201.5, 230.25, shop),
                        Shop.capture(Capture.LIGHT, clock.now, 712.5, 690.25, shop)));
    }

    private HallModel hall() {
        return shop.handover().hall();
    }

    private int steps() {
        return shop.season().ledger().undoable().size();
    }

    private Optional<HallStep> next() {
        return hall().advice().flatMap(advice -> advice.next().map(offer -> offer.step()));
    }

    @Test
    void theHallsMinutesBelongToTheRobotAndOutliveTheProgram() throws Exception {
        assertThat(hall().leftS()).isNaN();
        assertThatThrownBy(() -> hall().begin(0)).isInstanceOf(BadValueException.class);
        assertThatThrownBy(() -> hall().begin(Double.NaN)).isInstanceOf(BadValueException.class);
        hall().begin(5);
        later(70);
        assertThat(hall().leftS()).isEqualTo(230);
        shop.season().club().additions().addRobot(RobotKind.EDGE.setup("Dipper"));
        assertThat(hall().day()).as("of another robot").isEmpty();
        reopen();
        shop.season().club().takeNext(Sort.ROBOT);
        assertThat(hall().leftS()).isEqualTo(230);
        hall().end();
        assertThat(hall().day()).isEmpty();
        shop.undo();
        assertThat(hall().leftS()).isEqualTo(230);
    }

    @Test
    void stepsAreDoneByWhatIsDone() {
        hall().begin(6);
        assertThat(next()).contains(HallStep.LIGHT);
        hall().typed();
        assertThat(told()).contains("Capture light and dark here first");
        List<ProgramConstant> before = hall().numbers();
        capture();
        hall().show();
        hall().show();
        assertThat(hall().day().orElseThrow().steps()).containsExactlyInAnyOrder(HallStep.LIGHT, HallStep.DARK);
        assertThat(hall().numbers()).as("of this hall").isNotEqualTo(before);
        int steps = steps();
        hall().typed();
        assertThat(steps())
                .as("levels, numbers handed over and the tick are one act")
                .isEqualTo(steps + 1);
        shop.undo();
        assertThat(hall().numbers()).isNotEmpty();
        assertThat(hall().day().orElseThrow().steps()).doesNotContain(HallStep.TYPE);
        hall().typed();
        assertThat(hall().day().orElseThrow().steps()).contains(HallStep.TYPE);
        List<String> ofTheHall =
                hall().numbers().stream().map(ProgramConstant::name).toList();
        assertThat(shop.handover().program().toType())
                .extracting(Change::name)
                .as("what was not typed here is still to be typed")
                .contains("KP")
                .doesNotContainAnyElementsOf(ofTheHall);
        shop.handover().program().handOver();
        capture();
        hall().typed();
        assertThat(shop.handover().program().toType())
                .as("all of it is on the robot")
                .isEmpty();
        assertThat(shop.season().setupOrGuess().robot().sensors().get(0).dark())
                .isEqualTo(hall().numbers().stream()
                        .filter(c -> c.name().equals("DARK_0"))
                        .findFirst()
                        .orElseThrow()
                        .value());
        hall().tick(HallStep.SIGN);
        assertThat(hall().nextRun()).isEqualTo(HallStep.SLOW);
        later(60);
        hall().run(HallStep.SLOW, false);
        assertThat(hall().nextRun()).as("it was lost: once more").isEqualTo(HallStep.SLOW);
        int runs = steps();
        hall().run(HallStep.SLOW, true);
        assertThat(steps()).as("the run and its tick are one act").isEqualTo(runs + 1);
        assertThat(hall().nextRun()).isEqualTo(HallStep.REAL);
        hall().run(HallStep.REAL, true);
        assertThat(hall().nextRun()).isEqualTo(HallStep.SPARE);
        assertThat(shop.season().runs()).extracting(Run::partOf).containsOnly(Optional.of(PartOf.NEW_VENUE));
        hall().tick(HallStep.SIGN);
        assertThat(hall().day().orElseThrow().steps()).as("not done after all").doesNotContain(HallStep.SIGN);
    }

    /** Light, then dark, the robot on light all along: the second step is not done, and the numbers stay those of before. */
    @Test
    void aRobotThatWasNotMovedHasCapturedOneSurface() {
        hall().begin(6);
        List<ProgramConstant> before = hall().numbers();
        later(5);
        add(Capture.LIGHT, 712.5, 690.25);
        hall().show();
        assertThat(hall().day().orElseThrow().steps()).containsExactly(HallStep.LIGHT);
        add(Capture.DARK, 712.25, 690.5);
        hall().show();
        hall().show();
        assertThat(hall().day().orElseThrow().steps()).as("dark is not done").containsExactly(HallStep.LIGHT);
        assertThat(hall().alike()).get().isInstanceOf(Finding.TooAlike.class);
        assertThat(hall().fresh()).isFalse();
        assertThat(hall().numbers()).isEqualTo(before);
        hall().typed();
        assertThat(told()).contains("was the robot moved?");
        assertThat(hall().day().orElseThrow().steps()).doesNotContain(HallStep.TYPE);
        later(5);
        add(Capture.DARK, 201.5, 230.25);
        hall().show();
        assertThat(hall().day().orElseThrow().steps()).containsExactlyInAnyOrder(HallStep.LIGHT, HallStep.DARK);
        assertThat(hall().alike()).isEmpty();
        assertThat(hall().fresh()).isTrue();
    }

    private void add(String surface, double left, double right) {
        shop.season().addCaptures(List.of(Shop.capture(surface, clock.now, left, right, shop)));
    }

    /** Readings of two colour sensors. @param surfaces of them, in their order */
    private static String coloured(List<String> surfaces) {
        Map<String, int[]> colours = Map.of(
                "light", new int[] {210, 200, 150}, "dark", new int[] {20, 22, 18}, "mark", new int[] {60, 150, 90});
        StringBuilder text = new StringBuilder("tS,surface,left_r,left_g,left_b,right_r,right_g,right_b");
        for (int i = 0; i < 20 * surfaces.size(); i++) {
            String surface = surfaces.get(i / 20);
            int[] rgb = colours.get(surface);
            text.append(String.format(Locale.ROOT, "%n%.2f,%s", 0.02 * i, surface));
            for (int k = 0; k < 6; k++) {
                text.append(',').append(rgb[k % 3] + (i * (k + 3)) % 3 - 1);
            }
        }
        return text.append('\n').toString();
    }

    /** Marks are captured by their own key; what the program takes them for is worked out here, shown and typed with the levels. */
    @Test
    void marksAreCapturedInTheHallToo() {
        lookForMarks();
        shop.handover().program().handOver(); // at home
        hall().begin(20);
        later(5);
        shop.measure().paste(coloured(List.of("light", "dark")));
        hall().show();
        hall().show();
        hall().show();
        assertThat(hall().day().orElseThrow().steps()).containsExactlyInAnyOrder(HallStep.LIGHT, HallStep.DARK);
        assertThat(hall().numbers()).noneMatch(c -> c.part() != ProgramConstant.Part.LAW);
        later(5);
        shop.measure().paste(coloured(List.of("mark")));
        hall().show();
        hall().show();
        assertThat(hall().day().orElseThrow().steps()).contains(HallStep.MARKS);
        assertThat(hall().numbers())
                .extracting(ProgramConstant::name)
                .as("of one capture each the nearest mean: levels would fit it however the light changes")
                .contains("DARK_0", "L_RED_DARK", "COLOUR_0_0", "COLOUR_2_2");
        assertThat(hall().numbers())
                .as("numbers that nobody could type without a slip")
                .allMatch(c -> Math.abs(c.value()) < 10_000);
        shop.season().club().additions().addRobot(RobotKind.PAIR.setup("Dipper"));
        hall().begin(20);
        later(5);
        shop.measure().paste(coloured(List.of("light", "dark")));
        shop.season().club().takeNext(Sort.ROBOT);
        hall().show();
        assertThat(hall().numbers()).extracting(ProgramConstant::name).contains("L_RED_DARK");
        shop.season().club().takeNext(Sort.ROBOT);
        hall().typed();
        assertThat(shop.season().setupOrGuess().law().options().turnMarks())
                .as("what was worked out for one robot is not put on another")
                .isEmpty();
        shop.season().club().takeNext(Sort.ROBOT);
        hall().show();
        hall().typed();
        TurnMarks here =
                shop.season().setupOrGuess().law().options().turnMarks().orElseThrow();
        assertThat(here.left().scale().dark().get(0)).isCloseTo(20, within(1.0));
        assertThat(here.right().scale().light().get(2)).isCloseTo(150, within(1.0));
        assertThat(here.colours().indexOf("mark")).isNotNegative();
        assertThat(shop.handover().program().toType()).isEmpty();
    }

    /** With no time left nothing is advised that does not fit in it. */
    @Test
    void whatDoesNotFitIsNotAdvised() {
        hall().begin(5);
        later(299);
        assertThat(next()).isEmpty();
        later(60);
        assertThat(hall().leftS()).isEqualTo(-59);
        assertThat(next()).isEmpty();
    }
}
