package fahrbahn.app.levels;

import fahrbahn.app.errand.RefusedException;
import fahrbahn.app.kit.field.SetupFields;
import fahrbahn.app.season.Season;
import fahrbahn.app.state.Derived;
import fahrbahn.app.state.State;
import fahrbahn.core.job.Workers;
import fahrbahn.core.marks.MarkComparison;
import fahrbahn.core.raster.Palette;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.setup.TurnMarks;
import fahrbahn.core.table.Course;
import fahrbahn.core.table.Ground;
import fahrbahn.core.tuning.CapturedTurnMarks;
import fahrbahn.core.tuning.MarkTrial;
import fahrbahn.core.tuning.UsualTurnMarks;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import javafx.beans.property.ReadOnlyObjectProperty;

/** What the robot in hand does about turn marks, and what the twin makes of it at crossings of each kind. */
public final class TurnsModel implements SetupFields.Source {
    /** Of each kind: with all of them right, fewer than one in twelve is wrong at 95 %. */
    private static final int RUNS = 40;

    private final Season season;
    private final Supplier<Optional<Ground>> tableInHand;
    private final MarksModel marks;
    private final Derived<MarkTrial> trial;
    private final Consumer<String> told;

    private record Crossings(Setup setup, Palette palette) {}

    TurnsModel(Season season, Supplier<Optional<Ground>> tableInHand, MarksModel marks, State state) {
        this.season = season;
        this.tableInHand = tableInHand;
        this.marks = marks;
        this.trial = state.derive(
                "Turn marks, simulated",
                this::crossings,
                (met, job) -> MarkTrial.of(met.setup(), met.palette(), RUNS, Workers.all(), job));
        this.told = state.errands().tell();
    }

    /** @throws RefusedException when its program does not look for marks */
    private Crossings crossings() {
        if (turnMarks().isEmpty()) {
            throw new RefusedException(TurnsWords.OFF);
        }
        return new Crossings(season.setupOrGuess(), palette());
    }

    /** What the twin makes of it as it stands. */
    Derived<MarkTrial> trial() {
        return trial;
    }

    @Override
    public Setup shown() {
        return season.setupOrGuess();
    }

    Optional<TurnMarks> turnMarks() {
        return shown().law().options().turnMarks();
    }

    public ReadOnlyObjectProperty<Setup> shownProperty() {
        return season.setup().property();
    }

    @Override
    public void type(UnaryOperator<Setup> change) {
        season.changeSetup(change);
    }

    @Override
    public void tell(String words) {
        told.accept(words);
    }

    /** Colours of the table in hand; the usual ones where it is a mat or none. */
    private Palette palette() {
        return tableInHand
                .get()
                .filter(Course.class::isInstance)
                .map(c -> ((Course) c).palette())
                .orElse(Palette.USUAL);
    }

    static Setup with(Setup setup, Optional<TurnMarks> marks) {
        return setup.withLaw(setup.law().withOptions(setup.law().options().withTurnMarks(marks)));
    }

    /** Begins to look for marks, or no longer does. */
    Setup looking(Setup setup, boolean looks) {
        return with(setup, looks ? Optional.of(UsualTurnMarks.of(setup, palette())) : Optional.empty());
    }

    /** Colours as captured, by the school that the Marks page recommends. @return in words what was done, or why nothing was */
    public String takeCaptured() {
        if (turnMarks().isEmpty()) {
            return "Choose 'turns by marks' first.";
        }
        marks.picture().show();
        Optional<MarksModel.Picture> seen = marks.picture().get();
        if (seen.isEmpty()) {
            return "The captured colours are still being checked: press it again in a moment.";
        }
        Optional<MarkComparison> comparison = seen.get().comparison();
        if (comparison.isEmpty()) {
            return MarkWords.NOTHING;
        }
        Optional<TurnMarks> captured =
                turnMarks().flatMap(m -> CapturedTurnMarks.of(m, comparison.get(), List.copyOf(season.captures())));
        if (captured.isEmpty()) {
            return "No turn mark captured: in Measure (3) capture a surface named mark (G).";
        }
        change(setup -> with(setup, captured));
        return "Colours of " + seen.get().sensor() + " taken, "
                + MarkWords.of(comparison.get().recommended()) + ".";
    }

    /** Somebody looks. */
    void show() {
        marks.picture().show(); // whose colours can be taken by a key
        trial.show();
    }
}
