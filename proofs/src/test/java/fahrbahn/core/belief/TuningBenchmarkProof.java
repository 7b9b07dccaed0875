package fahrbahn.core.belief;

/** Eight robots tuned by the belief and by every ladder. */
class TuningBenchmarkProof extends TuningBenchmarkTest {
    @Override
    protected int times(int witness, int proof) {
        return proof;
    }
}
