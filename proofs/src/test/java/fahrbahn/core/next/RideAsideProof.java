package fahrbahn.core.next;

/** Two thousand drawn robots that ride beside their edge. */
class RideAsideProof extends RideAsideTest {
    @Override
    protected int times(int witness, int proof) {
        return proof;
    }
}
