package fahrbahn.app.drive.run;

import fahrbahn.app.season.Season;
import fahrbahn.app.state.Parameter;
import fahrbahn.app.state.State;
import fahrbahn.core.table.Ground;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;

/** What the twin drives on: the table in hand, or another course that was chosen. */
public final class DriveTable {
    private final Courses courses;
    private final Parameter<Optional<Laid>> laid;
    private String lastTable = "";

    public DriveTable(Season season, State state, Supplier<Optional<Ground>> tableInHand) {
        this.courses = new Courses(season, tableInHand);
        this.laid = state.parameter(Optional.empty());
    }

    /** The table in hand first, the club's others, then one of each kind. */
    public List<Laid> courses() {
        return courses.all();
    }

    public Optional<Laid> inHand() {
        return courses.inHand();
    }

    /** Empty while the table in hand is not ready and no other was chosen. */
    public Parameter<Optional<Laid>> laid() {
        return laid;
    }

    private String id(Optional<Laid> table) {
        return table.map(l -> l.print().id()).orElse(lastTable);
    }

    private boolean isAsItWas(Optional<Laid> other) {
        return other.map(Laid::print).equals(laid.get().map(Laid::print));
    }

    /** Whether it is another table than was laid last, and not the same one changed. */
    public boolean isAnother(Optional<Laid> other) {
        return !isAsItWas(other) && (!id(other).equals(lastTable) || id(other).isEmpty());
    }

    public void lay(Optional<Laid> other) {
        if (!isAsItWas(other)) {
            lastTable = id(other);
            laid.set(other);
        }
    }
}
