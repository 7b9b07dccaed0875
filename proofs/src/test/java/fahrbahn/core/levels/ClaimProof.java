package fahrbahn.core.levels;

/** Three hundred sets of readings of every kind. */
class ClaimProof extends ClaimTest {
    @Override
    protected int times(int witness, int proof) {
        return proof;
    }
}
