package fahrbahn.core.runlog;

/** Forty logs with a planted fault, and twenty without one. */
class LogFaultsProof extends LogFaultsTest {
    @Override
    protected int times(int witness, int proof) {
        return proof;
    }
}
