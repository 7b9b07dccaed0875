package fahrbahn.app.club;

import fahrbahn.app.errand.Errand;
import fahrbahn.app.errand.Errands;
import fahrbahn.app.season.Club;
import fahrbahn.app.season.Entry;
import fahrbahn.app.season.Season;
import fahrbahn.app.season.Sort;
import fahrbahn.core.setup.Setup;
import fahrbahn.core.table.DemoCourses;
import fahrbahn.core.table.Draft;
import fahrbahn.store.document.Kind;
import fahrbahn.store.document.Kinds;
import fahrbahn.store.file.Export;
import fahrbahn.store.file.TextFile;
import fahrbahn.store.json.SetupJson;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.beans.property.ReadOnlyIntegerProperty;
import javafx.beans.property.ReadOnlyIntegerWrapper;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/** The club's list with one entry under the cursor, and what one key does with it. */
public final class ClubModel {
    private final Season season;
    private final Club club;
    private final Consumer<String> told;
    private final Errand<Imported> importErrand;
    private final Errand<String> exportErrand;
    private final ReadOnlyObjectWrapper<List<Entry>> entries = new ReadOnlyObjectWrapper<>(List.of());
    private final ReadOnlyIntegerWrapper cursor = new ReadOnlyIntegerWrapper(0);
    private final ReadOnlyObjectWrapper<Sort> sort = new ReadOnlyObjectWrapper<>(Sort.ROBOT);

    private boolean showsRetired;

    private record Imported(Setup setup, String text) {}

    public ClubModel(Season season, Errands errands) {
        this.season = season;
        this.club = season.club();
        this.told = errands.tell();
        this.importErrand = errands.errand("Reading the setup");
        this.exportErrand = errands.errand("Saving the setup");
        season.ledger().listen(kinds -> refresh());
        refresh();
    }

    /** Robots, tables, venues, teams, in this order. */
    public ReadOnlyObjectProperty<List<Entry>> entriesProperty() {
        return entries.getReadOnlyProperty();
    }

    /** Number of the entry under the cursor. */
    public ReadOnlyIntegerProperty cursorProperty() {
        return cursor.getReadOnlyProperty();
    }

    private void refresh() {
        List<Entry> all = new ArrayList<>();
        for (Sort sort : Sort.values()) {
            club.entries(sort).stream()
                    .filter(e -> showsRetired || !e.retired() || e.inHand())
                    .forEach(all::add);
        }
        if (!all.equals(entries.get())) {
            entries.set(List.copyOf(all));
            if (cursor.get() >= 0) {
                point(cursor.get());
            }
        }
    }

    /** Shows what is retired, so that it can be brought back, or hides it again. */
    public void showRetired() {
        showsRetired = !showsRetired;
        refresh();
    }

    /** The list the cursor is in, which may be empty. */
    public ReadOnlyObjectProperty<Sort> sortProperty() {
        return sort.getReadOnlyProperty();
    }

    public void point(int index) {
        cursor.set(Math.max(0, Math.min(entries.get().size() - 1, index)));
        sort.set(entries.get().get(cursor.get()).sort());
    }

    /** Goes to the first of another list, or to the list itself while it is empty. */
    public void pointAt(Sort list) {
        for (int i = 0; i < entries.get().size(); i++) {
            if (entries.get().get(i).sort() == list) {
                point(i);
                return;
            }
        }
        cursor.set(-1);
        sort.set(list);
    }

    /** The entry under the cursor; empty in an empty list. */
    public Optional<Entry> here() {
        return cursor.get() < 0 ? Optional.empty() : Optional.of(entries.get().get(cursor.get()));
    }

    /** What the season holds of an entry. */
    public ClubInsight about(Entry entry) {
        return ClubInsight.of(season, entry);
    }

    private void atEntry(Consumer<Entry> work) {
        here().ifPresentOrElse(
                        work, () -> told.accept("There is no " + sort.get().word() + " yet. Press A to add one."));
    }

    private void pointAtInHand(Sort sort) {
        for (int i = 0; i < entries.get().size(); i++) {
            Entry entry = entries.get().get(i);
            if (entry.sort() == sort && entry.inHand()) {
                point(i);
            }
        }
    }

    /** What is in hand of a sort. */
    public Entry inHand(Sort sort) {
        return club.inHand(sort);
    }

    public void takeNext(Sort sort) {
        club.takeNext(sort);
    }

    public void take() {
        atEntry(entry -> {
            if (entry.retired()) {
                told.accept(entry.name() + " is archived. Restore it first.");
            } else {
                club.take(entry.sort(), entry.id());
            }
        });
    }

    /** A robot of a kind, with honest guesses for numbers. */
    public void addRobot(RobotKind kind, String name) {
        club.additions().addRobot(kind.setup(name.isBlank() ? kind.words() : name.strip()));
        pointAtInHand(Sort.ROBOT);
    }

    /** A table, a venue or a team of this name. */
    public void add(Sort sort, String typed) {
        String name = typed.strip();
        if (name.isEmpty()) {
            told.accept("A " + sort.word() + " needs a name. Type one, then press Enter.");
            return;
        }
        if (sort == Sort.TABLE) {
            club.additions().addTable(Draft.of(DemoCourses.workshopLoop()).withName(name));
        } else {
            club.add(sort, name);
        }
        pointAt(sort);
        pointAtInHand(sort);
    }

    public void rename(String typed) {
        String name = typed.strip();
        if (name.isEmpty()) {
            told.accept("The name is empty. Type one, then press Enter.");
        } else {
            atEntry(entry -> club.rename(entry, name));
        }
    }

    /** @param measured a robot with its measurements */
    public void copy(boolean measured) {
        atEntry(entry -> {
            switch (entry.sort()) {
                case ROBOT -> club.additions().copyRobot(entry.id(), measured);
                case TABLE -> club.additions().copyTable(entry.id());
                case VENUE, TEAM -> club.add(entry.sort(), entry.name() + " 2");
            }
            pointAtInHand(entry.sort());
        });
    }

    /** Retires an entry, or brings it back; what is in hand stays. */
    public void retire() {
        atEntry(this::retire);
    }

    private void retire(Entry entry) {
        if (entry.inHand() && !entry.retired() && entry.sort() != Sort.TEAM) {
            told.accept(entry.name() + " is selected. Select another "
                    + entry.sort().word() + " first.");
        } else {
            club.retire(entry, !entry.retired());
        }
    }

    public void nextTeam() {
        here().filter(e -> e.sort() == Sort.ROBOT).ifPresent(club::nextTeam);
    }

    /** A robot from a setup file. */
    public void importSetup(Path file) {
        importErrand.run(
                job -> {
                    String text = TextFile.read(file, "setup");
                    return new Imported(SetupJson.read(file), text);
                },
                read -> {
                    club.additions().importRobot(read.setup(), read.text());
                    pointAtInHand(Sort.ROBOT);
                });
    }

    /** The robot in hand as a setup file, with all fields that came with it. */
    public void exportSetup(Path file) {
        Setup setup = season.setupOrGuess();
        season.ledger()
                .written(
                        Kinds.SETUP,
                        season.selection().get().robot(),
                        Kind.ONLY,
                        document -> exportErrand.run(
                                job -> {
                                    Export.text(file, document.orElseGet(() -> SetupJson.write(setup)));
                                    return "Saved as " + file.getFileName() + ".";
                                },
                                told));
    }
}
