package fahrbahn.app.drive.log;

import fahrbahn.app.live.LiveModel;
import fahrbahn.app.season.Season;
import fahrbahn.app.season.Verdict;
import fahrbahn.app.state.Derived;
import fahrbahn.app.state.Parameter;
import fahrbahn.app.state.State;
import fahrbahn.core.knowledge.Constant;
import fahrbahn.core.knowledge.Fact;
import fahrbahn.core.measuring.Measured;
import fahrbahn.core.readings.Reading;
import fahrbahn.core.runlog.LogFaults;
import fahrbahn.core.runlog.LogFigures;
import fahrbahn.core.runlog.LogFit;
import fahrbahn.core.runlog.OnTheWay;
import fahrbahn.core.runlog.RunLog;
import fahrbahn.core.runlog.RunLogFile;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.Ground;
import fahrbahn.core.trace.Trace;
import fahrbahn.core.twin.Start;
import fahrbahn.core.twin.Track;
import fahrbahn.core.twin.Twin;
import fahrbahn.store.exchange.LogFile;
import fahrbahn.store.file.BadFileException;
import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.StringJoiner;
import java.util.function.Consumer;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import javafx.beans.binding.Bindings;
import javafx.beans.binding.BooleanBinding;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;

/** The robot's own log of a run: from a file, pasted, or as it comes over the link; what it tells, and the twin beside it. */
public final class LogModel {
    private final Season season;
    private final Parameter<Optional<Reader>> source;
    private final Derived<RunLog> read;
    private final Derived<Shown> shown;
    private final Consumer<String> tell;
    private final ReadOnlyBooleanWrapper recording = new ReadOnlyBooleanWrapper(false);
    private StringBuilder recorded = new StringBuilder();
    private List<String> columns = List.of();
    private double ticksS;

    /**
     * What is made of a log.
     *
     * @param twin a run of the setup on the table in hand, to lay beside it; empty where there is none to be driven
     */
    public record Shown(
            Setup setup,
            RunLog log,
            LogFigures figures,
            OnTheWay way,
            Optional<LogFit> fit,
            List<LogFaults.Found> faults,
            Optional<Trace> twin) {}

    /** A log that was asked for. */
    private interface Reader {
        /** @param sensors of the robot selected: what is called like one of them is its readings */
        RunLog read(List<String> sensors) throws BadFileException;
    }

    private record Read(Reader from, List<String> sensors) {}

    private record On(RunLog log, Setup setup, Optional<Ground> table) {}

    public LogModel(Season season, State state, Supplier<Optional<Ground>> ground, LiveModel live) {
        this.season = season;
        this.tell = state.errands().tell();
        source = state.press();
        read = state.derive(
                "The log",
                () -> new Read(State.asked(source), season.sensorNames()),
                (log, job) -> log.from().read(log.sensors()));
        shown = state.derive(
                "The log",
                () -> new On(read.need(), season.setupOrGuess(), ground.get()),
                (on, job) -> shown(on.log(), on.setup(), on.table()));
        read.eagerly();
        shown.eagerly();
        season.selection().property().addListener((o, was, is) -> {
            if (!was.robot().equals(is.robot())) {
                breakOff();
            }
        });
        live.listeners().addLogger(this::take);
    }

    public Derived<Shown> shown() {
        return shown;
    }

    BooleanBinding running() {
        return Bindings.or(read.computingProperty(), shown.computingProperty());
    }

    /** True while lines of the link are taken down. */
    public ReadOnlyBooleanProperty recordingProperty() {
        return recording.getReadOnlyProperty();
    }

    public void open(Path file) {
        source.set(Optional.of(sensors -> LogFile.read(file, sensors)));
    }

    public void paste(String text) {
        source.set(Optional.of(sensors -> parsed(text, sensors)));
    }

    private static RunLog parsed(String text, List<String> sensors) {
        try {
            return RunLogFile.read(new StringReader(text), sensors);
        } catch (IOException never) {
            throw new UncheckedIOException(never); // it is read from memory
        }
    }

    /** Begins to take down what comes over the link; ends it and reads what has come. */
    public void record() {
        if (recording.get()) {
            recording.set(false);
            paste(recorded.toString());
        } else {
            recorded = new StringBuilder();
            columns = List.of();
            recording.set(true);
        }
    }

    /** Another robot is in hand: what is taken down is not of it. */
    private void breakOff() {
        if (recording.get()) {
            recording.set(false);
            tell.accept("Another robot was selected: the recording was not kept.");
        }
    }

    private void take(List<String> names, Reading reading) {
        if (!recording.get()) {
            return;
        }
        if (!names.equals(columns)) {
            // Other columns are another log.
            recorded = new StringBuilder("tS," + String.join(",", names) + "\n");
            columns = names;
            ticksS = 0;
        }
        StringJoiner line = new StringJoiner(",", "", "\n");
        double period = season.setupOrGuess().robot().loop().periodS();
        line.add(String.valueOf(Double.isNaN(reading.tS()) ? ticksS : reading.tS()));
        ticksS += period;
        for (double value : reading.values()) {
            line.add(String.valueOf(value));
        }
        recorded.append(line);
    }

    private static Shown shown(RunLog log, Setup setup, Optional<Ground> table) {
        LogFigures figures = LogFigures.of(log, setup.robot().drive());
        Optional<LogFit> fit = LogFit.of(log, setup);
        List<LogFaults.Found> faults = LogFaults.of(log, setup, figures, fit);
        return new Shown(setup, log, figures, OnTheWay.of(log, setup), fit, faults, table.map(on -> twin(on, setup)));
    }

    private static Trace twin(Ground table, Setup setup) {
        Trace trace = new Trace();
        Twin.run(Track.of(table, setup), Start.noisy(0, 1), trace);
        return trace;
    }

    /** Whether there is something to be kept. */
    public boolean canKeep() {
        return shown.get().flatMap(Shown::fit).isPresent()
                && shown.get().orElseThrow().setup().law().signal().hasError();
    }

    /** Puts what the log tells of the robot on it, with how well it is known: lag, delay and loop time. */
    public void keep() {
        shown.get()
                .ifPresent(last -> last.fit().ifPresent(fit -> {
                    List<String> how = List.of(LogWords.BY_LOG);
                    int ticks = last.log().size();
                    season.changes()
                            .measured(
                                    List.of(
                                            fact(Constant.LAG, fit.lagS(), how),
                                            fact(Constant.DELAY, fit.delayS(), how),
                                            new Fact(
                                                    Constant.LOOP_TIME,
                                                    new Measured(
                                                            last.figures()
                                                                    .loopPeriodS()
                                                                    .mean(),
                                                            last.figures()
                                                                            .loopPeriodS()
                                                                            .sd()
                                                                    / Math.sqrt(ticks),
                                                            ticks),
                                                    how,
                                                    season.basisNow())),
                                    UnaryOperator.identity());
                }));
    }

    private Fact fact(Constant constant, LogFit.Told told, List<String> how) {
        return new Fact(constant, new Measured(told.value(), told.sd(), 1), how, season.basisNow());
    }

    public static Verdict verdict(Shown last) {
        if (!last.faults().isEmpty()) {
            return Verdict.care(LogWords.faulty(last));
        }
        // A tick stands for what was judged: a log with too little in it is no sound one.
        return last.log().missing().isEmpty() && last.fit().isPresent()
                ? Verdict.good(LogWords.sound(last))
                : Verdict.open(LogWords.tooLittle(last));
    }
}
