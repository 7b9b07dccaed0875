package fahrbahn.core.check;

/** Words from outside as a drawing or a calendar may hold them. */
public final class PlainText {
    private static final char UNKNOWN = '\uFFFD';

    private PlainText() {}

    /**
     * Without what XML 1.0 (section 2.2) allows nowhere, and without what turns the direction of reading: each stands as the sign for an unknown character.
     */
    public static String of(String words) {
        StringBuilder plain = new StringBuilder(words.length());
        for (int i = 0; i < words.length(); i++) {
            char c = words.charAt(i);
            boolean pair = Character.isHighSurrogate(c)
                    && i + 1 < words.length()
                    && Character.isLowSurrogate(words.charAt(i + 1));
            if (pair) {
                plain.append(c).append(words.charAt(++i));
            } else {
                plain.append(allowed(c) ? c : UNKNOWN);
            }
        }
        return plain.toString();
    }

    private static boolean allowed(char c) {
        boolean turns =
                c == '\u200e' || c == '\u200f' || c >= '\u202a' && c <= '\u202e' || c >= '\u2066' && c <= '\u2069';
        boolean control = Character.isISOControl(c) && c != '\n' && c != '\t';
        return !control && !turns && !Character.isSurrogate(c) && c < '\ufffe';
    }
}
