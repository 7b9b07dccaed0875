package fahrbahn.app.handover;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.app.InWindow;
import fahrbahn.app.club.RobotKind;
import fahrbahn.app.freshness.Freshness.Mark;
import fahrbahn.app.freshness.Station;
import fahrbahn.app.handover.drill.DrillModel;
import fahrbahn.app.handover.program.TypedModel;
import fahrbahn.app.kit.FileAsk;
import fahrbahn.core.drill.Drill;
import fahrbahn.core.drill.DrillFault;
import fahrbahn.core.drill.Offer;
import fahrbahn.core.hall.HallDay;
import fahrbahn.core.hall.HallStep;
import fahrbahn.core.language.Language;
import fahrbahn.core.program.Grain;
import fahrbahn.core.program.HandOver;
import fahrbahn.core.trials.PartOf;
import fahrbahn.core.trials.Run;
import fahrbahn.store.document.Kinds;
import fahrbahn.words.Words;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Labeled;
import javafx.scene.image.ImageView;
import javafx.scene.input.Clipboard;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.BorderPane;
import org.junit.jupiter.api.Test;

/** From the station's numbers to the robot's program and back, by keys. */
class HandoverPagesTest extends InWindow {
    private void toHandover(String page) throws Exception {
        go(Station.HANDOVER);
        page(page);
    }

    private void gains(double kp) throws Exception {
        onWindow(() -> {
            shop().gains().choice().choose(kp, 0, 0.9);
            return null;
        });
    }

    /** Names of what is still to be typed. */
    private List<String> toType() {
        return shop().handover().program().toType().stream()
                .map(HandOver.Change::name)
                .toList();
    }

    private String said(String name) {
        return ((Labeled) robot.lookup("#typed-" + name + "-said").query()).getText();
    }

    @Test
    void numbersAreHandedOverAndWhatChangesIsMarked() throws Exception {
        gains(0.3);
        toHandover("program");
        assertThat(mark(Station.HANDOVER)).isEqualTo(Mark.MISSING);
        assertThat(toType()).contains("KP", "KD");
        assertThat(text("program")).contains("KP = 0.3");
        robot.type(KeyCode.U);
        until(
                "handed over",
                () -> shop().season().state().document(Kinds.HANDED).kept().isPresent());
        until("all there", () -> toType().isEmpty());
        gains(0.45);
        until("marked", () -> toType().equals(List.of("KP")));
        until("stale", () -> mark(Station.HANDOVER) == Mark.STALE);
        assertThat(robot.lookup("#programNumbers .label").queryAllAs(Labeled.class).stream()
                        .map(Labeled::getText))
                .contains("new", "per loop; was 0.3");
        undo();
        until("as handed over", () -> toType().isEmpty());
    }

    @Test
    void theProgramIsInTheTeamsLanguageWithItsNumbers() throws Exception {
        gains(0.317);
        toHandover("program");
        for (Language language : Language.values()) {
            choose("programLanguage", language == Language.PYTHON ? new KeyCode[] {} : new KeyCode[] {KeyCode.DOWN});
            until(language.word(), () -> shop().handover().program().style().language() == language);
            assertThat(text("program")).contains("0.317");
        }
        onWindow(() -> {
            ((ComboBox<?>) robot.lookup("#programGrain").query())
                    .getSelectionModel()
                    .select(Grain.ONE.ordinal());
            return null;
        });
        until(
                "judged by the twin",
                () -> text("programRounding").contains("KP becomes 0.3 from 0.317")
                        && text("programRounding").contains("runs"));
        assertThat(text("program")).contains("0.3");
        onWindow(() -> {
            robot.lookup("#verdict").query().requestFocus();
            robot.lookup("#verdict").query().getScene().getRoot().requestFocus();
            return null;
        });
        robot.type(KeyCode.C);
        until(
                "copied",
                () -> text("program").equals(Clipboard.getSystemClipboard().getString()));
    }

    @Test
    void aSlipInWhatWasTypedIsNamed() throws Exception {
        gains(0.63);
        toHandover("read-back");
        typeIn("typed-kp", "6.3");
        until(
                "slipped",
                () -> said("kp").contains("10 times too large") && said("kp").contains("0.63"));
        assertThat(text("typedState")).startsWith("1 slip");
        typeIn("typed-kp", "0.63");
        until("right", () -> said("kp").equals("right"));
        onWindow(() -> {
            shop().handover()
                    .program()
                    .taken()
                    .get()
                    .orElseThrow()
                    .constants()
                    .forEach(c -> shop().handover().typed().type(c.name(), Words.exact(c.value())));
            return null;
        });
        until("all of them", () -> {
            TypedModel.Checked checked =
                    shop().handover().typed().checkedProperty().get();
            return checked.typed() == checked.wanted().size() && checked.slips().isEmpty();
        });
    }

    @Test
    void theCardIsSeenAndSaved() throws Exception {
        toHandover("pit-card");
        until("drawn", () -> ((ImageView) robot.lookup("#card").query()).getImage() != null);
        assertThat(onWindow(() -> shop().handover()
                        .card()
                        .shown()
                        .get()
                        .orElseThrow()
                        .card()
                        .stale()))
                .isNotEmpty();
        Path pdf = home.resolve("card.pdf");
        onWindow(() -> {
            FileAsk.standIn(robot.lookup("#card").query().getScene().getWindow(), chooser -> pdf.toFile());
            return null;
        });
        robot.type(KeyCode.V);
        until("saved", () -> Files.exists(pdf) && text("notice").contains("card.pdf"));
        double whole =
                onWindow(() -> robot.lookup("#card").query().getLayoutBounds().getWidth());
        robot.type(KeyCode.Z);
        until("closer", () -> robot.lookup("#card").query().getLayoutBounds().getWidth() > 1.2 * whole);
    }

    private Set<HallStep> hallSteps() {
        return shop().handover().hall().day().map(HallDay::steps).orElse(Set.of());
    }

    private void typeReadings(String left, String right) throws Exception {
        until("asked", () -> robot.lookup("#typedReadings").query().isFocused());
        robot.write(left).type(KeyCode.ENTER);
        robot.write(right).type(KeyCode.ENTER);
    }

    /** A new season, no cable: from minutes to the spare run by keys alone, each key a step, and the numbers are on the robot. */
    @Test
    void aNewHallIsPassedByKeys() throws Exception {
        onWindow(() -> {
            shop().season().club().additions().addRobot(RobotKind.PAIR.setup("Wren"));
            return null;
        });
        toHandover("new-venue");
        robot.type(KeyCode.B);
        until("the clock runs", () -> text("hallClock").matches("[45]:\\d\\d"));
        until("light first", () -> text("hallNow").contains("press L"));
        robot.type(KeyCode.L);
        typeReadings("701 704 699 702", "688 690 687 689");
        until("dark next", () -> text("hallNow").contains("press D"));
        robot.type(KeyCode.D);
        typeReadings("151 149 150 152", "160 158 161 159");
        until(
                "the twin has driven both",
                () -> shop().handover().hall().worth().get().isPresent());
        assertThat(hallSteps()).containsExactlyInAnyOrder(HallStep.LIGHT, HallStep.DARK);
        until(
                "the numbers are there",
                () -> robot.lookup("#hallNumbers .label").queryAllAs(Labeled.class).stream()
                        .anyMatch(l -> l.getText().equals("150.5")));
        robot.type(KeyCode.T);
        until("typed", () -> hallSteps().contains(HallStep.TYPE));
        assertThat(shop().season().setupOrGuess().robot().sensors().get(0).dark())
                .isEqualTo(150.5);
        assertThat(shop().season().state().document(Kinds.HANDED).kept()).isPresent();
        until("the sign", () -> text("hallNow").contains("Press G"));
        robot.type(KeyCode.G);
        until("a slow run", () -> shop().handover().hall().nextRun() == HallStep.SLOW);
        robot.type(KeyCode.X);
        until("logged as lost", () -> shop().season().runs().size() == 1);
        assertThat(hallSteps()).doesNotContain(HallStep.SLOW);
        robot.type(KeyCode.R);
        until("it ran", () -> hallSteps().contains(HallStep.SLOW));
        until("in earnest", () -> shop().handover().hall().nextRun() == HallStep.REAL);
        robot.type(KeyCode.R);
        until("ran again", () -> hallSteps().contains(HallStep.REAL));
        robot.type(KeyCode.R);
        until("and a spare one", () -> hallSteps().contains(HallStep.SPARE));
        assertThat(shop().season().runs()).extracting(Run::partOf).containsOnly(Optional.of(PartOf.NEW_VENUE));
        undo();
        until("taken back", () -> !hallSteps().contains(HallStep.SPARE));
        robot.type(KeyCode.E);
        until("over", () -> shop().handover().hall().day().isEmpty());
    }

    /** Ticked by thumb; what was forgotten comes first the next time; one more thing is added, and all of it printed. */
    @Test
    void aListIsTickedAndLearns() throws Exception {
        toHandover("lists");
        until("shown", () -> text("listTitle").equals("List for packing"));
        robot.type(KeyCode.SPACE);
        until("one less", () -> text("listState").equals("5 things are left."));
        robot.type(KeyCode.DOWN).type(KeyCode.O);
        until(
                "it stands first",
                () -> shop().handover().lists().list().items().get(0).forgotten() == 1);
        assertThat(shop().handover().lists().list().items().get(0).words()).contains("charger");
        robot.type(KeyCode.A);
        until("asked", () -> robot.lookup("#listWords").query().isFocused());
        robot.write("flag").type(KeyCode.ENTER);
        until("added", () -> shop().handover().lists().list().items().size() == 7);
        robot.type(KeyCode.R);
        until("anew", () -> text("listState").equals("7 things are left."));
        robot.type(KeyCode.G);
        until("the next list", () -> text("listTitle").equals("List for arriving"));
        Path pdf = home.resolve("list.pdf");
        onWindow(() -> {
            FileAsk.standIn(robot.lookup("#listRows").query().getScene().getWindow(), chooser -> pdf.toFile());
            return null;
        });
        robot.type(KeyCode.V);
        until("printed", () -> Files.exists(pdf) && text("notice").contains("list.pdf"));
    }

    /** Round by round into the log book; in the quiet between two nothing moves, and turning the page ends it. */
    @Test
    void roundsAreKeptAndItCanBeQuiet() throws Exception {
        toHandover("rounds");
        until("the first", () -> text("roundNext").startsWith("Round 1"));
        robot.type(KeyCode.A);
        until("asked", () -> robot.lookup("#roundWords").query().isFocused());
        robot.write("slow start").type(KeyCode.ENTER);
        robot.type(KeyCode.R);
        until("the second", () -> text("roundNext").startsWith("Round 2"));
        robot.type(KeyCode.X);
        until("the third", () -> text("roundNext").startsWith("Round 3"));
        assertThat(shop().season().runs()).extracting(Run::note).containsExactly("slow start", "");
        assertThat(text("roundSoFar")).startsWith("1 of 2 rounds finished");
        robot.type(KeyCode.Q);
        until(
                "quiet",
                () -> robot.lookup("#roundSoFar").queryAll().stream()
                                .noneMatch(n -> n.getParent().getParent().isVisible())
                        && text("roundNext").contains("Nothing to do"));
        assertThat(onWindow(() -> ((BorderPane)
                                robot.lookup("#verdict").query().getScene().getRoot())
                        .getBottom()))
                .isNull();
        page("lists");
        until(
                "awake",
                () -> ((BorderPane) robot.lookup("#verdict").query().getScene().getRoot()).getBottom() != null);
    }

    /** A drill by keys: drawn, answered once, the reason told, the score kept for who answered. */
    @Test
    void aDrillIsAnsweredByOneKey() throws Exception {
        toHandover("drills");
        onWindow(() -> {
            shop().handover().drills().who("Ada");
            shop().handover().drills().show(3, DrillFault.SATURATED);
            return null;
        });
        until("shown", () -> shop().handover().drills().drillProperty().get().isPresent());
        robot.type(KeyCode.C);
        until("asked what next", () -> text("drillState").startsWith("You say crease. What would you do next?"));
        robot.type(KeyCode.T);
        List<Offer> offers =
                shop().handover().drills().drillProperty().get().orElseThrow().offers();
        int wrong = offers.get(0).mends() ? 1 : 0;
        robot.type(List.of(KeyCode.F, KeyCode.J).get(wrong));
        until("answered", () -> text("drillState").startsWith("It was not crease. It is saturated. Sensor"));
        assertThat(text("drillState")).contains("it shows as before. Rather 'hold the sensor higher");
        robot.type(KeyCode.K);
        assertThat(shop().season()
                        .state()
                        .document(Kinds.DRILLS)
                        .kept()
                        .orElseThrow()
                        .answers()
                        .get(0)
                        .mended())
                .as("the first counts")
                .contains(false);
        assertThat(shop().season()
                        .state()
                        .document(Kinds.DRILLS)
                        .kept()
                        .orElseThrow()
                        .answers())
                .hasSize(1);
        robot.type(KeyCode.SPACE);
        until(
                "another",
                () -> shop().handover().drills().drillProperty().get().isPresent()
                        && text("drillState").startsWith("What is wrong"));
        DrillFault fault =
                shop().handover().drills().drillProperty().get().orElseThrow().fault();
        assertThat(fault).as("not the same again").isNotEqualTo(DrillFault.SATURATED);
        onWindow(() -> {
            DrillModel drills = shop().handover().drills();
            drills.say(fault);
            Drill drill = drills.drillProperty().get().orElseThrow();
            drills.act(drill.offers().indexOf(drill.cure()));
            return null;
        });
        until("right", () -> text("drillState").startsWith("Right"));
        assertThat(text("drillState")).contains("Next, right: ").containsIgnoringCase("nothing shows any more");
        assertThat(shop().season()
                        .state()
                        .document(Kinds.DRILLS)
                        .kept()
                        .orElseThrow()
                        .answers())
                .as("the second was seen, and mended")
                .hasSize(2)
                .last()
                .matches(a -> a.mended().equals(java.util.Optional.of(true)));
    }
}
