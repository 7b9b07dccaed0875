package fahrbahn.app.robot;

import fahrbahn.app.kit.Stopwatch;
import fahrbahn.app.measure.MeasureModel;
import fahrbahn.app.season.Season;
import fahrbahn.app.words.Words;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.check.Check;
import fahrbahn.core.check.Rounding;
import fahrbahn.core.knowledge.Constant;
import fahrbahn.core.knowledge.Fact;
import fahrbahn.core.measuring.Measured;
import fahrbahn.core.measuring.SlideFit;
import fahrbahn.core.quality.Survey;
import fahrbahn.core.readings.Capture;
import fahrbahn.core.setup.Polarity;
import fahrbahn.core.setup.Robot;
import fahrbahn.core.setup.Sensor;
import fahrbahn.core.setup.Setup;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.collections.ObservableMap;

/** The bench cards: entries as they are typed, what they come to, and putting that on the robot. */
public final class BenchModel {
    private final Season season;
    private final MeasureModel measure;
    private final Stopwatch watch;
    private final ReadOnlyObjectWrapper<BenchCard> card = new ReadOnlyObjectWrapper<>(BenchCard.ROLL);
    private final Consumer<String> told;

    /** @param watch that the cards are timed with */
    public BenchModel(Season season, MeasureModel measure, Stopwatch watch, Consumer<String> told) {
        this.season = season;
        this.watch = watch;
        this.measure = measure;
        this.told = told;
    }

    /** The card that is up. */
    public ReadOnlyObjectProperty<BenchCard> cardProperty() {
        return card.getReadOnlyProperty();
    }

    public void show(BenchCard newCard) {
        watch.count(newCard.counting());
        card.set(newCard);
    }

    public Stopwatch watch() {
        return watch;
    }

    /** The robot the cards are about. */
    public ReadOnlyObjectProperty<Setup> setupNowProperty() {
        return season.setupNowProperty();
    }

    /** What has been typed on each card. */
    public ObservableMap<String, List<List<Double>>> typed() {
        return season.measurements().entries();
    }

    /** For the slide, which is captured live. */
    public MeasureModel measure() {
        return measure;
    }

    public List<List<Double>> entries(BenchCard card) {
        return typed().getOrDefault(card.name(), List.of());
    }

    /** Adds one row of typed numbers; a row that cannot be is refused with the reason. */
    public void add(BenchCard card, List<Double> row) {
        card.work(List.of(row), season.setupOrGuess(), 0);
        List<List<Double>> rows = new ArrayList<>(entries(card));
        rows.add(List.copyOf(row));
        season.measurements().changeEntries(card.name(), rows);
    }

    /** A number as it was typed into a field of a card. @throws BadValueException with words when it is none */
    public double number(BenchCard card, int field, String typed) {
        BenchCard.Field asked = card.fields().get(field);
        String text = typed.strip();
        if (text.isEmpty() && asked.words().startsWith("aside")) {
            return 0;
        }
        return Words.parse(text)
                .orElseThrow(() -> new BadValueException(asked.words(), "'" + text + "'", "a number like 12.5"));
    }

    public void remove(BenchCard card, int index) {
        List<List<Double>> rows = new ArrayList<>(entries(card));
        rows.remove(index);
        season.measurements().changeEntries(card.name(), rows);
    }

    /** What the entries come to; words alone when they do not fit together; empty without entries. */
    public Optional<BenchCard.Result> result(BenchCard card) {
        if (card == BenchCard.SLIDE) {
            return slide();
        }
        List<List<Double>> rows = entries(card);
        if (rows.isEmpty()) {
            return Optional.empty();
        }
        try {
            return Optional.of(card.work(rows, season.setupOrGuess(), speedShare()));
        } catch (BadValueException cannot) {
            return Optional.of(new BenchCard.Result(Map.of(), cannot.getMessage() + ".", Double.NaN));
        }
    }

    private double speedShare() {
        Fact speed = season.measurements().facts().get(Constant.FREE_SPEED);
        return speed == null
                ? Constant.FREE_SPEED.guessShare() / 2
                : speed.measured().standardError() / speed.measured().value();
    }

    private Optional<BenchCard.Result> slide() {
        Map<String, SlideFit> slides = survey().slides();
        if (slides.isEmpty()) {
            List<String> problems = survey().problems();
            boolean slid = season.captures().stream().anyMatch(c -> c.surface().equals(Capture.SLIDE));
            return slid && !problems.isEmpty()
                    ? Optional.of(new BenchCard.Result(Map.of(), problems.get(0) + ".", Double.NaN))
                    : Optional.empty();
        }
        double[] sigmas =
                slides.values().stream().mapToDouble(f -> f.sigmaMm().value()).toArray();
        double error = slides.values().stream()
                        .mapToDouble(f -> f.sigmaMm().standardError())
                        .average()
                        .orElseThrow()
                / Math.sqrt(sigmas.length);
        double mean = java.util.Arrays.stream(sigmas).average().orElseThrow();
        String words = slides.entrySet().stream()
                .map(e -> e.getKey() + ": spot "
                        + Words.number(e.getValue().sigmaMm().value()) + " \u00b1 "
                        + Words.number(e.getValue().sigmaMm().plusMinus(), 2) + " mm, line "
                        + Words.number(e.getValue().widthMm().value()) + " mm wide, ground "
                        + Words.number(e.getValue().ground().value(), 4) + ", line "
                        + Words.number(e.getValue().line().value(), 4))
                .collect(Collectors.joining(". ", "", "."));
        return Optional.of(new BenchCard.Result(
                Map.of(Constant.SPOT, new Measured(mean, error, Math.max(1, slides.size()))), words, Double.NaN));
    }

    private Survey survey() {
        return measure.surveyProperty().get();
    }

    /** Puts what a card came to on the robot, as one step of undo. */
    public void use(BenchCard card) {
        Optional<BenchCard.Result> result = result(card);
        if (result.isEmpty() || result.get().found().isEmpty()) {
            told.accept(card.title() + ": there is nothing to use yet. Add an entry first.");
            return;
        }
        List<Fact> facts = new ArrayList<>();
        result.get()
                .found()
                .forEach((constant, measured) ->
                        facts.add(new Fact(constant, measured, words(card), season.basisNow())));
        try {
            season.measurements().use(facts, setup -> also(card, result.get(), setup));
        } catch (BadValueException refused) {
            told.accept(refused.getMessage() + ". Nothing was changed.");
        }
    }

    private List<String> words(BenchCard card) {
        return entries(card).stream()
                .map(row -> row.stream().map(Words::exact).collect(Collectors.joining(", ")))
                .toList();
    }

    private Setup also(BenchCard card, BenchCard.Result result, Setup setup) {
        if (card == BenchCard.ROLL && Double.isFinite(result.mismatchShare())) {
            return setup.withDrive(setup.robot()
                    .drive()
                    .withTraits(setup.robot().drive().traits().withMismatchShare(digits(result.mismatchShare()))));
        }
        return card == BenchCard.SLIDE ? slid(setup) : setup;
    }

    /** Each sensor its own spot and surfaces. Their mean stays the fact's value, for the spots keep all their digits. */
    private Setup slid(Setup setup) {
        Robot robot = setup.robot();
        boolean darkLine = setup.line().polarity() == Polarity.DARK_ON_LIGHT;
        for (int i = 0; i < robot.sensors().size(); i++) {
            Sensor sensor = robot.sensors().get(i);
            SlideFit fit = survey().slides().get(sensor.name());
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
