package fahrbahn.core.csv;

import java.util.regex.Pattern;

/**
 * Words in a cell of a table. A spreadsheet runs a cell that begins like a formula; with an apostrophe before it, it shows the words. Tables are read without
 * it again.
 */
public final class CsvText {
    private static final Pattern FORMULA = Pattern.compile("'*(?:[=@\t\r]|[+-](?![0-9.,])).*", Pattern.DOTALL);

    private CsvText() {}

    /** As it is written: what would be run begins with an apostrophe, and what begins so already with one more. */
    public static String written(String words) {
        return FORMULA.matcher(words).matches() ? "'" + words : words;
    }

    /** As it was before {@link #written}. */
    public static String read(String cell) {
        return cell.startsWith("'") && FORMULA.matcher(cell).matches() ? cell.substring(1) : cell;
    }
}
