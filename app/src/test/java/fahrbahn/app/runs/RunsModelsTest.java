package fahrbahn.app.runs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import fahrbahn.app.InShop;
import fahrbahn.app.Shop;
import fahrbahn.app.club.RobotKind;
import fahrbahn.app.runs.QuickLog.Typed;
import fahrbahn.app.runs.compare.CompareModel;
import fahrbahn.app.runs.compare.CompareModel.Compared;
import fahrbahn.app.runs.plan.PlanItem;
import fahrbahn.app.runs.plan.PlanModel;
import fahrbahn.app.season.Sort;
import fahrbahn.app.shell.Workshop;
import fahrbahn.app.state.Value;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.plan.Block;
import fahrbahn.core.plan.Block.What;
import fahrbahn.core.trials.Run;
import fahrbahn.store.exchange.SeasonJson;
import java.awt.image.BufferedImage;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** The log book's pages without a window: searched, mended, compared, planned, written and read. */
class RunsModelsTest extends InShop {
    @BeforeEach
    void open() throws Exception {
        shop.season().club().additions().addRobot(RobotKind.PAIR.setup("Wren"));
    }

    private QuickLog log() {
        return shop.runs().log();
    }

    private BookModel book() {
        return shop.runs().book();
    }

    private List<Run> runs() {
        return shop.runs().runs();
    }

    private void run(boolean completed, Typed typed) {
        later(90);
        log().log(completed, typed);
    }

    private static Typed timed(String time) {
        return new Typed(time, "", "", "", "", "");
    }

    @Test
    void voltsThatWereReadAreOfTheRunAndOfTheRobotAsOneStep() {
        run(true, new Typed("20", "", "", "", "7,6", ""));
        assertThat(runs().get(0).volts()).isEqualTo(7.6);
        assertThat(shop.season().conditionsProperty().get().batteryV()).isEqualTo(7.6);
        shop.undo();
        assertThat(runs()).isEmpty();
        assertThat(shop.season().conditionsProperty().get().batteryV()).isNaN();
        assertThatThrownBy(() -> log().log(true, new Typed("", "", "", "", "full", "")))
                .isInstanceOf(BadValueException.class)
                .hasMessageContaining("the battery");
    }

    @Test
    void aRunIsMendedTakenOutAndBroughtBackAndItsHistoryStays() {
        run(true, timed("20"));
        run(false, new Typed("", "", "", "1.2 m", "", ""));
        book().show();
        Run first = runs().get(0);
        book().take(first);
        later(60);
        book().mend(outcome -> outcome.withTimeS(21.5));
        book().mendNote("the clock was late #clock");
        assertThat(runs().get(0).outcome().timeS()).isEqualTo(21.5);
        assertThat(runs().get(0).tags()).containsExactly("#clock");
        assertThat(runs().get(0).at()).as("when it was run is not mended").isEqualTo(first.at());
        List<Double> times = new java.util.ArrayList<>();
        shop.season()
                .logBook()
                .history(
                        runs().get(0),
                        states -> states.forEach(
                                s -> times.add(s.getValue().outcome().timeS())));
        assertThat(times).containsExactly(20.0, 21.5, 21.5);
        book().show();
        book().takeOut();
        assertThat(runs()).hasSize(1);
        shop.undo();
        assertThat(runs()).hasSize(2);
        assertThat(runs().get(0).outcome().timeS()).isEqualTo(21.5);
        book().show();
        book().take(runs().get(1));
        book().mendLostAt("");
        assertThat(runs().get(1).outcome().lostMm()).isNaN();
        assertThatThrownBy(() -> book().mendLostAt("nowhere")).hasMessageContaining("where it was lost");
    }

    @Test
    void theBookIsSearchedAndSorted() {
        run(true, timed("22").withNote("#wet"));
        run(true, timed("20"));
        run(false, new Typed("", "", "", "0.4 m", "", ""));
        book().show();
        assertThat(shown()).extracting(Run::at).isSortedAccordingTo((a, b) -> b.compareTo(a));
        book().sort(BookModel.Order.FASTEST);
        assertThat(shown()).extracting(r -> r.outcome().timeS()).containsExactly(20.0, 22.0, Double.NaN);
        book().search("lost");
        assertThat(shown()).hasSize(1);
        book().search("#wet time>21");
        assertThat(shown()).hasSize(1);
        assertThatThrownBy(() -> book().search("speed>1")).hasMessageContaining("'speed'");
    }

    @Test
    void aPhotographIsKeptWithItsRunAndSurvives() throws Exception {
        Path file = folder.resolve("p.jpg");
        ImageIO.write(new BufferedImage(2000, 1000, BufferedImage.TYPE_INT_RGB), "jpg", file.toFile());
        run(true, Typed.NOTHING);
        book().show();
        book().take(runs().get(0));
        book().addPhoto(file);
        book().show();
        String id = runs().get(0).photo().orElseThrow();
        assertThat(shop.season().logBook().photo(id)).isPresent();
        reopen();
        assertThat(shop.season().logBook().photo(runs().get(0).photo().orElseThrow()))
                .isPresent();
        book().show();
        book().take(runs().get(0));
        book().addPhoto(Files.writeString(folder.resolve("no.png"), "no picture"));
        assertThat(told()).contains("no.png");
    }

    private Value<Compared> shownCompared() {
        shop.runs().compare().show();
        return shop.runs().compare().compared().value();
    }

    private Compared compared() {
        return shownCompared().ready().orElseThrow();
    }

    private List<Run> shown() {
        book().show();
        return book().shown().get().orElseThrow();
    }

    @Test
    void typedRunsAreComparedWithoutALogBook() {
        shop.runs().compare().type("0 of 10 missed", "3 of 10 missed");
        assertThat(compared().comparison().completion().shown()).isFalse();
        assertThat(compared().comparison().completion().moreRunsEach()).isEqualTo(11);
        assertThat(compared().changed()).isEmpty();
        shop.runs().compare().type("12.3 12.1 12.2 12.4", "10.1 10.3 x 10.2");
        assertThat(compared().comparison().timeS().shown()).isTrue();
        shop.runs().compare().type("12.3 fast", "10.1");
        assertThat(shownCompared().ready()).isEmpty();
    }

    /** One lap each tells nothing before it is known how much laps scatter: typed, or from the log book. */
    @Test
    void oneLapEachIsJudgedByTheScatterOfOtherLaps() throws Exception {
        CompareModel compare = shop.runs().compare();
        compare.type("12.1", "11.4");
        assertThat(compared().unjudged()).isTrue();
        assertThat(compared().comparison().timeS().p()).isNaN();
        compare.typeScatter("0,2");
        assertThat(compared().comparison().timeS().shown()).isTrue();
        compare.typeScatter("0.6");
        assertThat(compared().comparison().timeS().shown()).isFalse();
        assertThat(compared().comparison().timeS().moreRunsEach()).isBetween(11, 13);
        compare.typeScatter("a lot");
        assertThat(shownCompared().refusal()).contains("a lot");
        compare.typeScatter("");
        for (String lap : List.of("11.9", "12.1", "12", "12.2")) {
            run(true, timed(lap));
        }
        compare.type("12.1", "11.4");
        assertThat(compared().scatter().orElseThrow().known().freedom()).isEqualTo(3);
        assertThat(compared().unjudged()).isFalse();
    }

    /** Written, read by another season, and written again it is the same; read twice it is there once. */
    @Test
    void theLogBookGoesOutAndComesBack() throws Exception {
        run(true, new Typed("22", "1.5", "-2", "", "", "a, \"b\" #c"));
        run(false, new Typed("", "", "", "0.4 m", "7.9", ""));
        Path json = folder.resolve("runs.json");
        Path csv = folder.resolve("runs.csv");
        List<Run> before = List.copyOf(runs());
        book().files().save(before, json);
        book().files().save(before, csv);
        book().files().open(json);
        assertThat(told()).contains("0 runs added", "2 were in the log book already");
        for (Path file : List.of(json, csv)) {
            Workshop other = Shop.open(folder.resolve(file.getFileName() + ".fahrbahn"), clock);
            other.season().club().additions().addRobot(RobotKind.PAIR.setup("Wren"));
            other.runs().book().files().open(file);
            assertThat(other.notices().shownProperty().get()).contains("2 runs added");
            List<Run> there = other.runs().runs();
            assertThat(there)
                    .extracting(Run::outcome)
                    .isEqualTo(before.stream().map(Run::outcome).toList());
            assertThat(there)
                    .extracting(Run::at)
                    .isEqualTo(before.stream().map(Run::at).toList());
            assertThat(there)
                    .extracting(Run::note)
                    .isEqualTo(before.stream().map(Run::note).toList());
            assertThat(there).allMatch(r -> r.setting().equals(before.get(0).setting()));
            other.close();
        }
        Workshop stranger = Shop.open(folder.resolve("stranger.fahrbahn"), clock);
        stranger.season().club().additions().addRobot(RobotKind.PAIR.setup("Smew"));
        stranger.runs().book().files().open(csv);
        assertThat(stranger.notices().shownProperty().get()).contains("'Wren'", "add it on the club's list");
        assertThat(stranger.runs().runs()).isEmpty();
        stranger.close();
    }

    private String tableInHand() {
        return shop.season().basisNow().table().name();
    }

    private PlanModel plan() {
        return shop.runs().plan();
    }

    private List<Block> left() {
        return plan().onItsWayProperty().get().orElseThrow().left().blocks();
    }

    /** Laps and resets come from the log; a run that is logged is done in the plan, and both are taken back as one step. */
    @Test
    void aPlanFollowsTheLogBook() {
        for (int i = 0; i < 5; i++) {
            run(true, timed("30"));
        }
        plan().begin();
        assertThat(left()).hasSize(11).first().extracting(Block::what).isEqualTo(What.CHECK);
        assertThat(left().get(1).endS() - left().get(1).startS())
                .as("lap and reset, learned")
                .isEqualTo(90);
        assertThat(plan().nextForRobot()).contains("Wren", tableInHand(), "confirm: Kp");
        later(60);
        plan().done();
        assertThat(left()).hasSize(10);
        run(true, timed("31"));
        assertThat(left()).hasSize(9);
        assertThat(runs()).hasSize(6);
        shop.undo();
        assertThat(left()).hasSize(10);
        assertThat(runs()).hasSize(5);
        shop.gains().choice().choose(9, 0, 9);
        run(true, Typed.NOTHING);
        assertThat(left()).as("another setting than the plan asks for").hasSize(10);
        plan().end();
        assertThat(plan().onItsWayProperty().get()).isEmpty();
        assertThat(plan().nextForRobot()).isEmpty();
    }

    /** Time slips: what is left is planned from now on, and what finds no room any more is told. */
    @Test
    void aPlanThatSlipsIsMadeAnew() {
        plan().change(PlanItem.MINUTES, 20);
        plan().change(PlanItem.LAP, 30);
        plan().change(PlanItem.RESET, 60);
        plan().begin();
        assertThat(plan().verdict()).contains("0 runs made, 10 planned", "All of it fits");
        clock.now = clock.now.plusSeconds(15 * 60);
        plan().watch();
        assertThat(told()).contains("Running late");
        assertThat(left()).allMatch(b -> b.startS() >= 15 * 60 && b.endS() <= 20 * 60);
        assertThat(plan().verdict()).contains("have no room");
        clock.now = clock.now.plusSeconds(6 * 60);
        assertThat(plan().verdict()).startsWith("Time is up.");
        run(true, Typed.NOTHING);
        assertThat(runs()).as("logged all the same").hasSize(1);
    }

    /** Two robots of one crew and one of another: nobody is at two places; tuned from the start they climb the ladder. */
    @Test
    void severalRobotsShareTables() {
        String wren = shop.season().selection().get().robot();
        String smew = shop.season().club().additions().addRobot(RobotKind.PAIR.setup("Smew"));
        plan().aim(wren, PlanModel.Aim.TUNE);
        plan().aim(smew, PlanModel.Aim.COMPARE);
        plan().change(PlanItem.MINUTES, 90);
        plan().tables("2");
        plan().change(PlanItem.RUNS_EACH, 4);
        plan().change(PlanItem.BATTERY_RUNS, 5);
        plan().change(PlanItem.LAMPS, 10);
        assertThatThrownBy(() -> plan().change(PlanItem.RUNS_EACH, 1.5)).hasMessageContaining("a whole number");
        assertThatThrownBy(() -> plan().change(PlanItem.MINUTES, -1)).hasMessageContaining("minutes");
        plan().begin();
        assertThat(left())
                .extracting(Block::what)
                .contains(
                        What.STRAIGHT,
                        What.BENDS,
                        What.KP_STEP,
                        What.KD_STEP,
                        What.CONFIRM,
                        What.RUN,
                        What.BATTERY,
                        What.CALIBRATE);
        assertThat(shop.season().club().entries(Sort.ROBOT)).hasSize(2);
        assertThat(left().stream().map(Block::robot).distinct()).contains("Wren", "Smew");
        assertThat(left().stream().map(Block::table).distinct()).contains(tableInHand() + " 1", tableInHand() + " 2");
        plan().tables("Gym, Hall , Gym");
        plan().begin();
        assertThat(left().stream().map(Block::table).distinct()).containsExactlyInAnyOrder("Gym", "Hall");
        plan().tables("0");
        plan().begin();
        assertThat(told()).contains("tables");
    }

    @Test
    void aPlanGoesOnTheWallAndIntoACalendar() throws Exception {
        plan().begin();
        Path pdf = folder.resolve("plan.pdf");
        plan().save(pdf);
        try (var document = Loader.loadPDF(pdf.toFile())) {
            assertThat(new PDFTextStripper().getText(document)).contains("Plan of trials", "Wren", "confirm: Kp");
        }
        Path ics = folder.resolve("plan.ics");
        plan().save(ics);
        assertThat(Files.readString(ics)).contains("BEGIN:VEVENT").contains("Wren");
    }

    /** What changed and what it brought on paper; every document as an open file, with the runs as a table, and back. */
    @Test
    void theSeasonIsReportedAndGoesOutWhole() throws Exception {
        for (int i = 0; i < 4; i++) {
            run(i > 0, timed("2" + i));
        }
        Path pdf = folder.resolve("season.pdf");
        shop.runs().book().files().report(pdf);
        try (var document = Loader.loadPDF(pdf.toFile())) {
            assertThat(new PDFTextStripper().getText(document))
                    .contains("The season of Wren", "4 runs in 1 stretch", "finished 3 of 4", "likely range");
        }
        Path json = folder.resolve("whole.json");
        shop.runs().book().files().whole(json);
        assertThat(told()).contains("whole.json");
        assertThat(Files.readString(folder.resolve("whole runs.csv")).lines()).hasSize(5);
        Path again = folder.resolve("again.fahrbahn");
        SeasonJson.into(json, again, clock);
        Workshop back = Shop.open(again, clock);
        assertThat(back.season().runs()).isEqualTo(runs());
        assertThat(back.season().setupOrGuess()).isEqualTo(shop.season().setupOrGuess());
        back.close();
    }

    @Test
    void theNextTrialOfGainsIsNamed() {
        plan().aim(shop.season().selection().get().robot(), PlanModel.Aim.NEXT);
        plan().begin();
        later(1);
        assertThat(plan().nextForRobot()).contains("the next trial of Gains");
    }
}
