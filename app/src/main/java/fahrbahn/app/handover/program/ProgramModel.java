package fahrbahn.app.handover.program;

import fahrbahn.app.errand.Errand;
import fahrbahn.app.errand.RefusedException;
import fahrbahn.app.season.Season;
import fahrbahn.app.state.Derived;
import fahrbahn.app.state.Document;
import fahrbahn.app.state.State;
import fahrbahn.core.language.Language;
import fahrbahn.core.language.Style;
import fahrbahn.core.program.Grain;
import fahrbahn.core.program.HandOver;
import fahrbahn.core.program.ProgramConstant;
import fahrbahn.core.program.RoundingCost;
import fahrbahn.core.program.Taken;
import fahrbahn.core.review.TwoOnOneTable;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.Ground;
import fahrbahn.store.document.Kinds;
import fahrbahn.store.file.Export;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.Supplier;
import javafx.beans.property.ReadOnlyObjectProperty;

/** The robot's numbers as its program takes them, what that costs, and what was handed over before. */
public final class ProgramModel {
    private final Season season;
    private final Document<HandOver> handed;
    private final Document<Style> style;
    private final Supplier<Optional<Ground>> table;
    private final Consumer<String> tell;
    private final Derived<TwoOnOneTable> cost;
    private final Errand<String> save;
    private final Derived<Taken> taken;

    /** What the program is of. */
    private record Programmed(Setup setup, Grain grain) {}

    /** What rounding was judged of. */
    private record Costed(Taken taken, Ground ground) {}

    /** @param table in hand, on which it is seen what rounding costs */
    public ProgramModel(Season season, Supplier<Optional<Ground>> table, State state) {
        this.season = season;
        this.handed = state.document(Kinds.HANDED);
        this.style = state.document(Kinds.STYLE, () -> Style.USUAL);
        this.table = table;
        this.tell = state.errands().tell();
        this.taken = state.deriveAtOnce(
                "The program", () -> new Programmed(season.setupOrGuess(), style().grain()), (of, job) -> taken(of));
        this.cost = state.derive(
                "What rounding costs",
                this::costed,
                (costed, job) -> RoundingCost.drive(costed.ground(), costed.taken(), job));
        this.save = state.errands().errand("Saving the program");
        taken.eagerly();
    }

    /** What was handed over last; empty when nothing was. */
    public ReadOnlyObjectProperty<Optional<HandOver>> handedProperty() {
        return handed.keptProperty();
    }

    public Style style() {
        return style.get();
    }

    public void language(Language language) {
        change(style().withLanguage(language));
    }

    public void grain(Grain grain) {
        change(style().withGrain(grain));
    }

    private void change(Style changed) {
        style.set("how the program of " + season.robotName() + " is written", changed);
    }

    /** The numbers as the program takes them; refused where there can be no program. */
    public Derived<Taken> taken() {
        return taken;
    }

    /** By the program as it was worked out against as it takes its numbers; empty until it was driven, and where rounding moves nothing. */
    public Derived<TwoOnOneTable> cost() {
        return cost;
    }

    /** The program in the team's language; empty when there is none. */
    public String program() {
        return taken.get().map(t -> style().language().program(t.taken())).orElse("");
    }

    /** What is to be typed anew; all of it when nothing was handed over. */
    public List<HandOver.Change> toType() {
        return taken.get()
                .map(t -> last().map(h -> h.since(t))
                        .orElseGet(() -> t.constants().stream()
                                .map(c -> new HandOver.Change(c.name(), Double.NaN, c.typed(t.grain())))
                                .toList()))
                .orElse(List.of());
    }

    public boolean handedOver() {
        return last().isPresent();
    }

    public Optional<HandOver> last() {
        return handed.kept();
    }

    public List<ProgramConstant> constants() {
        return taken.get().map(Taken::constants).orElse(List.of());
    }

    /** Everything that is marked has been typed into the robot. */
    public void handOver() {
        handOver("numbers handed over to ", t -> HandOver.of(season.now(), t));
    }

    /** Some of it has been typed into the robot. @param names of the constants */
    public void handOverSome(Set<String> names) {
        handOver("some numbers handed over to ", t -> HandOver.ofSome(season.now(), handed.kept(), t, names));
    }

    private void handOver(String step, Function<Taken, HandOver> numbers) {
        taken.get()
                .ifPresentOrElse(
                        t -> handed.set(step + season.robotName(), numbers.apply(t)),
                        () -> tell.accept(taken.value().refusal()));
    }

    private static Taken taken(Programmed of) {
        Taken rounded = Taken.of(of.setup(), of.grain());
        rounded.constants(); // refuses what no program can hold
        return rounded;
    }

    /** @throws RefusedException when rounding moves nothing, or there is nothing to drive on */
    private Costed costed() {
        Taken rounded = taken.get().filter(t -> !t.changes().isEmpty()).orElseThrow(() -> new RefusedException(""));
        return new Costed(rounded, table.get().orElseThrow(() -> new RefusedException("")));
    }

    /** Saves the program as text. */
    public void save(Path file) {
        String text = program();
        if (text.isEmpty()) {
            tell.accept(taken.value().refusal());
            return;
        }
        save.run(
                job -> {
                    Export.text(file, text);
                    return "Saved as " + file.getFileName() + ".";
                },
                tell);
    }
}
