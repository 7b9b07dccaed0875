package fahrbahn.app.drive.run;

import fahrbahn.app.season.Season;
import fahrbahn.core.table.DemoCourses;
import fahrbahn.core.table.Draft;
import fahrbahn.core.table.Ground;
import fahrbahn.store.json.TablePrints;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;

/** What there is to be driven on. */
public final class Courses {
    private final Season season;
    private final Supplier<Optional<Ground>> tableInHand;

    /** @param tableInHand what the twin can ride of it; empty while it is not ready */
    public Courses(Season season, Supplier<Optional<Ground>> tableInHand) {
        this.season = season;
        this.tableInHand = tableInHand;
    }

    public Optional<Laid> inHand() {
        return tableInHand.get().map(ground -> new Laid(season.tableNow(), ground));
    }

    /** The table in hand first, the club's others, then one of each kind. */
    public List<Laid> all() {
        List<Laid> all = new ArrayList<>();
        inHand().ifPresent(all::add);
        season.club().courses().forEach((id, draft) -> {
            if (draft.problem().isEmpty()
                    && all.stream().noneMatch(l -> l.print().id().equals(id))) {
                all.add(new Laid(TablePrints.of(id, draft), draft.course()));
            }
        });
        DemoCourses.all().stream()
                .filter(c -> all.stream().noneMatch(mine -> mine.name().equals(c.name())))
                .forEach(c -> all.add(new Laid(TablePrints.of("", Draft.of(c)), c)));
        return List.copyOf(all);
    }
}
