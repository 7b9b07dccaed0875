package fahrbahn.core.tuning;

/** Sixty drawn robots from easy to hopeless, and five grids of gains. */
class TwinAdvisorProof extends TwinAdvisorTest {
    @Override
    protected int times(int witness, int proof) {
        return proof;
    }
}
