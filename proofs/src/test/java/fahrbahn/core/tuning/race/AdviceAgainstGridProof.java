package fahrbahn.core.tuning.race;

/** Twelve robots on four courses. */
class AdviceAgainstGridProof extends AdviceAgainstGridTest {
    @Override
    protected int times(int witness, int proof) {
        return proof;
    }
}
