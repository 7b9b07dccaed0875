package fahrbahn.store.season;

import fahrbahn.store.file.Checksum;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jdbi.v3.core.Handle;

/** Finds in a season's file which steps can be undone and redone, and what that would make of their documents. */
final class StepReader {
    /** What documents became in the steps from one on. */
    private static final String AFTER = """
            SELECT step AS of, step, kind, owner, id, body, sum FROM revision WHERE step >= :first ORDER BY number""";

    /** What they were before each; a row without a sum where there was none. */
    private static final String BEFORE = """
            SELECT r.step AS of, p.step, r.kind, r.owner, r.id, p.body, p.sum
            FROM revision AS r LEFT JOIN revision AS p ON p.number =
              (SELECT MAX(q.number) FROM revision AS q
               WHERE q.kind = r.kind AND q.owner = r.owner AND q.id = r.id AND q.step < r.step)
            WHERE r.step >= :first ORDER BY r.number""";

    private final Handle database;

    StepReader(Handle database) {
        this.database = database;
    }

    /** @param most steps of either sort */
    SeasonFile.Steps newest(int most) {
        Deque<StepRow> undoable = new ArrayDeque<>();
        Deque<StepRow> redoable = new ArrayDeque<>();
        List<StepRow> rows = database.createQuery("SELECT number, at, cause, label, sum FROM step ORDER BY number")
                .map((row, context) -> StepRow.of(row))
                .list();
        if (rows.stream().anyMatch(row -> !row.sound())) {
            // What was undone and what not cannot be told without each of them.
            return new SeasonFile.Steps(List.of(), List.of());
        }
        for (StepRow step : rows) {
            switch (FileStep.Cause.of(step.cause())) {
                case UNDO -> move(undoable, redoable);
                case REDO -> move(redoable, undoable);
                case EDIT -> {
                    undoable.push(step);
                    redoable.clear();
                }
                case NOTE -> {}
            }
        }
        return new SeasonFile.Steps(steps(top(undoable, most), true), steps(top(redoable, most), false));
    }

    /** @param sound its sum is right */
    private record StepRow(int number, String at, String cause, String label, boolean sound) {
        static StepRow of(ResultSet row) throws SQLException {
            int number = row.getInt("number");
            String at = row.getString("at");
            String cause = row.getString("cause");
            String label = row.getString("label");
            boolean sound = row.getLong("sum") == Checksum.ofStep(number, at, cause, label);
            return new StepRow(number, at, cause, label, sound);
        }
    }

    /** @param of the step it belongs to */
    private record Part(int of, Optional<Change> change) {
        static Part of(ResultSet row) throws SQLException {
            int step = row.getInt("of");
            RevisionRow said = RevisionRow.of(row);
            row.getLong("sum");
            Change absent = Change.remove(said.kind(), said.owner(), said.id());
            return row.wasNull()
                    ? new Part(step, Optional.of(absent))
                    : new Part(step, RevisionRow.sound(row).map(RevisionRow::change));
        }
    }

    private static void move(Deque<StepRow> from, Deque<StepRow> to) {
        if (!from.isEmpty()) {
            to.push(from.pop());
        }
    }

    /** The next to be turned last. */
    private static List<StepRow> top(Deque<StepRow> stack, int most) {
        List<StepRow> newest = new ArrayList<>(new ArrayList<>(stack).subList(0, Math.min(most, stack.size())));
        Collections.reverse(newest);
        return newest;
    }

    /** In one query for all: asked one by one, two hundred steps take half a second. */
    private List<FileStep> steps(List<StepRow> rows, boolean before) {
        Map<Integer, List<Change>> changes = new HashMap<>();
        rows.forEach(row -> changes.put(row.number(), new ArrayList<>()));
        int first = rows.stream().mapToInt(StepRow::number).min().orElse(Integer.MAX_VALUE);
        Set<Integer> damaged = new HashSet<>();
        database.createQuery(before ? BEFORE : AFTER)
                .bind("first", first)
                .map((row, context) -> Part.of(row))
                .forEach(part -> {
                    List<Change> of = changes.get(part.of());
                    if (of != null) {
                        part.change().ifPresentOrElse(of::add, () -> damaged.add(part.of()));
                    }
                });
        // A step that cannot be turned whole bars the way to those beyond it.
        int from = 0;
        for (int i = 0; i < rows.size(); i++) {
            from = damaged.contains(rows.get(i).number()) ? i + 1 : from;
        }
        return rows.subList(from, rows.size()).stream()
                .map(row -> new FileStep(
                        Instant.parse(row.at()), FileStep.Cause.EDIT, row.label(), changes.get(row.number())))
                .toList();
    }
}
