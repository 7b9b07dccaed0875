package fahrbahn.app.live;

/** An hour of sixteen sensors at a thousand readings a second. */
class EnduranceProof extends EnduranceTest {
    @Override
    protected int times(int witness, int proof) {
        return proof;
    }
}
