package fahrbahn.app.handover.lists;

import fahrbahn.app.runs.QuickLog;
import fahrbahn.app.season.Season;
import fahrbahn.core.hall.Checklist.Occasion;
import fahrbahn.core.trials.PartOf;
import fahrbahn.core.trials.Run;
import java.util.List;
import java.util.Optional;
import javafx.beans.InvalidationListener;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;

/** Round by round: what each came to, kept in the log book; and the quiet between two of them. */
public final class RoundsModel {
    private final Season season;
    private final QuickLog log;
    private final ListModel lists;
    private Optional<List<Run>> rounds = Optional.empty();
    private final ReadOnlyBooleanWrapper quiet = new ReadOnlyBooleanWrapper(false);

    public RoundsModel(Season season, QuickLog log, ListModel lists) {
        this.season = season;
        this.log = log;
        this.lists = lists;
        season.runs().addListener((InvalidationListener) o -> rounds = Optional.empty());
    }

    /** Of the robot in hand since the newest first round, oldest first. */
    public List<Run> rounds() {
        if (rounds.isEmpty()) {
            rounds = Optional.of(newest());
        }
        return rounds.get();
    }

    /** Gone through when runs change, not at each frame. */
    private List<Run> newest() {
        List<Run> all = season.runs().stream()
                .filter(run -> run.source() == Run.Source.TABLE && number(run) > 0)
                .toList();
        int first = 0;
        for (int i = 0; i < all.size(); i++) {
            first = number(all.get(i)) == 1 ? i : first;
        }
        return List.copyOf(all.subList(first, all.size()));
    }

    /** Which round a run was; 0 for one that was none. */
    static int number(Run run) {
        return run.partOf().orElse(PartOf.NEW_VENUE) instanceof PartOf.Round round ? round.number() : 0;
    }

    /** The round that comes next, from 1. */
    public int next() {
        List<Run> all = rounds();
        return all.isEmpty() ? 1 : number(all.get(all.size() - 1)) + 1;
    }

    /** A round is over; it goes into the log book. @param words to remember; may be empty */
    public void over(boolean ran, String words) {
        keep(next(), ran, words);
    }

    /** The first round of another day is over. */
    public void first(boolean ran, String words) {
        keep(1, ran, words);
    }

    private void keep(int number, boolean ran, String words) {
        log.log(ran, QuickLog.Typed.NOTHING.withNote(words), Optional.of(new PartOf.Round(number)));
    }

    /** What is left on the list before a run. */
    List<String> left() {
        return lists.left(Occasion.BEFORE_RUN);
    }

    /** While it is quiet nothing on the screen moves, and nothing asks for anything. */
    public ReadOnlyBooleanProperty quietProperty() {
        return quiet.getReadOnlyProperty();
    }

    public void quiet(boolean now) {
        quiet.set(now);
    }
}
