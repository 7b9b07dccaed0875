package fahrbahn.core.program;

/** Sixty drawn setups for every kind of number. */
class TakenProof extends TakenTest {
    @Override
    protected int times(int witness, int proof) {
        return proof;
    }
}
