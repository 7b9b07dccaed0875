package fahrbahn.core.benchmark;

/** Forty hidden robots. */
class TuningBenchmarkProof extends TuningBenchmarkTest {
    @Override
    protected int times(int witness, int proof) {
        return proof;
    }
}
