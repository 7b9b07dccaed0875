package fahrbahn.app;

/** Eight kills of the window while runs are logged by keys. */
class KillByKeysProof extends KillByKeysTest {
    @Override
    protected int times(int witness, int proof) {
        return proof;
    }
}
