package fahrbahn.store.season;

import java.util.List;

/** The tables of a season; two versions before this one were never given out. */
final class SeasonSchema {
    static final int VERSION = 3;

    static final List<String> CREATE = List.of(
            """
            CREATE TABLE step (
              number INTEGER PRIMARY KEY,
              at     TEXT NOT NULL,
              cause  TEXT NOT NULL CHECK (cause IN ('edit', 'undo', 'redo', 'note')),
              label  TEXT NOT NULL,    -- in words
              sum    INTEGER           -- over the rest of the row
            )""",
            """
            CREATE TABLE revision (
              number INTEGER PRIMARY KEY AUTOINCREMENT,
              step   INTEGER NOT NULL REFERENCES step, -- changes made at once share a step
              kind   TEXT    NOT NULL,
              owner  TEXT    NOT NULL, -- empty: the season's own
              id     TEXT    NOT NULL,
              body   TEXT,             -- NULL: removed
              sum    INTEGER
            )""",
            "CREATE INDEX revision_of_document ON revision (kind, owner, id, number)",
            "CREATE INDEX revision_of_step ON revision (step)");

    private SeasonSchema() {}
}
