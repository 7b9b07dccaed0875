package fahrbahn.core.knowledge;

import fahrbahn.core.setup.Setup;

/**
 * A setup as something ran with it, known by its content: two with the same identifier are the same setup, so that thousands of runs
 * share a few and are grouped by a look-up.
 *
 * @param id told by the content alone
 */
public record Setting(String id, Setup setup) {
    @Override
    public boolean equals(Object other) {
        return other instanceof Setting that && id.equals(that.id);
    }

    @Override
    public int hashCode() {
        return id.hashCode();
    }
}
