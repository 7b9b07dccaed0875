package fahrbahn.store.season;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jdbi.v3.core.Handle;

/** Reads every document as it is now, and holds each against the sum beside it. */
final class ContentsReader {
    private static final String NEWEST = """
            SELECT r.step, r.kind, r.owner, r.id, r.body, r.sum
            FROM (SELECT MAX(number) AS last, MIN(number) AS first FROM revision GROUP BY kind, owner, id) AS d
            JOIN revision AS r ON r.number = d.last
            ORDER BY d.first""";

    private static final String EARLIER = """
            SELECT step, kind, owner, id, body, sum FROM revision
            WHERE kind = :kind AND owner = :owner AND id = :id ORDER BY number DESC""";

    private final Handle database;
    private final List<String> damaged = new ArrayList<>();

    /** A row whose sum is right, or what it says it is. */
    private record Row(RevisionRow says, Optional<RevisionRow> sound) {}

    ContentsReader(Handle database) {
        this.database = database;
    }

    SeasonFile.Contents read() {
        List<Row> rows = database.createQuery(NEWEST)
                .map((row, context) -> new Row(RevisionRow.of(row), RevisionRow.sound(row)))
                .list();
        // A damaged name makes a row look like one of another document: the order of the first good one holds.
        Map<String, Change> documents = new LinkedHashMap<>();
        for (Row row : rows) {
            Optional<RevisionRow> good = row.sound().or(() -> earlier(row.says()));
            good.map(RevisionRow::change)
                    .ifPresent(change ->
                            documents.put(change.kind() + '\n' + change.owner() + '\n' + change.id(), change));
        }
        return new SeasonFile.Contents(
                documents.values().stream().filter(c -> c.body().isPresent()).toList(), damaged);
    }

    private Optional<RevisionRow> earlier(RevisionRow bad) {
        String what = bad.kind() + " " + bad.id();
        if (bad.kind() == null || bad.owner() == null || bad.id() == null) {
            damaged.add("a change whose name cannot be read");
            return Optional.empty();
        }
        Optional<RevisionRow> good = database
                .createQuery(EARLIER)
                .bind("kind", bad.kind())
                .bind("owner", bad.owner())
                .bind("id", bad.id())
                .map((row, context) -> RevisionRow.sound(row))
                .stream()
                .flatMap(Optional::stream)
                .findFirst();
        damaged.add(what + " (damaged on the disk; "
                + (good.isPresent() ? "the state before is shown)" : "there is no earlier state)"));
        return good;
    }
}
