package fahrbahn.app.gains;

import fahrbahn.app.season.Background;
import fahrbahn.app.season.Freshness;
import fahrbahn.app.season.SeasonModel;
import fahrbahn.app.season.Station;
import fahrbahn.app.season.StationModel;
import fahrbahn.app.season.Verdict;
import fahrbahn.app.words.Words;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.loop.GainAdvice;
import fahrbahn.core.loop.GainAdvisor;
import fahrbahn.core.loop.Lane;
import fahrbahn.core.loop.LaneReport;
import fahrbahn.core.readings.Conditions.Matter;
import fahrbahn.core.setup.Law;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.setup.SetupDifference;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/** Where the gains stand in the lane, and the pair to try next. */
public final class GainsModel extends StationModel {
    private static final int LANE_POINTS = 72;

    private final SeasonModel season;
    private final Background.Slot slot;
    private final ReadOnlyObjectWrapper<Optional<GainsPicture>> picture = new ReadOnlyObjectWrapper<>(Optional.empty());

    /** All that was computed for one setup. */
    public record GainsPicture(Setup setup, LaneReport report, Lane lane, Optional<GainAdvice> advice) {
        static GainsPicture of(Setup setup) {
            Law law = setup.law();
            double ratio = law.kp() > 0 ? law.kd() / law.kp() : 0;
            return new GainsPicture(
                    setup, LaneReport.of(setup), Lane.of(setup, ratio, LANE_POINTS), GainAdvisor.advise(setup));
        }

        /** Onset along the ratio of the gains as set. */
        public Optional<Double> wiggleKp() {
            double base = setup.law().baseCommand();
            return lane.slices().stream()
                    .min((a, b) -> Double.compare(Math.abs(a.baseCommand() - base), Math.abs(b.baseCommand() - base)))
                    .flatMap(Lane.Slice::wiggleKp);
        }
    }

    public GainsModel(SeasonModel season, Background background) {
        this.season = season;
        this.slot = background.new Slot();
        season.setupProperty().addListener(o -> compute());
        season.gainsChosenForProperty().addListener(o -> judge());
        season.gainsChosenUnderProperty().addListener(o -> judge());
        season.conditionsProperty().addListener(o -> judge());
        compute();
    }

    public SeasonModel season() {
        return season;
    }

    /** The newest results; empty until the first are there. */
    public ReadOnlyObjectProperty<Optional<GainsPicture>> pictureProperty() {
        return picture.getReadOnlyProperty();
    }

    private void compute() {
        Setup setup = season.setupOrGuess();
        slot.run("The lane", () -> attempt(setup), found -> {
            picture.set(found.picture());
            problem = found.problem();
            judge();
        });
    }

    private record Attempt(Optional<GainsPicture> picture, String problem) {}

    private String problem = "";

    /** A target off the edge and the like are the coach's to mend, not failures of the program. */
    private static Attempt attempt(Setup setup) {
        try {
            return new Attempt(Optional.of(GainsPicture.of(setup)), "");
        } catch (BadValueException cannot) {
            return new Attempt(Optional.empty(), cannot.getMessage());
        }
    }

    private void judge() {
        if (picture.get().isEmpty()) {
            say(
                    problem.isEmpty() ? Verdict.open("Working out the lane.") : Verdict.stop(problem + "."),
                    Freshness.missing("no lane"));
        } else {
            say(verdict(picture.get().get()), freshness());
        }
    }

    private Freshness freshness() {
        Optional<Setup> chosenFor = season.gainsChosenForProperty().get();
        if (chosenFor.isEmpty()) {
            return Freshness.missing("no gains chosen");
        }
        List<String> reasons = new ArrayList<>();
        season.gainsChosenUnderProperty()
                .get()
                .ifPresent(then -> then.changesTo(season.conditionsNow()).stream()
                        .filter(c -> c.matter() == Matter.BATTERY || c.matter() == Matter.WHEELS)
                        .forEach(c -> reasons.add(c.words())));
        SetupDifference.physical(chosenFor.get(), season.setupOrGuess()).forEach(d -> reasons.add(d.toString()));
        return Freshness.stale(reasons, "").repairedBy("take the pair worked out anew: U", Station.GAINS, "U");
    }

    private static Verdict verdict(GainsPicture picture) {
        Law law = picture.setup().law();
        LaneReport report = picture.report();
        String gains = "Kp " + Words.number(law.kp()) + ", Kd " + Words.number(law.kd());
        String next = picture.advice()
                .map(a -> isSet(law, a)
                        ? " Go on to Drive."
                        : " Try Kp " + Words.number(a.kp()) + ", Kd " + Words.number(a.kd()) + ".")
                .orElse(slower(picture));
        if (!(report.spectralRadius() < 1)) {
            return Verdict.stop(gains + " wiggles at " + Words.number(report.speedMmPerS()) + " mm/s"
                    + picture.wiggleKp()
                            .map(kp -> ": this Kd-to-Kp ratio holds up to Kp " + Words.number(kp))
                            .orElse("")
                    + "." + next);
        }
        if (law.kp() < report.bendKp()) {
            return Verdict.stop(gains + " is too soft for the "
                    + Words.millimetres(picture.setup().line().tightestRadiusMm()) + " bend, which needs Kp "
                    + Words.number(report.bendKp()) + " or more." + next);
        }
        double room = picture.wiggleKp().map(kp -> kp / law.kp()).orElse(1.0);
        String where = gains + " holds the bends " + Words.number(law.kp() / report.bendKp(), 2)
                + " times over and wiggles at " + Words.number(room, 2) + " times its gain.";
        return room < 1.5 ? Verdict.care(where + next) : Verdict.good(where + next);
    }

    static boolean isSet(Law law, GainAdvice advice) {
        return law.kp() == advice.kp() && law.kd() == advice.kd();
    }

    private static String slower(GainsPicture picture) {
        Optional<Double> ceiling = picture.lane().ceilingSpeedMmPerS();
        return ceiling.isPresent() && ceiling.get() > 0
                ? " No pair of gains has room here; this lane closes at " + Words.number(ceiling.get())
                        + " mm/s. Drive slower."
                : " No pair of gains has room at this speed. Drive slower, or move the sensors forward.";
    }

    /** Takes the recommended pair. */
    public void useAdvice() {
        picture.get()
                .flatMap(GainsPicture::advice)
                .ifPresent(a -> choose(a.kp(), season.setupOrGuess().law().ki(), a.kd()));
    }

    /** Sets gains by hand; they count as chosen for the robot as it is now. */
    public void choose(double kp, double ki, double kd) {
        season.chooseGains(setup -> setup.withLaw(setup.law().withGains(kp, ki, kd)));
    }
}
