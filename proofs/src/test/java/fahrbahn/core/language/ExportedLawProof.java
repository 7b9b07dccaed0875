package fahrbahn.core.language;

/** Two hundred and twenty drawn laws in every language, compiled and run. */
class ExportedLawProof extends ExportedLawTest {
    @Override
    protected int times(int witness, int proof) {
        return proof;
    }
}
