package fahrbahn.app.measure;

/**
 * What has to be answered before readings can be kept.
 *
 * @param words what is asked; empty when nothing is
 * @param keys how it is answered
 * @param inOrder whether columns are asked about that may be taken in their order
 */
public record Question(String words, String keys, boolean inOrder) {
    static final Question NONE = new Question("", "", false);
    private static final String SURFACES = "L light, D dark, E edge, W a sweep; or a name below and G";
    private static final String BY_HAND = "or set the columns on page Link";

    static Question ofSurface(String words) {
        return new Question(words, SURFACES, false);
    }

    /** @param inOrder whether there are as many columns as sensors without one */
    static Question ofColumns(String words, boolean inOrder) {
        return new Question(
                words,
                inOrder
                        ? "Y takes them left to right; " + BY_HAND
                        : "Set the columns on page Link, or give the robot as many sensors",
                inOrder);
    }

    public boolean open() {
        return !words.isEmpty();
    }
}
