package fahrbahn.core.stopping;

/** Fifteen hundred runs for each way to stop. */
class StopTrialProof extends StopTrialTest {
    @Override
    protected int times(int witness, int proof) {
        return proof;
    }
}
