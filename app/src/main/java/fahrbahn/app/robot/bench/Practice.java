package fahrbahn.app.robot.bench;

import fahrbahn.app.errand.Errand;
import fahrbahn.app.errand.Errands;
import fahrbahn.core.check.BadValueException;
import fahrbahn.core.knowledge.Constant;
import fahrbahn.core.knowledge.HiddenRobot;
import fahrbahn.core.practice.CreepShowing;
import fahrbahn.core.practice.LoopShowing;
import fahrbahn.core.practice.RollShowing;
import fahrbahn.core.practice.Showing;
import fahrbahn.core.practice.SlideShowing;
import fahrbahn.core.practice.SpinShowing;
import fahrbahn.core.practice.WiggleShowing;
import fahrbahn.core.setup.Setup;
import fahrbahn.words.Words;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.function.LongSupplier;
import java.util.stream.Collectors;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/**
 * A bench card practised on a robot that is not there: the robot in hand with what the card measures hidden. Nothing of it is kept in the
 * season; at the end the hidden numbers are shown beside what was found.
 */
public final class Practice {
    private static final double WIGGLE_S = 30;

    private final ReadOnlyObjectProperty<Setup> setup;
    private final LongSupplier nanoClock;
    private final Errand<Optional<Showing>> errand;
    private final ReadOnlyObjectWrapper<Stage> stage = new ReadOnlyObjectWrapper<>(Stage.NONE);
    private Optional<Showing> showing = Optional.empty();
    private Optional<SlideShowing> slide = Optional.empty();
    private String display = "";
    private long letGoNs;
    private double placeMm;

    /**
     * How far it is.
     *
     * @param card empty when nothing is practised
     * @param rows typed so far
     * @param secret in words once it has been shown; empty before
     * @param went how often the robot was let go
     */
    public record Stage(Optional<BenchCard> card, Setup hidden, List<List<Double>> rows, String secret, int went) {
        private static final Stage NONE = new Stage(Optional.empty(), null, List.of(), "", 0);

        private Stage with(List<List<Double>> newRows) {
            return new Stage(card, hidden, List.copyOf(newRows), secret, went);
        }
    }

    public Practice(ReadOnlyObjectProperty<Setup> setup, LongSupplier nanoClock, Errands errands) {
        this.setup = setup;
        this.nanoClock = nanoClock;
        this.errand = errands.errand("Starting the robot");
        setup.addListener(o -> end()); // another robot in hand
    }

    public ReadOnlyObjectProperty<Stage> stageProperty() {
        return stage.getReadOnlyProperty();
    }

    /** Whether this card is being practised. */
    boolean on(BenchCard card) {
        return stage.get().card().equals(Optional.of(card));
    }

    /** Begins with a robot that nobody knows. */
    void begin(BenchCard card) {
        end();
        long seed = nanoClock.getAsLong();
        Setup as = setup.get();
        Setup drawn = HiddenRobot.of(as, new Random(seed));
        Setup hidden = as;
        for (Constant constant : measuredBy(card)) {
            hidden = moved(hidden, constant, constant.of(drawn));
        }
        if (card == BenchCard.ROLL) {
            double mismatch = drawn.robot().drive().traits().mismatchShare();
            hidden = hidden.withDrive(hidden.robot()
                    .drive()
                    .withTraits(hidden.robot().drive().traits().withMismatchShare(mismatch)));
        }
        slide = card == BenchCard.SLIDE ? Optional.of(new SlideShowing(hidden, seed)) : Optional.empty();
        stage.set(new Stage(Optional.of(card), hidden, List.of(), "", 0));
    }

    /** At a limit of what its other numbers allow it stays as it is. */
    private static Setup moved(Setup setup, Constant constant, double value) {
        try {
            return constant.with(setup, value);
        } catch (BadValueException limit) {
            return setup;
        }
    }

    static List<Constant> measuredBy(BenchCard card) {
        return Arrays.stream(Constant.values())
                .filter(c -> c != Constant.DELAY && BenchCard.measuring(c) == card)
                .toList();
    }

    /** Lets the robot go, once more; a slide is moved on to its next place. @param typed in the card's first field */
    void letGo(String typed) {
        double command = Words.parse(typed.strip()).orElse(0);
        Stage now = stage.get();
        if (now.card().isEmpty()) {
            return;
        }
        if (now.card().get() == BenchCard.SLIDE) {
            slideOn();
            return;
        }
        // Along a line it rides the twin's table, which is painted first.
        errand.run(job -> shows(now.card().get(), now.hidden(), command), shows -> {
            if (stage.get().hidden() == now.hidden()) {
                showing = shows;
                letGoNs = nanoClock.getAsLong();
                wentOnce();
            }
        });
    }

    private void slideOn() {
        placeMm = stage.get().went() == 0
                ? 0
                : placeMm + slide.map(SlideShowing::stepMm).orElse(0.0);
        display = "at " + Words.exact(placeMm) + " mm:  "
                + slide.orElseThrow().readings(placeMm).stream()
                        .map(Words::number)
                        .collect(Collectors.joining("   "));
        wentOnce();
    }

    private void wentOnce() {
        Stage now = stage.get();
        stage.set(new Stage(now.card(), now.hidden(), now.rows(), now.secret(), now.went() + 1));
    }

    private Optional<Showing> shows(BenchCard card, Setup hidden, double command) {
        return switch (card) {
            case ROLL ->
                Optional.of(new RollShowing(
                        hidden, command, BenchCard.ROLL.fields().get(1).usual()));
            case SPIN ->
                Optional.of(new SpinShowing(
                        hidden, command, BenchCard.SPIN.fields().get(1).usual()));
            case CREEP -> Optional.of(new CreepShowing(hidden, command));
            case LOOPS ->
                Optional.of(new LoopShowing(
                        hidden,
                        BenchCard.LOOPS.fields().get(1).usual(),
                        new Random(nanoClock.getAsLong()).nextDouble()));
            case WIGGLES -> Optional.of(new WiggleShowing(hidden, WIGGLE_S));
            case SLIDE -> Optional.empty();
        };
    }

    void change(List<List<Double>> rows) {
        stage.set(stage.get().with(rows));
    }

    List<List<Double>> rows() {
        return stage.get().rows();
    }

    /** What is to be seen of the robot that was let go. */
    Optional<Showing> showing() {
        return showing;
    }

    /** Since it was let go, s. */
    double elapsedS() {
        return (nanoClock.getAsLong() - letGoNs) / 1e9;
    }

    /** What the display shows at this moment; empty when nothing. */
    String display() {
        return stage.get().card().equals(Optional.of(BenchCard.SLIDE))
                ? display
                : showing.map(s -> s.reading(elapsedS())).orElse("");
    }

    double placeMm() {
        return placeMm;
    }

    double slideEndMm() {
        return slide.map(SlideShowing::endMm).orElse(0.0);
    }

    /** Shows what was hidden beside what was found. */
    void reveal(Optional<BenchCard.Result> found) {
        Stage now = stage.get();
        stage.set(new Stage(now.card(), now.hidden(), now.rows(), PracticeWords.secret(now, found), now.went()));
    }

    /** Back to the robot in hand; what was typed is forgotten. */
    void end() {
        showing = Optional.empty();
        slide = Optional.empty();
        display = "";
        if (stage.get().card().isPresent()) {
            stage.set(Stage.NONE);
        }
    }
}
