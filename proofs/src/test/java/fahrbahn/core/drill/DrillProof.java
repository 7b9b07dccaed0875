package fahrbahn.core.drill;

/** Three drills of every fault, and each of them drawn twice. */
class DrillProof extends DrillTest {
    @Override
    protected int times(int witness, int proof) {
        return proof;
    }
}
