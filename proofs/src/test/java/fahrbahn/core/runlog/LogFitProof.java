package fahrbahn.core.runlog;

/** Two hundred robots found from one lap each. */
class LogFitProof extends LogFitTest {
    @Override
    protected int times(int witness, int proof) {
        return proof;
    }
}
