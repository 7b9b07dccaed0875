package fahrbahn.core.readings;

/** Three hundred sessions for each number of typed readings. */
class RoundedMeanProof extends RoundedMeanTest {
    @Override
    protected int times(int witness, int proof) {
        return proof;
    }
}
