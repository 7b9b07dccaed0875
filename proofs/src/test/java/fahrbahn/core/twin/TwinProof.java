package fahrbahn.core.twin;

/** Every built-in course driven by a robot whose spot is a millimetre. */
class TwinProof extends TwinTest {
    @Override
    protected int times(int witness, int proof) {
        return proof;
    }
}
