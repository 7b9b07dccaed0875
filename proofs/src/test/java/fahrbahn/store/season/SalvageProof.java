package fahrbahn.store.season;

/** Five hundred and ten seasons damaged in six ways. */
class SalvageProof extends SalvageTest {
    @Override
    protected int times(int witness, int proof) {
        return proof;
    }
}
