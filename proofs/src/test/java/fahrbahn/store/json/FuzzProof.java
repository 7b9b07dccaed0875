package fahrbahn.store.json;

/** Three thousand mutations of every kind of file. */
class FuzzProof extends FuzzTest {
    @Override
    protected int times(int witness, int proof) {
        return proof;
    }
}
