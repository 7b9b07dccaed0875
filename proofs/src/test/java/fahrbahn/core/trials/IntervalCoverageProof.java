package fahrbahn.core.trials;

/** Three thousand experiments for each interval of the log book. */
class IntervalCoverageProof extends IntervalCoverageTest {
    @Override
    protected int times(int witness, int proof) {
        return proof;
    }
}
