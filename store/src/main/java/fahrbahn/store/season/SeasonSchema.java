package fahrbahn.store.season;

import java.util.List;

/** The tables of a season file, version by version. */
final class SeasonSchema {
    /** Each entry brings a file one version up; what has been released is never edited, only followed by another. */
    static final List<List<String>> MIGRATIONS = List.of(
            List.of(
                    """
            CREATE TABLE revision (
              number INTEGER PRIMARY KEY AUTOINCREMENT,
              step   INTEGER NOT NULL, -- changes made at once share a step
              at     TEXT    NOT NULL,
              cause  TEXT    NOT NULL CHECK (cause IN ('edit', 'undo', 'redo')),
              kind   TEXT    NOT NULL,
              id     TEXT    NOT NULL,
              body   TEXT              -- NULL: removed
            )""",
                    "CREATE INDEX revision_of_document ON revision (kind, id, number)",
                    "CREATE INDEX revision_of_step ON revision (step)"),
            // A season belongs to a club: each document has an owner; what there was belongs to its one robot or table.
            List.of(
                    """
            CREATE TABLE step (
              number INTEGER PRIMARY KEY,
              at     TEXT NOT NULL,
              cause  TEXT NOT NULL CHECK (cause IN ('edit', 'undo', 'redo', 'note')),
              label  TEXT NOT NULL     -- in words
            )""",
                    """
            INSERT INTO step SELECT step, MIN(at), MIN(cause), 'an earlier change (' || GROUP_CONCAT(DISTINCT kind) || ')'
            FROM revision GROUP BY step""",
                    """
            CREATE TABLE owned (
              number INTEGER PRIMARY KEY AUTOINCREMENT,
              step   INTEGER NOT NULL REFERENCES step,
              kind   TEXT    NOT NULL,
              owner  TEXT    NOT NULL, -- empty: the season's own
              id     TEXT    NOT NULL,
              body   TEXT              -- NULL: removed
            )""",
                    "INSERT INTO owned SELECT number, step, kind, 'main', id, body FROM revision",
                    "DROP TABLE revision",
                    "ALTER TABLE owned RENAME TO revision",
                    "CREATE INDEX revision_of_document ON revision (kind, owner, id, number)",
                    "CREATE INDEX revision_of_step ON revision (step)"),
            // A sum over each row, worked out for those there were by SeasonDatabase; a venue's listing is its own, as
            // a robot's is.
            List.of(
                    "ALTER TABLE step ADD COLUMN sum INTEGER",
                    "ALTER TABLE revision ADD COLUMN sum INTEGER",
                    "UPDATE revision SET owner = id, id = 'main' WHERE kind = 'venue' AND owner = ''"));

    private SeasonSchema() {}
}
