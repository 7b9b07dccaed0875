package fahrbahn.app.live;

/** Hundreds of megabytes of what no robot sends. */
class FloodProof extends FloodTest {
    @Override
    protected int times(int witness, int proof) {
        return proof;
    }
}
