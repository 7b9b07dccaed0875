package fahrbahn.core.runlog;

/** Twenty logs with each fault planted, and forty without one. */
class LogFaultsProof extends LogFaultsTest {
    @Override
    protected int times(int witness, int proof) {
        return proof;
    }
}
