package fahrbahn.core.belief;

/** Sixty robots that wiggle and come round. */
class WiggledProof extends WiggledTest {
    @Override
    protected int times(int witness, int proof) {
        return proof;
    }
}
