package fahrbahn.core.twin;

/** Seventy-five drawn setups against the theory of the sampled loop. */
class OnsetGridProof extends OnsetGridTest {
    @Override
    protected int times(int witness, int proof) {
        return proof;
    }
}
