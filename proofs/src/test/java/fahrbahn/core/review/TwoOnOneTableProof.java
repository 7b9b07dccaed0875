package fahrbahn.core.review;

/** Two thousand experiments of two hundred pairs of runs. */
class TwoOnOneTableProof extends TwoOnOneTableTest {
    @Override
    protected int times(int witness, int proof) {
        return proof;
    }
}
