package fahrbahn.app.measure;

import fahrbahn.app.live.LiveModel;
import fahrbahn.app.season.Season;
import fahrbahn.core.readings.ColumnMap;
import fahrbahn.store.file.BadFileException;
import fahrbahn.words.Words;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/** What readings do not say themselves is asked before they are kept: which column is which sensor, and of which surface they are. */
public final class Asking {
    private final Season season;
    private final LiveModel live;
    private final Consumer<String> told;
    private final ReadOnlyObjectWrapper<Question> question = new ReadOnlyObjectWrapper<>(Question.NONE);
    private Optional<ReadingsImport.Imported> imported = Optional.empty();
    private List<String> columns = List.of();

    Asking(Season season, LiveModel live, Consumer<String> told) {
        this.season = season;
        this.live = live;
        this.told = told;
    }

    /** What is to be said of readings before they are kept. */
    public ReadOnlyObjectProperty<Question> questionProperty() {
        return question.getReadOnlyProperty();
    }

    /** What each column is taken for: of the file that is asked about, else of the connected robot. */
    public List<ColumnMap.Match> matches() {
        return map().match(columns.isEmpty() ? live.columns() : columns, season.sensorNames());
    }

    /** Says by hand which sensor a column is. */
    public void mapColumn(String column, String sensor) {
        changeColumns(map().with(column, sensor));
    }

    private void changeColumns(ColumnMap changed) {
        season.columns().set("columns of " + season.robotName(), changed);
    }

    public ReadOnlyObjectProperty<ColumnMap> columnsProperty() {
        return season.columns().property();
    }

    boolean columnsOpen(List<String> named) {
        return map().asks(named, season.sensorNames());
    }

    private ColumnMap map() {
        return season.columns().get();
    }

    /** @param who sends or holds them */
    void askColumns(String who, List<String> named) {
        columns = List.copyOf(named);
        List<String> sensors = season.sensorNames();
        question.set(Question.ofColumns(
                who + " has " + few(named, "column") + ", the robot " + few(sensors, "sensor") + ". Which is which?",
                map().inOrder(named, sensors).isPresent()));
    }

    private static String few(List<String> names, String word) {
        String count = Words.count(names.size(), word, word + "s");
        return names.size() > 6 ? count : count + " (" + String.join(", ", names) + ")";
    }

    /** Keeps what was read, or asks what it does not say. */
    void take(ReadingsImport.Imported read) {
        imported = Optional.of(read);
        String source = read.how().source();
        if (read.asksColumns()) {
            askColumns(source, read.file().sensors());
        } else if (read.nameless().isEmpty()) {
            forget();
            season.addCaptures(read.captures());
        } else {
            columns = List.of();
            question.set(Question.ofSurface(
                    source + ": " + Words.count(read.nameless().size(), "reading names", "readings name")
                            + " no surface. Which surface is it?"));
        }
    }

    /** Says of which surface they are: the same key as for a capture. @return false when that was not asked */
    boolean answered(String surface) {
        if (imported.isEmpty() || !columns.isEmpty()) {
            return false;
        }
        season.addCaptures(imported.get().of(surface));
        forget();
        return true;
    }

    /** Takes the columns asked about in their order, from left to right. */
    public void takeInOrder() {
        map().inOrder(columns, season.sensorNames()).ifPresent(this::changeColumns);
    }

    /** After a column has been said by hand. */
    void askAgain() {
        if (columns.isEmpty()) {
            return;
        }
        if (imported.isPresent()) {
            try {
                take(imported.get().with(map()));
            } catch (BadFileException broken) {
                forget();
                told.accept(broken.getMessage() + ".");
            }
        } else if (columnsOpen(columns)) {
            askColumns("The robot", columns);
        } else {
            forget();
        }
    }

    /** Lets go of what was asked about; nothing of a file is kept. */
    public void forget() {
        imported = Optional.empty();
        columns = List.of();
        question.set(Question.NONE);
    }
}
