package fahrbahn.app.gains;

import fahrbahn.app.errand.Ending;
import fahrbahn.app.errand.Errand;
import fahrbahn.app.errand.Errands;
import fahrbahn.app.kit.Stopwatch;
import fahrbahn.app.season.Season;
import fahrbahn.app.season.StationModel;
import fahrbahn.app.season.Verdict;
import fahrbahn.card.LaneChart;
import fahrbahn.card.LanePicture;
import fahrbahn.card.LanePicture.Advised;
import fahrbahn.core.job.Workers;
import fahrbahn.core.knowledge.Constant;
import fahrbahn.core.setup.Law;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.Ground;
import fahrbahn.core.tuning.TwinAdvice;
import fahrbahn.core.tuning.TwinAdvisor;
import fahrbahn.pen.ChartFile;
import fahrbahn.words.Words;
import java.nio.file.Path;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/** Where the gains stand in the lane, and the pair to try next. */
public final class GainsModel extends StationModel {
    /** The same robot gets the same advice. */
    private static final long SEED = 1;

    private final Errand<LanePicture> errand;
    private final Errand<Optional<TwinAdvice>> adviceErrand;
    private final Errand<String> saveErrand;
    private Setup advisedFor;
    private Advised advised = Advised.NOT_YET;

    /** For what the pair was asked for that was not there yet: another robot, or a change, and it is not wanted any more. */
    private Setup useFor;

    private final MapModel map;
    private final GoalModel goal;
    private final NextModel next;
    private final ResponseModel response;
    private final TransferModel transfer;
    private final Consumer<String> told;
    private final Supplier<Map<Constant, Double>> known;
    private String problem = "";
    private final ReadOnlyObjectWrapper<Optional<LanePicture>> picture = new ReadOnlyObjectWrapper<>(Optional.empty());

    /**
     * @param tableInHand on which the map is driven, and a goal is
     * @param watch for laps and wiggles of trials
     */
    public GainsModel(
            Season season,
            Errands errands,
            Supplier<Optional<Ground>> tableInHand,
            Supplier<Map<Constant, Double>> known,
            Stopwatch watch) {
        super(season);
        this.next = new NextModel(season, tableInHand, known, this, watch, errands);
        this.map = new MapModel(season, tableInHand, this, errands);
        this.response = new ResponseModel(season, map, this, errands);
        this.transfer = new TransferModel(season, this, errands);
        this.goal = new GoalModel(season, tableInHand, this, errands);
        this.errand = errands.errand("The lane");
        this.adviceErrand = errands.errand("The gains to try");
        this.saveErrand = errands.errand("Saving the picture");
        this.told = errands.tell();
        this.known = known;
        season.setupProperty().addListener(o -> compute());
        compute();
    }

    public MapModel map() {
        return map;
    }

    ResponseModel response() {
        return response;
    }

    TransferModel transfer() {
        return transfer;
    }

    public NextModel next() {
        return next;
    }

    /** What the next trial is to be set to, in words; empty until the page has worked it out. */
    public Optional<String> nextTrial() {
        return next.current()
                .flatMap(answer -> answer.next().next())
                .map(c -> "Kp " + Words.number(c.kp()) + ", Kd " + Words.number(c.kd()) + " at "
                        + Words.number(c.baseCommand()));
    }

    GoalModel goal() {
        return goal;
    }

    /** The newest results; empty until the first are there. */
    public ReadOnlyObjectProperty<Optional<LanePicture>> pictureProperty() {
        return picture.getReadOnlyProperty();
    }

    private void compute() {
        Setup setup = season.setupOrGuess();
        errand.runToEnd(job -> LanePicture.of(setup), ending -> {
            picture.set(
                    ending instanceof Ending.Done<LanePicture> done
                            ? Optional.of(done.result().with(known(setup)))
                            : Optional.empty());
            problem = Ending.words(ending);
            judge();
            if (withoutGains(setup).equals(useFor)) {
                advise();
                useIfThere();
            } else {
                useFor = null;
            }
        });
    }

    /** Advice does not depend on the gains there are, so it stays while they alone are changed. */
    static Setup withoutGains(Setup setup) {
        return setup.withLaw(setup.law().withGains(0, setup.law().ki(), 0));
    }

    /** The robot and its law as they are, whatever they are set to. */
    static Setup withoutGainsAndSpeed(Setup setup) {
        Law law = setup.law();
        return setup.withLaw(law.withGains(0, law.ki(), 0)
                .withBaseCommand(setup.robot().drive().fullCommand()));
    }

    private Advised known(Setup setup) {
        return withoutGains(setup).equals(advisedFor) ? advised : Advised.NOT_YET;
    }

    /** Somebody looks: the table is made ready for the map, which the coach may turn to at any moment; then the twin tries pairs, unless it has. */
    public void look() {
        map.makeReady();
        if (!map.gettingReady()) {
            advise();
        }
    }

    private void advise() {
        Optional<LanePicture> shown = picture.get();
        Setup wanted = shown.map(p -> withoutGains(p.setup())).orElse(null);
        if (shown.isEmpty() || wanted.equals(advisedFor)) {
            return;
        }
        advisedFor = wanted;
        advised = Advised.NOT_YET;
        Setup setup = shown.get().setup();
        adviceErrand.runToEnd(job -> TwinAdvisor.advise(setup, SEED, Workers.all(), job), ending -> {
            // A bend that the robot cannot be put on is refused with words: then nothing is to be found.
            advised = new Advised(
                    true, ending instanceof Ending.Done<Optional<TwinAdvice>> done ? done.result() : Optional.empty());
            if (!Ending.words(ending).isEmpty()) {
                told.accept(Ending.words(ending));
            }
            picture.set(picture.get().map(p -> p.with(known(p.setup()))));
            judge();
            useIfThere();
        });
    }

    /** Nobody looks any more: what is looked at instead gets the processors. A pair that was asked for is still worked out. */
    void lookAway() {
        if (adviceErrand.runningProperty().get() && useFor == null) {
            adviceErrand.stop();
            advisedFor = null;
        }
    }

    /** How far the trying is, 0 to 1. */
    double progress() {
        return adviceErrand.progress();
    }

    ReadOnlyBooleanProperty tryingProperty() {
        return adviceErrand.runningProperty();
    }

    /** Stops trying, until something is changed or the pair is asked for. */
    void stopTrying() {
        adviceErrand.stop();
        useFor = null;
    }

    private void judge() {
        if (picture.get().isPresent()) {
            say(GainsWords.verdict(picture.get().get()));
        } else {
            say(problem.isEmpty() ? Verdict.open("Working out the lane.") : Verdict.stop(problem));
        }
    }

    /** Takes the recommended pair, as soon as there is one. */
    public void useAdvice() {
        useFor = withoutGains(season.setupOrGuess());
        if (!advised.done() && !adviceErrand.runningProperty().get()) {
            advisedFor = null; // it was stopped
        }
        advise();
        useIfThere();
    }

    private void useIfThere() {
        Optional<LanePicture> shown = picture.get();
        boolean asked = shown.isPresent()
                && withoutGains(shown.get().setup()).equals(useFor)
                && withoutGains(season.setupOrGuess()).equals(useFor);
        if (asked && shown.get().advice().done()) {
            useFor = null;
            shown.get()
                    .gains()
                    .ifPresent(a -> choose(a.kp(), season.setupOrGuess().law().ki(), a.kd()));
        }
    }

    /** Saves the lane as a drawing: SVG when the name ends in .svg, else PDF. */
    public void savePicture(Path file) {
        Optional<LanePicture> shown = picture.get();
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

    /** Sets gains and base command, as one step. */
    void chooseWithSpeed(double kp, double kd, double baseCommand) {
        chooseWithSpeed(kp, kd, baseCommand, season.setupOrGuess().law().target());
    }

    /** The same with a target. */
    void chooseWithSpeed(double kp, double kd, double baseCommand, double target) {
        season.choices()
                .chooseGains(
                        setup -> setup.withLaw(setup.law()
                                .withGains(kp, setup.law().ki(), kd)
                                .withBaseCommand(baseCommand)
                                .withTarget(target)),
                        known.get());
    }

    /** The robot becomes otherwise, with gains chosen for it, as one step. */
    public void become(Setup setup) {
        season.choices().chooseGains(before -> setup, known.get());
    }

    /** Sets gains by hand; they count as chosen for the robot as it is now. */
    public void choose(double kp, double ki, double kd) {
        season.choices().chooseGains(setup -> setup.withLaw(setup.law().withGains(kp, ki, kd)), known.get());
    }
}
