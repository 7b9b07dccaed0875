package fahrbahn.store.season;

/** A hundred programs of four writers killed, half of them from outside and half between a step and its word. */
class KillProof extends KillTest {
    @Override
    protected int times(int witness, int proof) {
        return proof;
    }
}
