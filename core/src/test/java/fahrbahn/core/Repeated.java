package fahrbahn.core;

/**
 * A test that tries something many times: as often as a witness needs in {@code ./fahrbahn test}, as often as a proof needs where a class of the
 * module proofs extends it.
 */
public abstract class Repeated {
    /**
     * @param witness enough for a broken formula to be seen
     * @param proof enough for the figure to be known
     */
    protected int times(int witness, int proof) {
        return witness;
    }

    /** Whether it tries as often as a proof: then its bars are the proof's, without an allowance for luck. */
    protected final boolean proves() {
        return times(0, 1) == 1;
    }

    /** Three standard errors of a share found in so many tries: what luck alone does once in 370. */
    protected static double luck(double share, int tries) {
        return 3 * Math.sqrt(share * (1 - share) / tries);
    }
}
