package fahrbahn.core.measuring;

/** A thousand sessions of each bench card, four thousand where the share is near its bar. */
class CardCoverageProof extends CardCoverageTest {
    @Override
    protected int times(int witness, int proof) {
        return proof;
    }
}
