package fahrbahn.core.statistics;

/** Twenty thousand seasons for each number of runs. */
class StopEllipseProof extends StopEllipseTest {
    @Override
    protected int times(int witness, int proof) {
        return proof;
    }
}
