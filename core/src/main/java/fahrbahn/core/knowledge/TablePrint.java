package fahrbahn.core.knowledge;

/**
 * Which table something was done on, and what that table was like then.
 *
 * @param id of the table; empty when it was none of the club's
 * @param name as it was called then
 * @param print told by the content alone: another one is another line
 */
public record TablePrint(String id, String name, String print) {
    /** Nobody noted a table. */
    public static final TablePrint UNKNOWN = new TablePrint("", "", "");

    /** Whether both are known and the line on it is another. */
    public boolean differsFrom(TablePrint other) {
        return !print.isEmpty() && !other.print.isEmpty() && !print.equals(other.print);
    }
}
