package fahrbahn.store;

/** Three thousand mutations of every kind of file. */
class FuzzProof extends FuzzTest {
    @Override
    protected int times(int witness, int proof) {
        return proof;
    }
}
