package fahrbahn.app.shell;

import static org.assertj.core.api.Assertions.assertThat;

import fahrbahn.app.HandClocks;
import fahrbahn.app.InShop;
import fahrbahn.app.freshness.Freshness;
import fahrbahn.app.freshness.Station;
import fahrbahn.app.runs.QuickLog;
import fahrbahn.app.season.OpenSeason;
import fahrbahn.app.season.Verdict;
import fahrbahn.core.readings.Capture;
import fahrbahn.core.readings.Reading;
import fahrbahn.store.season.SeasonFile;
import fahrbahn.store.season.SeasonFiles;
import fahrbahn.words.Words;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** The models without a window: everything runs at once, on the thread of the test. */
class WorkshopTest extends InShop {
    private Capture capture(String surface, double... pattern) {
        List<Reading> readings = new ArrayList<>();
        for (int i = 0; i < 30; i++) {
            double value = pattern[i % pattern.length];
            readings.add(new Reading(i * 0.01, surface, Double.NaN, new double[] {value, value + 7}));
        }
        return new Capture(
                surface + clock.instant(), surface, clock.instant(), "test", List.of("left", "right"), readings);
    }

    private Freshness.Mark mark(Station station) {
        return shop.station(station).freshnessProperty().get().mark();
    }

    private Verdict verdict(Station station) {
        return shop.station(station).verdictProperty().get();
    }

    @Test
    void anEmptySeasonSaysWhatToDoFirst() {
        for (Station station : Station.values()) {
            assertThat(mark(station)).isEqualTo(Freshness.Mark.MISSING);
            assertThat(verdict(station).sentence()).isNotBlank();
        }
        assertThat(verdict(Station.ROBOT).sentence()).contains("Typical values");
    }

    @Test
    void capturesOfAnotherDayAreStale() {
        shop.season().addCaptures(List.of(capture("dark", 200, 202, 204), capture("light", 700, 702, 703)));
        assertThat(mark(Station.MEASURE)).isEqualTo(Freshness.Mark.FRESH);
        clock.now = clock.now.plus(Duration.ofHours(20));
        shop.minute();
        assertThat(mark(Station.MEASURE)).isEqualTo(Freshness.Mark.STALE);
        assertThat(shop.measure().freshnessProperty().get().reason()).isEqualTo("it is 20 hours old");
    }

    @Test
    void surfacesTooAlikeStopTheWork() {
        shop.season().addCaptures(List.of(capture("dark", 200, 230, 215), capture("light", 220, 255, 240)));
        assertThat(verdict(Station.MEASURE).tone()).isEqualTo(Verdict.Tone.STOP);
        assertThat(verdict(Station.LEVELS).tone()).isEqualTo(Verdict.Tone.STOP);
        assertThat(verdict(Station.LEVELS).sentence())
                .contains("between dark and light")
                .contains("Capture it again in Measure (3)");
    }

    @Test
    void tooFastForItsLeadIsToldWithTheDistance() {
        shop.season()
                .changeSetup(s -> s.withRobot(s.robot()
                        .withSensor(0, s.robot().sensors().get(0).withPlace(9, 10))
                        .withSensor(1, s.robot().sensors().get(1).withPlace(9, -10))));
        assertThat(verdict(Station.ROBOT).tone()).isEqualTo(Verdict.Tone.STOP);
        // 200 mm/s * (50 + 10 + 5 ms) = 13 mm.
        assertThat(verdict(Station.ROBOT).sentence()).contains("9 mm ahead", "below 13 mm");
        assertThat(shop.gains().picture().get().orElseThrow().report().wiggle()).isEmpty();
    }

    @Test
    void manyRunsTellTheOddsAndAnotherCoursePutsThemAway() {
        shop.drive().runMany();
        assertThat(shop.drive().runningProperty().get()).isFalse();
        assertThat(shop.drive().progress()).isEqualTo(1);
        assertThat(verdict(Station.DRIVE).sentence()).contains(" of 200 runs on ");
        assertThat(mark(Station.DRIVE)).isEqualTo(Freshness.Mark.GUESS);
        shop.gains().choice().choose(0.0005, 0, 1);
        assertThat(mark(Station.DRIVE)).isEqualTo(Freshness.Mark.STALE);
        shop.drive().runMany();
        assertThat(verdict(Station.DRIVE).tone()).isEqualTo(Verdict.Tone.STOP);
        assertThat(verdict(Station.DRIVE).sentence())
                .contains("0 of 200", "They are lost about 1.", "in the bend of 250 mm");
        shop.drive().choose(shop.drive().courses().get(2));
        assertThat(verdict(Station.DRIVE).tone()).isEqualTo(Verdict.Tone.OPEN);
        shop.drive().run();
        assertThat(verdict(Station.DRIVE).sentence()).contains("Lost in the bend of 220 mm");
        assertThat(shop.drive().canKeep()).isTrue();
    }

    /** A worker that does nothing until told: what is stopped before it began is never shown. */
    @Test
    void stoppedWorkIsNeverShown() throws Exception {
        List<Runnable> waiting = new ArrayList<>();
        SeasonFile file = SeasonFiles.create(folder.resolve("t.fahrbahn"), clock);
        Workshop slow = new Workshop(
                OpenSeason.read(file, Runnable::run, Runnable::run),
                waiting::add,
                Runnable::run,
                new HandClocks().clocks(clock));
        waiting.clear();
        slow.drive().runMany();
        assertThat(slow.drive().runningProperty().get()).isTrue();
        slow.drive().cancel();
        assertThat(slow.drive().runningProperty().get()).isFalse();
        waiting.forEach(Runnable::run);
        assertThat(slow.drive().oddsProperty().get()).isEmpty();
        assertThat(slow.drive().verdictProperty().get().tone()).isEqualTo(Verdict.Tone.OPEN);
        slow.close();
    }

    @Test
    void runsOfOtherSettingsDoNotCount() {
        shop.runs().log().log(true, new QuickLog.Typed("21.5", "", "", "", "", ""));
        assertThat(verdict(Station.RUNS).sentence()).contains("finished 1 of 1 run", "Run 5 more");
        shop.gains().choice().choose(0.3, 0, 1);
        assertThat(mark(Station.RUNS)).isEqualTo(Freshness.Mark.STALE);
        assertThat(verdict(Station.RUNS).sentence()).contains("No runs yet with these settings");
    }

    @Test
    void numbersReadAsACoachWritesThem() {
        assertThat(Words.number(0.50849)).isEqualTo("0.508");
        assertThat(Words.number(1234.5)).isEqualTo("1230");
        assertThat(Words.exact(12.50)).isEqualTo("12.5");
        assertThat(Words.exact(-9)).isEqualTo("-9");
        assertThat(Words.oneIn(0.01)).isEqualTo("1 in 100");
        assertThat(Words.oneIn(0)).isEqualTo("never");
    }
}
