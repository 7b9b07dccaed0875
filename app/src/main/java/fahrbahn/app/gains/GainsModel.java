package fahrbahn.app.gains;

import fahrbahn.app.errand.Errand;
import fahrbahn.app.gains.choice.GainChoice;
import fahrbahn.app.gains.goal.GoalModel;
import fahrbahn.app.gains.map.MapModel;
import fahrbahn.app.gains.next.NextModel;
import fahrbahn.app.gains.response.ResponseModel;
import fahrbahn.app.gains.transfer.TransferModel;
import fahrbahn.app.kit.Stopwatch;
import fahrbahn.app.season.Season;
import fahrbahn.app.season.StationModel;
import fahrbahn.app.season.Verdict;
import fahrbahn.app.state.Derived;
import fahrbahn.app.state.State;
import fahrbahn.app.state.Value;
import fahrbahn.card.LaneChart;
import fahrbahn.core.job.Workers;
import fahrbahn.core.knowledge.Constant;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.Ground;
import fahrbahn.core.tuning.LanePicture;
import fahrbahn.core.tuning.LanePicture.Advised;
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

/** Where the gains stand in the lane, and the pair to try next. */
public final class GainsModel extends StationModel {
    /** The same robot gets the same advice. */
    private static final long SEED = 1;

    private final Derived<LanePicture> lane;
    private final Derived<Optional<TwinAdvice>> advice;
    private final Errand<String> saveErrand;

    /** For what the pair was asked for that was not there yet: another robot, or a change, and it is not wanted any more. */
    private Setup useFor;

    private final MapModel map;
    private final GoalModel goal;
    private final NextModel next;
    private final ResponseModel response;
    private final TransferModel transfer;
    private final Consumer<String> told;
    private final GainChoice choice;
    private final Derived<LanePicture> picture;

    /** The lane, and what the twin has found so far. */
    private record Found(LanePicture lane, Advised advised) {}

    /**
     * @param tableInHand on which the map is driven, and a goal is
     * @param watch for laps and wiggles of trials
     */
    public GainsModel(
            Season season,
            State state,
            Supplier<Optional<Ground>> tableInHand,
            Supplier<Map<Constant, Double>> known,
            Stopwatch watch) {
        super(season);
        this.choice = new GainChoice(season, known);
        this.next = new NextModel(season, tableInHand, known, choice, watch, state);
        this.map = new MapModel(season, tableInHand, choice, state);
        this.response = new ResponseModel(season, map, choice, state);
        this.transfer = new TransferModel(season, choice, state);
        this.goal = new GoalModel(season, tableInHand, choice, state);
        this.lane = state.derive("The lane", season::setupOrGuess, (setup, job) -> LanePicture.of(setup));
        this.advice = state.derive(
                "The gains to try",
                () -> GainChoice.withoutGains(season.setupOrGuess()),
                (setup, job) -> TwinAdvisor.advise(setup, SEED, Workers.all(), job));
        this.saveErrand = state.errands().errand("Saving the picture");
        this.told = state.errands().tell();
        lane.eagerly();
        this.picture = state.deriveAtOnce(
                "The lane with what to try",
                () -> new Found(lane.need(), known()),
                (found, job) -> found.lane().with(found.advised()));
        picture.eagerly();
        advice.valueProperty().addListener((o, was, is) -> {
            if (!is.refusal().isEmpty()) {
                told.accept(is.refusal());
            }
        });
        state.afterChanges(this::useIfThere);
        headline(this::verdict);
    }

    /** Sets gains, by hand too. */
    public GainChoice choice() {
        return choice;
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
        return next.answer()
                .get()
                .flatMap(answer -> answer.next().next())
                .map(c -> "Kp " + Words.number(c.kp()) + ", Kd " + Words.number(c.kd()) + " at "
                        + Words.number(c.baseCommand()));
    }

    GoalModel goal() {
        return goal;
    }

    /** The newest results; empty until the first are there. */
    public Derived<LanePicture> picture() {
        return picture;
    }

    /** What the twin found, as far as it has. */
    private Advised known() {
        Value<Optional<TwinAdvice>> value = advice.value();
        return new Advised(
                value.ready().isPresent() || !value.refusal().isEmpty(),
                value.ready().flatMap(found -> found));
    }

    /** Somebody looks: the table is made ready for the map, which the coach may turn to at any moment; then the twin tries pairs, unless it has. */
    public void show() {
        map.makeReady();
        if (!map.gettingReady()) {
            advice.show();
        }
    }

    /** Nobody looks any more: what is looked at instead gets the processors. A pair that was asked for is still worked out. */
    void lookAway() {
        if (useFor == null) {
            advice.hide();
        }
    }

    /** How far the trying is, 0 to 1. */
    double progress() {
        return advice.progress();
    }

    ReadOnlyBooleanProperty tryingProperty() {
        return advice.computingProperty();
    }

    /** Stops trying, until something is changed or the pair is asked for. */
    void stopTrying() {
        advice.stop();
        useFor = null;
    }

    private Verdict verdict() {
        Value<LanePicture> value = picture.value();
        return value.ready()
                .map(GainsWords::verdict)
                .orElseGet(() -> value.refusal().isEmpty()
                        ? Verdict.open("Working out the lane.")
                        : Verdict.stop(value.refusal()));
    }

    /** Takes the recommended pair, as soon as there is one. */
    public void useAdvice() {
        useFor = GainChoice.withoutGains(season.setupOrGuess());
        advice.again();
        useIfThere();
    }

    /** After each change: another robot's pair is not wanted any more, that of this one is taken when it is there. */
    private void useIfThere() {
        if (useFor == null) {
            return;
        }
        if (!GainChoice.withoutGains(season.setupOrGuess()).equals(useFor)) {
            useFor = null;
            return;
        }
        advice.show();
        picture.get().filter(shown -> shown.advice().done()).ifPresent(shown -> {
            useFor = null;
            shown.gains()
                    .ifPresent(a ->
                            choice.choose(a.kp(), season.setupOrGuess().law().ki(), a.kd()));
        });
    }

    /** Saves the lane as a drawing: SVG when the name ends in .svg, else PDF. */
    public void savePicture(Path file) {
        Optional<LanePicture> shown = picture.get();
        if (shown.isEmpty()) {
            told.accept("No lane to save yet.");
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
}
