package fahrbahn.app.state;

/** Every choice on a page, and documents of every sort. */
class EveryDerivedProof extends EveryDerivedTest {
    @Override
    protected int times(int witness, int proof) {
        return proof;
    }
}
