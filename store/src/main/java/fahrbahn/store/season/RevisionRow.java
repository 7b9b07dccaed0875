package fahrbahn.store.season;

import fahrbahn.store.file.Checksum;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.Optional;

/**
 * One row of the table of revisions.
 *
 * @param body null where the document was removed
 */
record RevisionRow(int step, String kind, String owner, String id, String body) {
    static RevisionRow of(ResultSet row) throws SQLException {
        return new RevisionRow(
                row.getInt("step"),
                row.getString("kind"),
                row.getString("owner"),
                row.getString("id"),
                row.getString("body"));
    }

    /** The same when the sum beside it is right; empty when the row is damaged. */
    static Optional<RevisionRow> sound(ResultSet row) throws SQLException {
        RevisionRow read = of(row);
        long sum = row.getLong("sum");
        return !row.wasNull() && sum == read.sum() ? Optional.of(read) : Optional.empty();
    }

    long sum() {
        return Checksum.ofRevision(step, kind, owner, id, body);
    }

    Change change() {
        return new Change(kind, owner, id, Optional.ofNullable(body));
    }
}
