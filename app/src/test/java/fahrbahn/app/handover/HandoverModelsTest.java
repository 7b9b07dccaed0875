package fahrbahn.app.handover;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import fahrbahn.app.InShop;
import fahrbahn.app.Shop;
import fahrbahn.app.club.RobotKind;
import fahrbahn.app.handover.drill.DrillModel;
import fahrbahn.app.handover.lists.ListModel;
import fahrbahn.app.handover.lists.RoundsModel;
import fahrbahn.app.runs.QuickLog.Typed;
import fahrbahn.app.season.Sort;
import fahrbahn.app.season.Verdict;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.drill.Drill;
import fahrbahn.core.drill.DrillFault;
import fahrbahn.core.drill.DrillScore.Answer;
import fahrbahn.core.drill.Offer;
import fahrbahn.core.hall.Checklist;
import fahrbahn.core.hall.Checklist.Occasion;
import fahrbahn.core.hall.HallStep;
import fahrbahn.core.language.Language;
import fahrbahn.core.program.Grain;
import fahrbahn.core.program.HandOver.Change;
import fahrbahn.core.program.ProgramConstant;
import fahrbahn.core.program.TypedBack;
import fahrbahn.core.quality.Finding;
import fahrbahn.core.readings.Capture;
import fahrbahn.core.setup.TurnMarks;
import fahrbahn.core.trials.PartOf;
import fahrbahn.core.trials.Run;
import java.nio.file.Files;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Hand-over's pages without a window: numbers, hall, lists, rounds and drills, and what is left of them when the season is opened again. */
class HandoverModelsTest extends InShop {
    @BeforeEach
    void open() throws Exception {
        shop.season().club().additions().addRobot(RobotKind.PAIR.setup("Wren"));
    }

    private void run(boolean completed) {
        later(90);
        shop.runs().log().log(completed, Typed.NOTHING);
    }

    private void capture() {
        later(5);
        shop.season()
                .addCaptures(List.of(
                        Shop.capture(Capture.DARK, clock.now, 201.5, 230.25, shop),
                        Shop.capture(Capture.LIGHT, clock.now, 712.5, 690.25, shop)));
    }

    private Verdict verdict() {
        return shop.handover().verdictProperty().get();
    }

    /** Captured twice on the same surface: the card does not pass over it. */
    @Test
    void aCardSaysThatDarkAndLightAreTooAlike() {
        later(5);
        shop.season()
                .addCaptures(List.of(
                        Shop.capture(Capture.DARK, clock.now, 700, 690, shop),
                        Shop.capture(Capture.LIGHT, clock.now, 700, 690, shop)));
        shop.handover().card().shown().show();
        assertThat(shop.handover().card().shown().get().orElseThrow().card().stale())
                .anyMatch(line -> line.startsWith("Dark and light: Sensor left"));
        capture();
        shop.handover().card().shown().show();
        assertThat(shop.handover().card().shown().get().orElseThrow().card().stale())
                .noneMatch(line -> line.startsWith("Dark and light: Sensor left"));
    }

    @Test
    void whatIsHandedOverIsRememberedByRobotAndCanBeTakenBack() throws Exception {
        assertThat(verdict().tone()).isEqualTo(Verdict.Tone.OPEN);
        int all = shop.handover().toType().size();
        assertThat(verdict().sentence()).startsWith(all + " numbers go into the program of Wren");
        shop.handover().handOver();
        assertThat(shop.handover().toType()).isEmpty();
        assertThat(verdict().tone()).isEqualTo(Verdict.Tone.GOOD);
        shop.season()
                .changeSetup(s -> s.withLaw(s.law().withGains(0.45, 0, s.law().kd())));
        assertThat(shop.handover().toType()).extracting(Change::name).containsExactly("KP");
        assertThat(verdict().tone()).isEqualTo(Verdict.Tone.CARE);
        assertThat(verdict().sentence()).contains("type it, then press U");
        shop.undo();
        assertThat(shop.handover().toType()).isEmpty();
        shop.undo();
        assertThat(shop.handover().handedOver()).as("taken back").isFalse();
        shop.handover().handOver();
        shop.season().club().additions().addRobot(RobotKind.EDGE.setup("Dipper"));
        assertThat(shop.handover().handedOver()).as("of another robot").isFalse();
        reopen();
        shop.season().club().takeNext(Sort.ROBOT);
        assertThat(shop.handover().handedOver())
                .as("of the first, on another day")
                .isTrue();
    }

    @Test
    void numbersThatTheProgramCannotTakeAreSaidAndNothingIsHandedOver() throws Exception {
        shop.handover().language(Language.BLOCKS);
        shop.handover().grain(Grain.WHOLE);
        shop.season().changeSetup(s -> s.withLaw(s.law().withBaseCommand(0.3)));
        assertThat(shop.handover().taken().value().refusal()).contains("base command", "whole numbers");
        assertThat(verdict().tone()).isEqualTo(Verdict.Tone.STOP);
        shop.handover().handOver();
        assertThat(told()).contains("base command");
        assertThat(shop.handover().handedOver()).isFalse();
        shop.handover().save(folder.resolve("law.txt"));
        assertThat(folder.resolve("law.txt")).doesNotExist();
        shop.handover().grain(Grain.TWO);
        assertThat(shop.handover().taken().value().refusal()).isEmpty();
        shop.handover().save(folder.resolve("law.txt"));
        assertThat(Files.readString(folder.resolve("law.txt"))).contains("BASE", "0.3");
        reopen();
        assertThat(shop.handover().style().grain()).isEqualTo(Grain.TWO);
        assertThat(shop.handover().style().language()).isEqualTo(Language.BLOCKS);
    }

    @Test
    void aCardIsWrittenWholeOrNotAtAll() throws Exception {
        for (String name : List.of("card.pdf", "card.png", "card.svg")) {
            shop.handover().card().save(folder.resolve(name));
            assertThat(told()).contains("Saved as " + name);
            assertThat(Files.size(folder.resolve(name))).isGreaterThan(2000);
        }
        Files.createDirectory(folder.resolve("taken.pdf"));
        shop.handover().card().save(folder.resolve("taken.pdf"));
        assertThat(told()).contains("taken.pdf");
        assertThat(folder.resolve("taken.pdf")).isEmptyDirectory();
    }

    @Test
    void slipsAreNamedAndEachRobotHasItsOwnSheet() {
        TypedModel typed = shop.handover().typed();
        int all = typed.checkedProperty().get().wanted().size();
        double kp = shop.season().setupOrGuess().law().kp();
        typed.type("KP", String.valueOf(10 * kp));
        assertThat(typed.checkedProperty().get().slips())
                .filteredOn(s -> s.handed().name().equals("KP"))
                .singleElement()
                .satisfies(slip -> {
                    assertThat(slip.kind()).isEqualTo(TypedBack.Kind.DECIMAL);
                    assertThat(slip.places()).isEqualTo(1);
                });
        typed.type("KP", String.valueOf(kp).replace('.', ','));
        assertThat(typed.checkedProperty().get().slips())
                .as("a decimal comma is a point")
                .hasSize(all - 1)
                .allMatch(s -> s.kind() == TypedBack.Kind.MISSING);
        typed.type("KD", "two");
        assertThat(typed.checkedProperty().get().problem()).contains("KD", "two");
        typed.type("KD", "");
        assertThat(typed.checkedProperty().get().problem()).isEmpty();
        shop.season().club().additions().addRobot(RobotKind.EDGE.setup("Dipper"));
        assertThat(typed.checkedProperty().get().typed()).isZero();
        assertThat(typed.checkedProperty().get().wanted())
                .extracting(TypedBack.Handed::name)
                .contains("TARGET");
        shop.season().club().takeNext(Sort.ROBOT);
        assertThat(typed.checkedProperty().get().typed()).as("as it was left").isEqualTo(1);
        typed.clear();
        assertThat(typed.checkedProperty().get().typed()).isZero();
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
        assertThat(shop.handover().toType())
                .extracting(Change::name)
                .as("what was not typed here is still to be typed")
                .contains("KP")
                .doesNotContainAnyElementsOf(ofTheHall);
        shop.handover().handOver();
        capture();
        hall().typed();
        assertThat(shop.handover().toType()).as("all of it is on the robot").isEmpty();
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
        shop.handover().handOver(); // at home
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
        assertThat(shop.handover().toType()).isEmpty();
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

    private ListModel lists() {
        return shop.handover().lists();
    }

    private List<String> items() {
        return lists().list().items().stream().map(Checklist.Item::words).toList();
    }

    /** Nobody says that anything was forgotten: that the hall was not captured stands in the log book. */
    @Test
    void aListLearnsWhatWentStaleFromTheLogBook() {
        lists().turn(1);
        assertThat(lists().occasionProperty().get()).isEqualTo(Occasion.ARRIVE);
        assertThat(items().get(0)).startsWith("the venue's rules");
        assertThat(lists().staleThisSeason()).isEmpty();
        shop.season().club().add(Sort.VENUE, "Workshop");
        capture();
        run(true);
        assertThat(lists().staleThisSeason()).isEmpty();
        shop.season().club().add(Sort.VENUE, "Fair hall");
        run(false);
        run(true);
        assertThat(items().get(0)).startsWith("light and dark captured here");
        assertThat(lists().staleThisSeason())
                .containsExactly(
                        "Dark and light were of another venue at 2 of 3 runs of Wren; 1 of them lost, against 0 of the other 1.");
        capture();
        run(true);
        assertThat(lists().staleThisSeason()).singleElement().asString().contains("at 2 of 4 runs");
        shop.undo();
        assertThat(lists().staleThisSeason()).singleElement().asString().contains("at 2 of 3 runs");
        shop.season().club().additions().addRobot(RobotKind.PAIR.setup("Dipper"));
        assertThat(lists().staleThisSeason()).as("of a robot that never ran").isEmpty();
    }

    @Test
    void listsAreTickedEditedAndUndone() throws Exception {
        int all = items().size();
        lists().tick();
        lists().tick();
        assertThat(lists().list().left()).isEqualTo(all - 2);
        lists().move(-1);
        lists().move(-1);
        lists().tick();
        assertThat(lists().list().left()).as("not done after all").isEqualTo(all - 1);
        lists().add("a flag");
        assertThat(items()).last().isEqualTo("a flag");
        shop.undo();
        assertThat(items()).doesNotContain("a flag");
        lists().add("  ");
        assertThat(told()).contains("what is to be done");
        lists().remove();
        assertThat(items()).hasSize(all - 1);
        lists().anew();
        assertThat(lists().list().left()).isEqualTo(all - 1);
        lists().turn(-1);
        assertThat(lists().occasionProperty().get()).isEqualTo(Occasion.AFTER_RUN);
        reopen();
        assertThat(items()).as("the packing list").hasSize(all - 1);
    }

    @Test
    void roundsAreCountedByDay() {
        RoundsModel rounds = shop.handover().rounds();
        assertThat(rounds.next()).isEqualTo(1);
        rounds.over(true, "slow start");
        later(600);
        rounds.over(false, "");
        run(true);
        assertThat(rounds.rounds()).extracting(Run::note).containsExactly("slow start", "");
        assertThat(rounds.next()).isEqualTo(3);
        later(86_400);
        rounds.first(true, "");
        assertThat(rounds.rounds()).extracting(Run::partOf).containsExactly(Optional.of(new PartOf.Round(1)));
        shop.undo();
        assertThat(rounds.next()).as("of the day before again").isEqualTo(3);
        shop.season().club().additions().addRobot(RobotKind.EDGE.setup("Dipper"));
        assertThat(rounds.next()).as("another robot has rounds of its own").isEqualTo(1);
    }

    private DrillModel drills() {
        return shop.handover().drills();
    }

    private Drill drill() {
        return drills().drillProperty().get().orElseThrow();
    }

    private int offer(boolean mends) {
        for (int i = 0; i < drill().offers().size(); i++) {
            if (drill().offers().get(i).mends() == mends) {
                return i;
            }
        }
        throw new AssertionError("none of " + drill().offers());
    }

    @Test
    void theFirstAnswersCountAndAreKept() throws Exception {
        drills().act(0);
        drills().say(DrillFault.LAG);
        assertThat(drills().score().answers()).as("no drill, no answer").isEmpty();
        drills().show(3, DrillFault.CREASE);
        drills().act(0);
        assertThat(drills().doneProperty().get()).as("first what is wrong").isEmpty();
        drills().say(DrillFault.CREASE);
        drills().say(DrillFault.SATURATED);
        drills().act(offer(false));
        drills().act(offer(true));
        Answer kept = new Answer("", DrillFault.CREASE, DrillFault.CREASE, Optional.of(false));
        assertThat(drills().scoreProperty().get().answers()).containsExactly(kept);
        assertThat(drills().doneProperty().get().map(Offer::mends)).contains(false);
        reopen();
        assertThat(drills().scoreProperty().get().answers()).containsExactly(kept);
    }

    /** The next one lies ready while the reason is read, is another fault, and never the same robot. */
    @Test
    void theNextOneIsDrawnAhead() {
        drills().who("Ada");
        drills().show(3, DrillFault.SATURATED);
        Drill first = drill();
        drills().say(DrillFault.CREASE);
        later(10);
        drills().act(offer(true));
        drills().next();
        assertThat(drill().fault()).isNotEqualTo(DrillFault.SATURATED);
        assertThat(drill().seed()).isEqualTo(clock.now.toEpochMilli()).isNotEqualTo(first.seed());
        assertThat(drills().answerProperty().get()).isEmpty();
        drills().say(drill().fault());
        drills().who("Ben");
        assertThat(drills().score().answers()).isEmpty();
        drills().act(offer(true));
        assertThat(drills().scoreProperty().get().of("Ada").answers())
                .as("who began it is who answered it")
                .hasSize(2);
        drills().show(3, DrillFault.SATURATED);
        assertThat(drill().evidence()).as("a seed that was noted").isEqualTo(first.evidence());
    }
}
