package fahrbahn.app.start;

/** Three hundred seasons of a club, damaged in six ways. */
class DamagedDemoProof extends DamagedDemoTest {
    @Override
    protected int times(int witness, int proof) {
        return proof;
    }
}
