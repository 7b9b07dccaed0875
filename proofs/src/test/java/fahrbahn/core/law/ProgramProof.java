package fahrbahn.core.law;

/** A hundred and twenty drawn setups of each law against the second program. */
class ProgramProof extends ProgramTest {
    @Override
    protected int times(int witness, int proof) {
        return proof;
    }
}
