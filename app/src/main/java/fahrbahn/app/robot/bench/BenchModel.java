package fahrbahn.app.robot.bench;

import fahrbahn.app.errand.Errands;
import fahrbahn.app.kit.Stopwatch;
import fahrbahn.app.measure.MeasureModel;
import fahrbahn.app.season.Season;
import fahrbahn.app.state.Documents;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.check.Check;
import fahrbahn.core.check.Rounding;
import fahrbahn.core.knowledge.Constant;
import fahrbahn.core.knowledge.Fact;
import fahrbahn.core.measuring.SlideFit;
import fahrbahn.core.quality.Survey;
import fahrbahn.core.readings.Capture;
import fahrbahn.core.setup.Polarity;
import fahrbahn.core.setup.Robot;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import fahrbahn.store.document.Kinds;
import fahrbahn.words.Refusals;
import fahrbahn.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.LongSupplier;
import java.util.stream.Collectors;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/** The bench cards: entries as they are typed, what they come to, and putting that on the robot. */
public final class BenchModel {
    private final Season season;
    private final Documents<List<List<Double>>> typed;
    private final MeasureModel measure;
    private final Stopwatch watch;
    private final ReadOnlyObjectWrapper<BenchCard> card = new ReadOnlyObjectWrapper<>(BenchCard.ROLL);
    private final Consumer<String> told;
    private final Practice practice;

    public BenchModel(Season season, MeasureModel measure, LongSupplier nanoClock, Errands errands) {
        this.season = season;
        this.typed = season.state().documents(Kinds.ENTRIES);
        this.watch = new Stopwatch(nanoClock);
        this.measure = measure;
        this.told = errands.tell();
        this.practice = new Practice(season.setup().property(), nanoClock, errands);
    }

    /** The card that is up. */
    public ReadOnlyObjectProperty<BenchCard> cardProperty() {
        return card.getReadOnlyProperty();
    }

    public void show(BenchCard newCard) {
        practice.end();
        watch.count(newCard.counting());
        card.set(newCard);
    }

    public Stopwatch watch() {
        return watch;
    }

    /** The robot the cards are about. */
    public ReadOnlyObjectProperty<Setup> setupNowProperty() {
        return season.setup().property();
    }

    /** Calls when something was typed on a card. */
    void whenTyped(Runnable follower) {
        typed.follow(follower);
    }

    /** For the slide, which can be captured live. */
    public MeasureModel measure() {
        return measure;
    }

    /** The card practised on a robot that is not there. */
    public Practice practice() {
        return practice;
    }

    /** What has been typed on a card; while it is practised, what has been typed since. */
    public List<List<Double>> entries(BenchCard card) {
        return practice.on(card) ? practice.rows() : typed.get(card.name()).orElse(List.of());
    }

    /** The command the robot's law drives at. */
    public double usualCommand() {
        return season.setupOrGuess().law().baseCommand();
    }

    /** Adds one row of typed numbers; a row that cannot be is refused with the reason. */
    public void add(BenchCard card, List<Double> row) {
        if (card == BenchCard.SLIDE) {
            SlideRows.check(row, season.setupOrGuess());
        } else {
            card.work(List.of(row), season.setupOrGuess(), 0);
        }
        List<List<Double>> rows = new ArrayList<>(entries(card));
        rows.add(List.copyOf(row));
        change(card, rows);
    }

    public void remove(BenchCard card, int index) {
        List<List<Double>> rows = new ArrayList<>(entries(card));
        rows.remove(index);
        change(card, rows);
    }

    private void change(BenchCard card, List<List<Double>> rows) {
        if (practice.on(card)) {
            practice.change(rows);
        } else {
            typed.set("entries of a bench card on " + season.robotName(), card.name(), rows);
        }
    }

    /** What was typed into the fields of a card, as a row; NaN for what was not measured. @throws BadValueException with words when one of them is no number */
    public List<Double> row(BenchCard card, List<String> typed) {
        List<Double> row = new ArrayList<>();
        for (int i = 0; i < typed.size(); i++) {
            BenchCard.Field field = card.fields().get(i);
            String text = typed.get(i).strip();
            if (field.filled() == BenchCard.Filled.BY_SEVERAL) {
                for (String one : text.split("\\s+")) {
                    row.add(number(field, one));
                }
            } else {
                boolean notMeasured = text.isEmpty() && field.filled() == BenchCard.Filled.BY_HAND_IF_MEASURED;
                row.add(notMeasured ? Double.NaN : number(field, text));
            }
        }
        return row;
    }

    private static double number(BenchCard.Field asked, String text) {
        return Words.parse(text)
                .orElseThrow(() -> new BadValueException(asked.words(), "'" + text + "'", "a number like 12.5"));
    }

    /** What the entries come to; words alone when they do not fit together; empty without entries. */
    public Optional<BenchCard.Result> result(BenchCard card) {
        List<List<Double>> rows = entries(card);
        if (rows.isEmpty()) {
            return card == BenchCard.SLIDE && !practice.on(card) ? captured() : Optional.empty();
        }
        try {
            return Optional.of(card.work(rows, season.setupOrGuess(), speedShare()));
        } catch (BadValueException cannot) {
            return Optional.of(new BenchCard.Result(Map.of(), Refusals.sentence(cannot), Double.NaN));
        }
    }

    private double speedShare() {
        Fact speed = season.facts().get(Constant.FREE_SPEED);
        return speed == null
                ? Constant.FREE_SPEED.guessShare() / 2
                : speed.measured().standardError() / speed.measured().value();
    }

    /** Of a slide that was captured live. */
    private Optional<BenchCard.Result> captured() {
        Map<String, SlideFit> slides = survey().slides();
        if (!slides.isEmpty()) {
            return Optional.of(SlideWords.result(slides));
        }
        List<String> problems = survey().problems();
        boolean slid = season.captures().stream().anyMatch(c -> c.surface().equals(Capture.SLIDE));
        return slid && !problems.isEmpty()
                ? Optional.of(new BenchCard.Result(Map.of(), problems.get(0) + ".", Double.NaN))
                : Optional.empty();
    }

    /** By sensor: of the slide that was typed, else of the one that was captured. */
    private Map<String, SlideFit> slides(Setup setup) {
        List<List<Double>> rows = entries(BenchCard.SLIDE);
        return rows.isEmpty() ? survey().slides() : SlideRows.fits(rows, setup);
    }

    private Survey survey() {
        return measure.surveyShown();
    }

    /** Puts what a card came to on the robot, as one step of undo. */
    public void use(BenchCard card) {
        if (practice.on(card)) {
            told.accept("Practice: nothing goes on the robot. P shows its numbers and ends it.");
            return;
        }
        Optional<BenchCard.Result> result = result(card);
        if (result.isEmpty() || result.get().found().isEmpty()) {
            told.accept(card.title() + ": nothing to use yet. Add an entry first.");
            return;
        }
        List<Fact> facts = new ArrayList<>();
        result.get()
                .found()
                .forEach((constant, measured) ->
                        facts.add(new Fact(constant, measured, words(card), season.basisNow())));
        try {
            season.changes().measured(facts, setup -> also(card, result.get(), setup));
        } catch (BadValueException refused) {
            told.accept(Refusals.sentence(refused) + " Nothing was changed.");
        }
    }

    private List<String> words(BenchCard card) {
        return entries(card).stream()
                .map(row -> row.stream()
                        .filter(number -> !Double.isNaN(number))
                        .map(Words::exact)
                        .collect(Collectors.joining(", ")))
                .toList();
    }

    private Setup also(BenchCard card, BenchCard.Result result, Setup setup) {
        if (card == BenchCard.ROLL && Double.isFinite(result.mismatchShare())) {
            Setup rolled = setup.withDrive(setup.robot()
                    .drive()
                    .withTraits(setup.robot().drive().traits().withMismatchShare(digits(result.mismatchShare()))));
            // Dead zone and speed of a straight line belong to no bent curve.
            boolean line = result.found().containsKey(Constant.DEAD_ZONE)
                    && !result.found().containsKey(Constant.SAG);
            return line ? Constant.SAG.with(rolled, 0) : rolled;
        }
        return card == BenchCard.SLIDE ? slid(setup) : setup;
    }

    /** Each sensor its own spot and surfaces. Their mean stays the fact's value, for the spots keep all their digits. */
    private Setup slid(Setup setup) {
        Robot robot = setup.robot();
        boolean darkLine = setup.line().polarity() == Polarity.DARK_ON_LIGHT;
        Map<String, SlideFit> slides = slides(setup);
        for (int i = 0; i < robot.sensors().size(); i++) {
            Sensor sensor = robot.sensors().get(i);
            SlideFit fit = slides.get(sensor.name());
            if (fit != null) {
                double ground = digits(fit.ground().value());
                double line = digits(fit.line().value());
                robot = robot.withSensor(
                        i,
                        sensor.withSpotSigmaMm(fit.sigmaMm().value())
                                .withSurfaces(darkLine ? line : ground, darkLine ? ground : line, sensor.noise()));
            }
        }
        return setup.withRobot(robot);
    }

    private static double digits(double value) {
        return Rounding.significant(Check.finite("value", value), 4);
    }
}
