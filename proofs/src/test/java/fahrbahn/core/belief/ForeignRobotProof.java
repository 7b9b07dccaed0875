package fahrbahn.core.belief;

/** Eight robots of other code. */
class ForeignRobotProof extends ForeignRobotTest {
    @Override
    protected int times(int witness, int proof) {
        return proof;
    }
}
