package fahrbahn.core.statistics;

/** Two thousand experiments for each number of runs that is said to tell. */
class RunsNeededProof extends RunsNeededTest {
    @Override
    protected int times(int witness, int proof) {
        return proof;
    }
}
