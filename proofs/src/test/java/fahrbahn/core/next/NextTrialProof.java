package fahrbahn.core.next;

/** Two hundred drawn robots that tell the truth. */
class NextTrialProof extends NextTrialTest {
    @Override
    protected int times(int witness, int proof) {
        return proof;
    }
}
