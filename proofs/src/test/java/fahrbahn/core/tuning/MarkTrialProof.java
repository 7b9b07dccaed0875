package fahrbahn.core.tuning;

/** Eighty phases of the reads for each number of them. */
class MarkTrialProof extends MarkTrialTest {
    @Override
    protected int times(int witness, int proof) {
        return proof;
    }
}
