package fahrbahn.app.gains;

import fahrbahn.app.chart.ChartFile;
import fahrbahn.app.errand.Ending;
import fahrbahn.app.errand.Errand;
import fahrbahn.app.errand.Errands;
import fahrbahn.app.season.Season;
import fahrbahn.app.season.StationModel;
import fahrbahn.app.season.Verdict;
import fahrbahn.app.words.Words;
import fahrbahn.core.knowledge.Constant;
import fahrbahn.core.loop.GainAdvice;
import fahrbahn.core.loop.GainAdvisor;
import fahrbahn.core.loop.Lane;
import fahrbahn.core.loop.LaneReport;
import fahrbahn.core.setup.Law;
import fahrbahn.core.setup.Setup;
import java.nio.file.Path;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/** Where the gains stand in the lane, and the pair to try next. */
public final class GainsModel extends StationModel {
    private static final int LANE_POINTS = 72;

    private final Errand<GainsPicture> errand;
    private final Errand<String> saveErrand;
    private final Consumer<String> told;
    private final Supplier<Map<Constant, Double>> known;
    private String problem = "";
    private final ReadOnlyObjectWrapper<Optional<GainsPicture>> picture = new ReadOnlyObjectWrapper<>(Optional.empty());

    /** All that was computed for one setup. */
    public record GainsPicture(Setup setup, LaneReport report, Lane lane, Optional<GainAdvice> advice) {
        public static GainsPicture of(Setup setup) {
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

    public GainsModel(Season season, Errands errands, Supplier<Map<Constant, Double>> known) {
        super(season);
        this.errand = errands.errand("The lane");
        this.saveErrand = errands.errand("Saving the picture");
        this.told = errands.tell();
        this.known = known;
        season.setupProperty().addListener(o -> compute());
        compute();
    }

    /** The newest results; empty until the first are there. */
    public ReadOnlyObjectProperty<Optional<GainsPicture>> pictureProperty() {
        return picture.getReadOnlyProperty();
    }

    private void compute() {
        Setup setup = season.setupOrGuess();
        errand.runToEnd(job -> GainsPicture.of(setup), ending -> {
            picture.set(
                    ending instanceof Ending.Done<GainsPicture> done ? Optional.of(done.result()) : Optional.empty());
            problem = Ending.words(ending);
            judge();
        });
    }

    private void judge() {
        if (picture.get().isPresent()) {
            say(verdict(picture.get().get()));
        } else {
            say(problem.isEmpty() ? Verdict.open("Working out the lane.") : Verdict.stop(problem));
        }
    }

    private static Verdict verdict(GainsPicture picture) {
        Law law = picture.setup().law();
        LaneReport report = picture.report();
        String gains = "Kp " + Words.number(law.kp()) + ", Kd " + Words.number(law.kd());
        String next = picture.advice()
                .map(a -> isSet(law, a)
                        ? " N goes on to Drive."
                        : " Try Kp " + Words.number(a.kp()) + ", Kd " + Words.number(a.kd()) + ": U sets it.")
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
                        + " mm/s. Drive slower: Robot (1) has the base command."
                : " No pair of gains has room at this speed. Drive slower, or move the sensors forward, in Robot (1).";
    }

    /** Takes the recommended pair. */
    public void useAdvice() {
        picture.get()
                .flatMap(GainsPicture::advice)
                .ifPresent(a -> choose(a.kp(), season.setupOrGuess().law().ki(), a.kd()));
    }

    /** Saves the lane as a drawing: SVG when the name ends in .svg, else PDF. */
    public void savePicture(Path file) {
        Optional<GainsPicture> shown = picture.get();
        if (shown.isEmpty()) {
            told.accept("There is no lane to save yet.");
            return;
        }
        LaneChart chart = new LaneChart(shown.get());
        saveErrand.run(
                job -> {
                    ChartFile.write(chart, file);
                    return "Saved as " + file.getFileName() + ".";
                },
                told);
    }

    /** Sets gains by hand; they count as chosen for the robot as it is now. */
    public void choose(double kp, double ki, double kd) {
        season.choices().chooseGains(setup -> setup.withLaw(setup.law().withGains(kp, ki, kd)), known.get());
    }
}
