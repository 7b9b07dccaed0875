package fahrbahn.core.quality;

/** Three thousand sessions for each step and number of readings. */
class DriftFitProof extends DriftFitTest {
    @Override
    protected int times(int witness, int proof) {
        return proof;
    }
}
